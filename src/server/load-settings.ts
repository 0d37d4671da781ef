import 'server-only';
import type { Hand } from '../core/measure/hand';
import { readSetting } from '../db/settings';
import { ownerZone } from './calendars';
import { ownerHand } from './settings';
import { store } from './store';

export interface Settings {
  readonly hand: Hand;
  /** whether it was measured, or is a usual one */
  readonly measured: boolean;
  readonly zone: string;
  readonly zones: readonly string[];
}

export async function loadSettings(): Promise<Settings> {
  const db = await store();
  const [hand, set, zone] = await Promise.all([ownerHand(db), readSetting(db, 'hand'), ownerZone(db)]);
  return { hand, measured: set !== null, zone, zones: Intl.supportedValuesOf('timeZone') };
}
