import { arrange } from '../src/core/arrange/arrange';
import { randomFrom } from '../src/core/measure/random';
import type { Context, Placement } from '../src/core/spread/placement';
import { BOOKS } from '../src/core/book/registry';
import type { Book } from '../src/core/book/book';
import { MANNERS } from '../src/core/manner/registry';
import type { Demand } from '../src/core/week/demand';
import { context, demand, demoKit, weekWith } from './fixtures';

const WORDS = [
  'vet, both hounds',
  'laundry',
  'choir rehearsal',
  'dig the far bed',
  'early ferry',
  'post parcel',
  'bathroom',
  'dinner: fish soup',
  'call Mum',
  'book camp bus',
  'Wren’s birthday party',
  'rent due',
  'seed order',
  'payday',
];

const DAYS = weekWith().days;

export interface CorpusWeek {
  readonly name: string;
  readonly context: Context;
  readonly placements: readonly Placement[];
}

/** Generated weeks of 12 to 50 items over all books, schools and both kits: sixty of them, always the same. */
export function corpus(): CorpusWeek[] {
  const kits = { rockpool: demoKit('rockpool'), 'night-almanac': demoKit('night-almanac') };
  const stash = [demoKit('stash')];
  return Object.keys(BOOKS).flatMap((book, b) =>
    Object.keys(MANNERS).flatMap((manner, m) =>
      Object.entries(kits).map(([name, kit], k): CorpusWeek => {
        const random = randomFrom(b * 100 + m * 10 + k + 1);
        const below = (n: number): number => Math.floor(random() * n);
        const said = new Map<string, number>(); // what comes again is numbered: the corpus is no test of D6
        const demands = Array.from({ length: 12 + below(39) }, (_, i): Demand => {
          const day = below(7);
          const list = below(3) === 0 ? (below(2) ? 'to do' : 'to buy') : null;
          const start = list || below(3) === 0 ? null : 360 + below(60) * 15;
          const word = WORDS[below(WORDS.length)] as string;
          const times = (said.get(word) ?? 0) + 1;
          said.set(word, times);
          return demand({
            uid: `u${i}`,
            key: `u${i}`,
            title: times === 1 ? word : `${word} ${times}`,
            day,
            lastDay: day,
            on: DAYS[day] as string,
            list,
            start,
            kind: list ? 'to-do' : start === null ? 'chore' : 'appointment',
          });
        });
        const c = context({
          book: BOOKS[book] as Book,
          kit,
          stash,
          manner,
          week: weekWith(...demands),
          seed: b + m + k,
        });
        return { name: `${book}, ${manner}, ${name}`, context: c, placements: arrange(c) };
      }),
    ),
  );
}
