import { DateTime } from 'luxon';
import type { IsoDay } from '../core/week/week';
import { ownerZone } from './calendars';
import { store } from './store';

/** Today on the owner's clock, wherever this machine's stands; or the day that HOBNAIL_TODAY names. */
export async function today(): Promise<IsoDay> {
  const named = process.env.HOBNAIL_TODAY;
  if (named !== undefined) return named;
  const zone = await ownerZone(await store());
  return DateTime.now().setZone(zone).toISODate() ?? DateTime.now().toISODate();
}
