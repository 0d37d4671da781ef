import 'server-only';
import type { SpreadData } from './spread-of';
import { spreadOf } from './spread-of';
import { store } from './store';

export type { SpreadData } from './spread-of';

/** @returns null when there is no such spread */
export const loadSpread = async (id: number): Promise<SpreadData | null> => spreadOf(await store(), id);
