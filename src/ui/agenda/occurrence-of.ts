import type { Demand } from '../../core/week/demand';
import type { IsoDay } from '../../core/week/week';

/** An item on its day, as the server is told of it. */
export const occurrenceOf = (d: Demand): { uid: string; on: IsoDay } => ({ uid: d.uid, on: d.on });
