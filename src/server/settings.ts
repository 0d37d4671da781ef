import type { Options } from '../core/manner/options/registry';
import type { Hand } from '../core/measure/hand';
import { USUAL_HAND } from '../core/measure/hand';
import type { Database } from '../db/database';
import { listSupplies } from '../db/plans';
import { readSetting } from '../db/settings';

/** The owner's hand as measured; a usual one until it is. */
export const ownerHand = async (db: Database): Promise<Hand> => (await readSetting<Hand>(db, 'hand')) ?? USUAL_HAND;

/** The supply whose meters the white-out is counted against (handbook K4). */
const TAPE = /correction tape/i;

/** What holds in every week unless it says otherwise: the owner's hand, and the correction tape in the house. */
export async function houseOptions(db: Database): Promise<Partial<Options>> {
  const [hand, supplies] = await Promise.all([ownerHand(db), listSupplies(db)]);
  const tape = supplies.filter((s) => TAPE.test(s.name) && s.unit === 'm');
  return { hand, ...(tape.length ? { tapeMeters: tape.reduce((sum, s) => sum + s.amount, 0) } : {}) };
}
