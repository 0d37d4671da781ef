import type { Hand } from '../core/measure/hand';
import { USUAL_HAND } from '../core/measure/hand';
import type { Database } from '../db/database';
import { readSetting } from '../db/settings';

/** The owner's hand as measured; a usual one until it is. */
export const ownerHand = async (db: Database): Promise<Hand> => (await readSetting<Hand>(db, 'hand')) ?? USUAL_HAND;
