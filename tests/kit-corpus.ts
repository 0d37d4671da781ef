import { arrange } from '../src/core/arrange/arrange';
import type { Book } from '../src/core/book/book';
import { BOOKS } from '../src/core/book/registry';
import { MANNERS } from '../src/core/manner/registry';
import { randomFrom } from '../src/core/measure/random';
import type { Context, Placement } from '../src/core/spread/placement';
import type { Demand } from '../src/core/week/demand';
import { context, demand, weekWith } from './fixtures';
import { KIT_SORTS } from './kit-sorts';

const WORDS =
  'vet hounds laundry choir rehearsal dig far bed early ferry late shift post parcel bathroom dinner soup call Wren book camp bus birthday party rent due seed order payday swim bins coffee garden tv walk film dentist letter fix gate water beans read tide table bake bread clean stove'.split(
    ' ',
  );
const DAYS = weekWith().days;
/** Items of the corpus's weeks, one after the other. */
const SIZES = [0, 1, 8, 14, 20, 27, 34, 41, 48, 56, 63, 70];

export interface KitWeek {
  readonly sort: string;
  readonly book: string;
  readonly manner: string;
  readonly context: Context;
}

/** Something that runs over some days. */
function band(uid: string, title: string, day: number, more: number): Demand {
  const lastDay = Math.min(6, day + more);
  return demand({ uid, key: uid, title, day, lastDay, on: DAYS[day] as string, kind: 'band' });
}

/** A week of that many items, titles of 3 to 60 letters, typed as people type them: no title twice. */
export function weekOfItems(count: number, seed: number): Demand[] {
  const random = randomFrom(seed);
  const below = (n: number): number => Math.floor(random() * n);
  const said = new Set<string>();
  const titleOf = (most: number): string => {
    for (;;) {
      let title = WORDS[below(WORDS.length)] as string;
      while (title.length < most - 7 && random() < 0.9) title += ` ${WORDS[below(WORDS.length)] as string}`;
      title = title.slice(0, 60);
      if (said.has(title) && said.size < 2000) title += ` ${said.size}`;
      if (said.has(title)) continue;
      said.add(title);
      return title;
    }
  };
  return Array.from({ length: count }, (_, i): Demand => {
    const day = below(7);
    if (i % 17 === 3) return band(`u${i}`, titleOf(12), Math.min(5, day), 1 + below(3));
    const listed = random();
    const list = listed < 0.25 ? 'to do' : listed < 0.35 ? 'to buy' : null;
    const start = list || random() < 0.35 ? null : 360 + below(60) * 15;
    const lengths = [6, 10, 12, 16, 20, 26, 36, 60];
    return demand({
      uid: `u${i}`,
      key: `u${i}`,
      title: titleOf(lengths[below(list ? 5 : lengths.length)] as number),
      day,
      lastDay: day,
      on: DAYS[day] as string,
      list,
      start,
      part: (['morning', 'day', 'evening'] as const)[below(3)] as Demand['part'],
      kind: list
        ? 'to-do'
        : start === null
          ? (['chore', 'chore', 'deadline', 'reminder'] as const)[below(4)]!
          : 'appointment',
    });
  });
}

/**
 * Weeks of 0 to 70 items over all sorts of kits, schools and books, always the same.
 * @param every one in so many of them
 */
export function kitCorpus(every = 1): KitWeek[] {
  const books = Object.keys(BOOKS);
  return Object.entries(KIT_SORTS)
    .flatMap(([sort, tableOf], s) =>
      Object.keys(MANNERS).flatMap((manner, m) =>
        Array.from({ length: 4 }, (_, n) => {
          const book = books[(s + m + n * 2) % books.length] as string;
          const seed = s * 1000 + m * 100 + n;
          return {
            sort,
            book,
            manner,
            seed,
            table: tableOf(seed),
            items: SIZES[(s * 5 + m * 7 + n * 3) % SIZES.length] as number,
          };
        }),
      ),
    )
    .filter((_, i) => i % every === 0)
    .map(({ sort, book, manner, seed, table, items }): KitWeek => ({
      sort,
      book,
      manner,
      context: context({
        ...table,
        book: BOOKS[book] as Book,
        manner,
        seed: seed + 1,
        week: weekWith(...weekOfItems(items, seed + 5)),
      }),
    }));
}

/** The same, laid out. */
export const laidOut = (week: KitWeek): readonly Placement[] => arrange(week.context);
