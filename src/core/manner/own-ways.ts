import type { Unit } from '../measure/fraction';
import type { HourClock } from '../week/demand';

/** How an owner writes hours, lengths and money. */
export interface OwnWays {
  readonly clock: HourClock;
  readonly unit: Unit;
  readonly currency: string;
}

/** Where nothing is set. */
export const USUAL_WAYS: OwnWays = { clock: '12 h', unit: 'in', currency: '$' };

/** Money as its owner writes it. @example money('$', 12) // '$12.00' */
export const money = (currency: string, amount: number): string =>
  /\p{L}$/u.test(currency) ? `${currency} ${amount.toFixed(2)}` : `${currency}${amount.toFixed(2)}`;
