import { DateTime } from 'luxon';
import type { IsoDay } from '../week/week';

/** One thing to order, or on its way. */
export interface OrderLine {
  readonly what: string;
  readonly count: number;
  readonly shop: string;
  /** days from order to door, as the owner knows the shop */
  readonly days: number;
  readonly neededBy: IsoDay;
  readonly state: 'to order' | 'ordered' | 'here';
}

export const ORDER_STATES = ['to order', 'ordered', 'here'] as const;
/** A parcel is given this many days more than the shop takes. From memory. */
const SLACK = 1;

/** The last day to order so that it is there when it is needed. */
export const orderBy = (line: Pick<OrderLine, 'days' | 'neededBy'>): IsoDay =>
  DateTime.fromISO(line.neededBy, { zone: 'utc' })
    .minus({ days: line.days + SLACK })
    .toISODate() as IsoDay;

/** What is most pressing first; what is here last. */
export const byUrgency = (a: OrderLine, b: OrderLine): number =>
  ORDER_STATES.indexOf(a.state) - ORDER_STATES.indexOf(b.state) ||
  (orderBy(a) < orderBy(b) ? -1 : orderBy(a) > orderBy(b) ? 1 : a.what < b.what ? -1 : 1);
