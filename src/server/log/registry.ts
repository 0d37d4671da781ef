import { bench } from './bench';
import { colors } from './colors';
import { dinners } from './dinners';
import { habits } from './habits';
import { hours } from './hours';
import { items } from './items';
import { kits } from './kits';
import type { LogRoom } from './room';

/** The rooms of the log beside its pictures. One line a room. */
export const LOG_ROOMS: readonly LogRoom[] = [dinners, habits, hours, items, kits, colors, bench];
