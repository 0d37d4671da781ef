import type { Demand } from '../../week/demand';
import type { Block } from '../days/day-blocks';

/** The one item of a block that stands alone; null for a list, for several, and for an open place. */
export const singleOf = ({ demands: [demand, ...others], list, open }: Block): Demand | null =>
  demand === undefined || others.length > 0 || list !== null || open ? null : demand;
