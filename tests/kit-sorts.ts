/**
 * Kits of many sorts, as people buy and own them, made by a seed: thin ones first. The demo kits are the best case;
 * what holds for them holds for few.
 */
import type { Kit, Piece } from '../src/core/kit/kit';
import type { Kind } from '../src/core/kit/kinds';
import { traits } from '../src/core/kit/kinds';
import { randomFrom } from '../src/core/measure/random';
import type { Context } from '../src/core/spread/placement';
import { piece } from './fixtures';

/** What lies on the table for a week. */
export interface Table {
  readonly kit: Kit;
  readonly stash: readonly Kit[];
  readonly usedElsewhere: Context['usedElsewhere'];
}

/** Designs of a kind: how many, and copies of each. */
type Sheet = readonly (readonly [kind: Kind, designs: number, copies: number, over?: Partial<Piece>])[];

const CALM = ['#e4f3ef', '#cfe0d8', '#f4d9cf', '#1f6f78', '#e8c9a0', '#9fb8c8'];
const LOUD = ['#ff2b6b', '#ffd400', '#00c2ff', '#101010', '#7a00ff', '#00d26a'];
const MEANINGS = [
  'laundry',
  'bins',
  'coffee',
  'dinner',
  'groceries',
  'bill',
  'work',
  'choir',
  'dog',
  'vet',
  'garden',
  'tv',
];

/** A kit with those sheets, its colors and pictures in turn. */
export function made(name: string, seed: number, sheets: Sheet, colors: readonly string[] = CALM): Kit {
  const random = randomFrom(seed);
  const pick = <T>(list: readonly T[]): T => list[Math.floor(random() * list.length)] as T;
  const pieces = sheets.flatMap(([kind, designs, copies, over = {}], row) =>
    Array.from({ length: designs }, (_, i): Piece => {
      const { usual, shape, opacity, writable } = traits(kind);
      const color = colors[(i + row) % colors.length] as string;
      return piece({
        kit: name,
        code: `${kind}-${row}-${i}`,
        kind,
        count: copies,
        width: usual[0],
        height: usual[1],
        sheet: 1 + (row % 4),
        shape,
        opacity,
        writable,
        color,
        accent: pick(colors),
        motif: kind === 'full-box' || kind === 'deco' ? pick(['waves', 'shell', 'stars', 'kelp']) : '',
        icon: kind === 'icon' || kind === 'little' ? MEANINGS[i % MEANINGS.length] : '',
        words: kind === 'script' ? MEANINGS[i % MEANINGS.length] : '',
        rows: kind === 'checklist' ? 6 : kind === 'week-tracker' ? 7 : 0,
        ...over,
      });
    }),
  );
  return { name, pieces };
}

const dates: Sheet = [['date-cover', 2, 7]];
const base: Sheet = [...dates, ['header', 3, 8], ['bottom-washi', 2, 1]];
const alone = (kit: Kit, ...stash: Kit[]): Table => ({ kit, stash, usedElsewhere: [] });

/** Leftovers of other kits: a handful of each. */
const leftovers = (seed: number): Kit =>
  made('leftovers', seed + 77, [
    ['label', 2, 2],
    ['quarter-box', 2, 2],
    ['checklist', 1, 1],
    ['icon', 4, 1],
    ['washi', 1, 1, { width: 900, height: 12 }],
  ]);

