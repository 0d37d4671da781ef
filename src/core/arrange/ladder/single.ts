import type { Demand } from '../../week/demand';
import type { Block } from '../days/day-blocks';

/** The one item of a block that stands alone; null for a list, for several, and for an open place. */
export const singleOf = ({ demands: [demand, ...others], list, open }: Block): Demand | null =>
  demand === undefined || others.length > 0 || list !== null || open ? null : demand;

/** True for an item whose owner wants room to write in: no makeshift of a label's size gives it that. */
export const asksForMore = ({ room }: Demand): boolean => room !== null && room !== 'label';
