import type { Rule } from './rule';
import type { Wall } from './wall';
import { DAY_MS, dayNumber, wallOf, weekday } from './wall';

/** What a rule asks of a day, with what it leaves open taken from its start (RFC 5545, section 3.3.10). */
export type DayTest = (day: Wall) => boolean;

/**
 * The test that every day of a rule passes. BYMONTH limits; BYWEEKNO, BYYEARDAY, BYMONTHDAY and BYDAY limit or expand,
 * which comes to the same once the days of the whole period are looked through.
 */
export function dayTest(rule: Rule, start: Wall): DayTest {
  const from = new Date(start);
  const { byMonth, byWeekNo, byYearDay, byMonthDay, byDay } = rule;
  const open = !byYearDay && !byMonthDay && !byDay;
  const ofStart = open && (rule.freq === 'MONTHLY' || (rule.freq === 'YEARLY' && !byWeekNo)) ? from.getUTCDate() : null;
  const monthOfStart = ofStart !== null && rule.freq === 'YEARLY' && !byMonth ? from.getUTCMonth() + 1 : null;
  const weekdayOfStart =
    open && (rule.freq === 'WEEKLY' || (rule.freq === 'YEARLY' && byWeekNo)) ? weekday(start) : null;
  const nthInYear = rule.freq === 'YEARLY' && !byMonth;
  const nthCounts = rule.freq === 'YEARLY' || rule.freq === 'MONTHLY';
  return (day) => {
    const date = new Date(day);
    const [year, month, ofMonth] = [date.getUTCFullYear(), date.getUTCMonth() + 1, date.getUTCDate()];
    if (byMonth && !byMonth.includes(month)) return false;
    if (monthOfStart !== null && month !== monthOfStart) return false;
    if (ofStart !== null && ofMonth !== ofStart) return false;
    if (weekdayOfStart !== null && weekday(day) !== weekdayOfStart) return false;
    if (byMonthDay && !byMonthDay.includes(ofMonth) && !byMonthDay.includes(ofMonth - 1 - monthLength(year, month)))
      return false;
    if (byYearDay) {
      const ofYear = dayNumber(day) - dayNumber(wallOf(year, 1, 1)) + 1;
      if (!byYearDay.includes(ofYear) && !byYearDay.includes(ofYear - 1 - yearLength(year))) return false;
    }
    if (byWeekNo) {
      const { number, of } = weekNumber(day, rule.weekStart);
      if (!byWeekNo.includes(number) && !byWeekNo.includes(number - 1 - of)) return false;
    }
    if (!byDay) return true;
    const first = wallOf(year, nthInYear ? 1 : month, 1);
    const length = nthInYear ? yearLength(year) : monthLength(year, month);
    const place = dayNumber(day) - dayNumber(first);
    return byDay.some(
      (d) =>
        d.weekday === weekday(day) &&
        (d.nth === 0 ||
          !nthCounts ||
          d.nth === Math.floor(place / 7) + 1 ||
          d.nth === -Math.floor((length - 1 - place) / 7) - 1),
    );
  };
}

export const monthLength = (year: number, month: number): number => new Date(Date.UTC(year, month, 0)).getUTCDate();
const yearLength = (year: number): number => dayNumber(wallOf(year + 1, 1, 1)) - dayNumber(wallOf(year, 1, 1));

/** A week's number, as ISO 8601 counts but from any first weekday: week 1 is the first with four days in the year. */
function weekNumber(day: Wall, weekStart: number): { number: number; of: number } {
  const first = day - ((weekday(day) - weekStart + 7) % 7) * DAY_MS;
  const year = new Date(first + 3 * DAY_MS).getUTCFullYear();
  const begins = (y: number): Wall => {
    const fourth = wallOf(y, 1, 4);
    return fourth - ((weekday(fourth) - weekStart + 7) % 7) * DAY_MS;
  };
  const weeks = (a: Wall, b: Wall): number => Math.round((b - a) / (7 * DAY_MS));
  return { number: weeks(begins(year), first) + 1, of: weeks(begins(year), begins(year + 1)) };
}