/** Each sort of kit by its name, made by a seed. One line a sort. */
export const KIT_SORTS: Readonly<Record<string, (seed: number) => Table>> = {
  'mini kit of 40': (seed) =>
    alone(
      made('mini', seed, [
        ['full-box', 4, 1],
        ['checklist', 2, 2],
        ['header', 2, 4],
        ['half-box', 2, 2],
        ['label', 2, 3],
        ['icon', 6, 1],
        ['bottom-washi', 1, 1],
        ['deco', 4, 1],
      ]),
    ),
  thin: (seed) =>
    alone(
      made('thin', seed, [
        ...base,
        ['full-box', 8, 1],
        ['checklist', 5, 2],
        ['little', 8, 3],
        ['label', 2, 2],
        ['icon', 8, 1],
      ]),
      leftovers(seed),
    ),
  sampler: (seed) =>
    alone(
      made('sampler', seed, [
        ['full-box', 2, 1],
        ['half-box', 1, 1],
        ['third-box', 2, 1],
        ['quarter-box', 2, 1],
        ['checklist', 1, 1],
        ['header', 3, 1],
        ['label', 3, 1],
        ['flag', 3, 1],
        ['circle', 4, 1],
        ['icon', 8, 1],
        ['script', 4, 1],
        ['washi', 1, 1],
      ]),
      leftovers(seed),
    ),
  'lists and boxes': (seed) =>
    alone(
      made('plain', seed, [
        ['full-box', 8, 1],
        ['checklist', 7, 2],
        ['half-box', 2, 4],
      ]),
    ),
  'no headers': (seed) =>
    alone(
      made('bareheaded', seed, [
        ...dates,
        ['full-box', 8, 1],
        ['checklist', 4, 2],
        ['quarter-box', 4, 4],
        ['label', 3, 4],
        ['icon', 8, 2],
      ]),
    ),
  'no dates': (seed) =>
    alone(
      made('undated', seed, [
        ['header', 3, 8],
        ['full-box', 8, 1],
        ['checklist', 4, 2],
        ['third-box', 4, 3],
        ['flag', 3, 4],
        ['icon', 8, 1],
      ]),
    ),
  'one color': (seed) =>
    alone(
      made(
        'plain-sea',
        seed,
        [...base, ['full-box', 8, 1], ['checklist', 4, 2], ['half-box', 4, 2], ['label', 4, 4], ['little', 6, 2]],
        ['#9fc8c4'],
      ),
    ),
  loud: (seed) =>
    alone(
      made(
        'loud',
        seed,
        [...base, ['full-box', 8, 1], ['checklist', 4, 2], ['quarter-box', 6, 3], ['label', 4, 3], ['script', 8, 1]],
        LOUD,
      ),
      leftovers(seed),
    ),
  'big, of 500': (seed) =>
    alone(
      made('big', seed, [
        ...base,
        ['full-box', 16, 2],
        ['double-box', 1, 1],
        ['checklist', 8, 4],
        ['half-box', 8, 4],
        ['third-box', 8, 4],
        ['quarter-box', 10, 6],
        ['label', 8, 6],
        ['little', 12, 4],
        ['flag', 6, 6],
        ['icon', 12, 4],
        ['script', 12, 2],
        ['deco', 12, 2],
        ['date-dot', 31, 1],
        ['banner', 1, 1],
        ['habit-tracker', 4, 1],
        ['week-tracker', 2, 1],
        ['quote-box', 2, 1],
      ]),
    ),
  'glossy and vinyl': (seed) =>
    alone(
      made('shine', seed, [
        ...base.map(([k, d, n]) => [k, d, n, { finish: 'glossy' }] as const),
        ['full-box', 8, 1, { finish: 'glossy' }],
        ['checklist', 4, 2, { finish: 'glossy' }],
        ['label', 4, 4, { finish: 'vinyl' }],
        ['quarter-box', 4, 3, { finish: 'glossy' }],
        ['icon', 8, 1, { finish: 'clear' }],
      ]),
    ),
  'odd sizes': (seed) =>
    alone(
      made('odd', seed, [
        ['date-cover', 2, 7, { width: 39.6, height: 13 }],
        ['header', 3, 8, { width: 39.6, height: 7 }],
        ['full-box', 8, 1, { width: 39.6, height: 50 }],
        ['checklist', 4, 2, { width: 39.6, height: 50, rows: 7 }],
        ['half-box', 4, 2, { width: 39.6, height: 25.4 }],
        ['quarter-box', 4, 3, { width: 39.6, height: 12.7 }],
      ]),
      leftovers(seed),
    ),
  'cut for B6': (seed) =>
    alone(
      made('small', seed, [
        ['date-cover', 2, 7, { width: 28, height: 9 }],
        ['header', 3, 8, { width: 28, height: 5 }],
        ['full-box', 8, 1, { width: 28, height: 36 }],
        ['checklist', 4, 2, { width: 28, height: 36, rows: 6 }],
        ['half-box', 4, 2, { width: 28, height: 18 }],
        ['label', 4, 4, { width: 28, height: 9 }],
        ['icon', 8, 1, { width: 8, height: 8 }],
      ]),
    ),
  'two half-used': (seed) => {
    const one = made('first', seed, [
      ...base,
      ['full-box', 8, 1],
      ['checklist', 4, 2],
      ['half-box', 4, 2],
      ['label', 4, 4],
      ['icon', 8, 1],
    ]);
    const two = made('second', seed + 1, [
      ...base,
      ['full-box', 8, 1],
      ['checklist', 4, 2],
      ['quarter-box', 6, 3],
      ['script', 8, 1],
    ]);
    const random = randomFrom(seed + 2);
    const used = [one, two].flatMap(({ pieces }) =>
      pieces.flatMap(({ kit, code, count }) =>
        Array.from({ length: count }, (_, i) => ({ kit, code, copy: i + 1, cut: null })).filter(() => random() < 0.5),
      ),
    );
    return { kit: one, stash: [two], usedElsewhere: used };
  },
  'nothing to write on': (seed) =>
    alone(
      made('pictures', seed, [
        ...base,
        ['full-box', 8, 1],
        ['deco', 10, 2],
        ['icon', 8, 2],
        ['script', 8, 2],
        ['washi', 2, 1, { width: 3000, height: 10 }],
      ]),
    ),
  'three stickers': (seed) =>
    alone(
      made('three', seed, [
        ['label', 1, 1],
        ['full-box', 1, 1],
        ['icon', 1, 1],
      ]),
    ),
};
