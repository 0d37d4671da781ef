'use server';

import type { Carried } from '../core/arrange/counting/carried';
import type { Enough } from '../core/arrange/counting/enough';
import { isItEnough } from '../core/arrange/counting/enough';
import { contextFrom } from '../core/spread/context';
import { check } from './dto/check';
import { StartSpreadDto } from './dto/spread.dto';
import { newWeek } from './new-week';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { ownerHand } from './settings';
import { weekDemands } from './spread-data';
import { stocked, usualStash } from './stash';
import { store } from './store';

/** How a week stands before it is begun. */
export interface WeekCount {
  readonly days: readonly string[];
  /** kinds of which there is less than the week wants */
  readonly lacking: readonly Pick<Enough, 'what' | 'needed' | 'there'>[];
  /** how the items would be carried, where bases lack */
  readonly carried: Carried | null;
}

/** Counts a week with a book, a kit and a manner, before anything is laid or begun (handbook K1, K7). */
export async function countWeek(input: unknown): Promise<Outcome<WeekCount>> {
  return outcome(async () => {
    const chosen = check(StartSpreadDto, input, 'new week');
    const db = await store();
    const { week, book, school, options, ways } = await newWeek(db, chosen);
    const demands = await weekDemands(db, week, book.weekStart);
    const stock = await stocked(db, -1, chosen.kitId, await usualStash(db, week, chosen.kitId), []);
    if (!stock) throw new Error(`kit ${chosen.kitId} went away while it was counted`);
    const context = contextFrom({
      book,
      kit: stock.kit,
      stash: stock.stash,
      week: demands,
      manner: school,
      ways,
      options: { hand: await ownerHand(db), ...options },
      seed: 1,
      usedElsewhere: stock.gone,
    });
    const lacking = isItEnough(context).filter((e) => e.there < e.needed);
    return {
      days: demands.days,
      lacking: lacking.map(({ what, needed, there }) => ({ what, needed, there })),
      carried: lacking.find((e) => e.carried)?.carried ?? null,
    };
  });
}
