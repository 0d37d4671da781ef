'use server';

import type { Carried } from '../core/arrange/counting/carried';
import type { Enough } from '../core/arrange/counting/enough';
import { isItEnough } from '../core/arrange/counting/enough';
import { contextFrom } from '../core/spread/context';
import { check } from './dto/check';
import { StartSpreadDto } from './dto/spread.dto';
import type { DayBetween } from '../core/week/day-between';
import { dayBefore } from './spread-of';
import { dataOfNewWeek } from './new-week';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** How a week stands before it is begun. */
export interface WeekCount {
  readonly days: readonly string[];
  readonly items: number;
  /** the day between it and the week before, where their books begin on different days */
  readonly between: DayBetween | null;
  /** kinds of which there is less than the week wants */
  readonly lacking: readonly Pick<Enough, 'what' | 'needed' | 'there'>[];
  /** how the items would be carried, where bases lack */
  readonly carried: Carried | null;
}

/** Counts a week with a book, a kit and a manner, before anything is laid or begun (handbook K1, K7). */
export async function countWeek(input: unknown): Promise<Outcome<WeekCount>> {
  return outcome(async () => {
    const db = await store();
    const data = await dataOfNewWeek(db, check(StartSpreadDto, input, 'new week'));
    const context = contextFrom(data);
    const lacking = isItEnough(context).filter((e) => e.there < e.needed);
    return {
      days: context.week.days,
      items: context.week.demands.length,
      between: await dayBefore(db, context.week.week, data.book.weekStart),
      lacking: lacking.map(({ what, needed, there }) => ({ what, needed, there })),
      carried: lacking.find((e) => e.carried)?.carried ?? null,
    };
  });
}
