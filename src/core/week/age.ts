import type { Rule } from './recur/rule';
import type { Wall } from './recur/wall';

/** Cards, cakes and parties for one come once. */
const THINGS =
  'cards?|cakes?|presents?|gifts?|part(?:y|ies)|dinner|lunch|candles?|wrapping|balloons?|list|invit\\p{L}*';
const COUNTED = new RegExp(`(?<!\\p{L})(birthday|b-?day|anniversary)(?!\\p{L})(?!s?\\s+(?:${THINGS})(?!\\p{L}))`, 'iu');
const MOST = 150;

/** Birthdays and anniversaries reach a number each year. */
export const isCounted = (title: string, categories: readonly string[]): boolean =>
  COUNTED.test([title, ...categories].join(' '));

/**
 * The number a birthday or an anniversary reaches; null when it is not known.
 * @param since the year it is counted from; 0 when nobody knows it
 */
export function numberReached(on: Wall, since: number): number | null {
  const years = new Date(on).getUTCFullYear() - since;
  return since > 0 && years > 0 && years <= MOST ? years : null;
}

/**
 * A birthday on 29 February is kept on the last day of February, so on the 28th in a common year, and the age is
 * reached on that day; RFC 5545 alone would leave those years out. Common practice, one of two: some keep 1 March.
 */
export function keptEveryYear(rule: Rule, start: Wall): Rule {
  const day = new Date(start);
  const plain =
    rule.freq === 'YEARLY' && !rule.byMonth && !rule.byMonthDay && !rule.byDay && !rule.byYearDay && !rule.byWeekNo;
  return plain && day.getUTCMonth() === 1 && day.getUTCDate() === 29
    ? { ...rule, byMonth: [2], byMonthDay: [-1] }
    : rule;
}
