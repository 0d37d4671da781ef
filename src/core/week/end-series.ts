import type { IsoDay } from './week';
import { plus } from './typed/calendar-days';

/**
 * A rule that ends with the day before another: it counts no more.
 * Source: RFC 5545, 3.3.10 (UNTIL and COUNT must not occur in the same rule).
 * @param rule an RRULE without its name, as a person edits it: its UNTIL is a day
 */
export function endBefore(rule: string, day: IsoDay): string {
  const kept = rule.split(';').filter((part) => !/^(UNTIL|COUNT)=/i.test(part));
  return [...kept, `UNTIL=${plus(day, -1).replaceAll('-', '')}`].join(';');
}
