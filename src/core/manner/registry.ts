import type { Manner } from './manner';
import { scattered } from './scattered';

/** The schools that ship, by the name the headless command takes. One line a school. */
export const MANNERS: Readonly<Record<string, Manner>> = { scattered };
