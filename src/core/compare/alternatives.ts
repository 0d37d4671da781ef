import { colorName } from '../color/color-name';
import { eyeCost } from '../eye/registry';
import { sayEye } from '../eye/say-eye';
import { sightOf } from '../eye/sight';
import { pieceKey } from '../kit/kit';
import { rhythmOf } from '../manner/rhythm';
import type { Stand } from '../manner/rhythm';
import { fitBook } from '../manner/fit-book';
import type { Ways } from '../manner/ways/registry';
import type { Options } from '../manner/options/registry';
import { colorAreas, whiteSpace } from '../review/balance';
import { boxesOf } from '../review/boxes-of';
import { areInLine, weekRhythm } from '../spread/week-rhythm';
import type { Finding, View } from '../review/finding';
import { review, viewOf, withoutPlace } from '../review/review';
import type { Score } from '../review/score';
import { scoreOf } from '../review/score';
import { longDay } from '../week/day-names';
import { OFFERED } from './offered';
import { arrange } from '../arrange/arrange';
import type { Context, Placement } from '../spread/placement';

/** One way to lay the week out, with what speaks for it. */
export interface Alternative {
  readonly placements: readonly Placement[];
  /** what was tried otherwise than is set, to be set if it is chosen */
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
  readonly score: Score;
  readonly findings: readonly Finding[];
  readonly unplaced: number;
  /** what the eye minds in it, in its points, and in words the heaviest first */
  readonly eye: number;
  readonly minds: readonly string[];
  /** one sentence on its character */
  readonly says: string;
}

interface Variant {
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
  readonly seed: number;
}

/** What is wished of other ways, beside that they differ from each other. */
export interface Wish {
  /** how often others were asked for: each time other seeds are tried */
  readonly round: number;
  /** a way in whose settings the others are looked for; null: in all */
  readonly like: Pick<Alternative, 'options' | 'ways'> | null;
  /** what they are to differ from as well: what was shown, or is not liked */
  readonly unlike: readonly (readonly Placement[])[];
}

export const NO_WISH: Wish = { round: 0, like: null, unlike: [] };

/**
 * Two spreads that share more than this are one to the eye, 0 to 1, see `apart`; of ways like one that is liked less is
 * enough. From memory.
 */
const LEAST_APART = 0.35;
const LEAST_APART_ALIKE = 0.15;
/** Seeds between one asking and the next. */
const SEEDS_A_ROUND = 100;

/**
 * Some spreads that really differ: other stands and numbers of boxes, other places of lists, other headers, other
 * seeds are tried; of the good ones those are taken that are farthest apart in what lies where (farthest-point choice:
 * Gonzalez, 1985), the best first.
 * @param kept what stays as it is in all of them, such as locked pieces
 * @param onTried is told how many of all were tried
 * @example alternativesOf(context).map((a) => a.placements.length)
 */
export function alternativesOf(
  context: Context,
  kept: readonly Placement[] = [],
  wish: Wish = NO_WISH,
  onTried: (done: number, of: number) => void = () => {},
): Alternative[] {
  const tried = (wish.like ? variantsLike(context, wish.like) : variantsOf(context)).map((v, i, all) => {
    const way = attempt(context, kept, { ...v, seed: v.seed + wish.round * SEEDS_A_ROUND });
    onTried(i + 1, all.length);
    return way;
  });
  const fewest = Math.min(...tried.map((a) => a.unplaced));
  const good = tried
    .filter((a) => a.unplaced <= fewest + 1)
    .sort((a, b) => a.unplaced - b.unplaced || worthOf(b) - worthOf(a));
  const least = wish.like ? LEAST_APART_ALIKE : LEAST_APART;
  const others: Pick<Alternative, 'placements'>[] = wish.unlike.map((placements) => ({ placements }));
  const chosen: Alternative[] = [];
  while (chosen.length < OFFERED) {
    const far = new Map(good.map((a) => [a, Math.min(1, ...others.map((c) => apart(a, c)))]));
    const rest = good.filter((a) => !chosen.includes(a) && (far.get(a) ?? 0) >= least);
    if (!rest.length) break; // the same spreads once more
    const worth = (a: Alternative): number => (others.length ? (far.get(a) ?? 0) : 0) + worthOf(a) / 400;
    const next = rest.reduce((a, b) => (worth(b) > worth(a) ? b : a));
    chosen.push(next);
    others.push(next);
  }
  return chosen;
}

/** Points of the rules, and a tenth of the eye's. From memory. */
const worthOf = (a: Alternative): number => a.score.total - a.eye / 10;

const HEADERS = ['alternating', 'fanned', 'same'] as const;

function variantsOf({ ways, options, seed }: Context): Variant[] {
  const stands: readonly Stand[] = ways.keepsRows
    ? [ways.stand]
    : [ways.stand, ...(['up-and-down', 'hill', 'floor', 'top'] as const).filter((s) => s !== ways.stand)];
  const habits = HEADERS.filter((h) => h !== options.headers);
  return [
    { options: {}, ways: {}, seed },
    ...stands.slice(1).map((stand, i): Variant => ({
      options: options.headers === 'none' ? {} : { headers: habits[i % habits.length] ?? options.headers },
      ways: { stand },
      seed: seed + i + 1,
    })),
    {
      options: { whiteSpace: Math.min(0.8, options.whiteSpace + 0.15) },
      ways: { boxes: Math.max(0, Math.min(ways.boxes, 4)), deco: 'cluster' },
      seed: seed + 7,
    },
    {
      options: {},
      ways: ways.keepsRows ? {} : { lists: ways.lists === 'top' ? 'foot' : 'top', stand: 'floor' },
      seed: seed + 11,
    },
    {
      options: options.headers === 'none' ? {} : { headers: habits[0] ?? options.headers },
      ways: { listColors: ways.listColors === 'fanned' ? 'alternating' : 'fanned' },
      seed: seed + 17,
    },
    ...stands.map((stand, i): Variant => ({
      options: options.headers === 'none' ? {} : { headers: habits[(i + 1) % habits.length] ?? options.headers },
      ways: { stand, deco: ways.deco === 'cluster' ? 'spread' : 'cluster' },
      seed: seed + 23 + i,
    })),
  ];
}

/** A way's own settings with other seeds, and one thing otherwise at a time. */
function variantsLike(
  { options: setOptions, ways: setWays, seed }: Context,
  { options, ways }: NonNullable<Wish['like']>,
): Variant[] {
  const [now, at] = [
    { ...setOptions, ...options },
    { ...setWays, ...ways },
  ];
  const others: readonly Pick<Variant, 'options' | 'ways'>[] = [
    ...[1, 2, 3, 4, 5].map(() => ({ options: {}, ways: {} })),
    ...(now.headers === 'none'
      ? []
      : HEADERS.filter((h) => h !== now.headers).map((headers) => ({ options: { headers }, ways: {} }))),
    { options: { whiteSpace: Math.min(0.8, now.whiteSpace + 0.1) }, ways: {} },
    { options: {}, ways: { lists: at.lists === 'top' ? 'foot' : 'top' } },
    { options: {}, ways: { deco: at.deco === 'cluster' ? 'spread' : 'cluster' } },
  ];
  return others.map((o, i) => ({
    options: { ...options, ...o.options },
    ways: { ...ways, ...o.ways },
    seed: seed + 31 + i,
  }));
}

function attempt(context: Context, kept: readonly Placement[], { options, ways, seed }: Variant): Alternative {
  const next = { ...context, options: { ...context.options, ...options }, ways: { ...context.ways, ...ways }, seed };
  const own: Context = { ...next, book: fitBook(context.printed, next.ways, next.options) };
  const placements = arrange(own, kept);
  const view = viewOf(own, placements);
  const findings = review(view);
  const sight = sightOf(own, placements);
  return {
    placements,
    options,
    ways,
    score: scoreOf(findings),
    findings,
    unplaced: withoutPlace(view),
    eye: eyeCost(sight),
    minds: sayEye(sight),
    says: character(view),
  };
}

/**
 * How far two spreads are apart, 0 to 1: the share of days' pieces that lie elsewhere or are others; boxes count
 * three times.
 */
export function apart(a: Pick<Alternative, 'placements'>, b: Pick<Alternative, 'placements'>): number {
  const marks = ({ placements }: Pick<Alternative, 'placements'>): Map<string, number> => {
    const all = new Map<string, number>();
    for (const p of placements) {
      if (p.day === null || p.layer > 0) continue;
      const weight = p.role === 'box' ? 3 : 1;
      for (const [mark, w] of [
        [`${p.day} ${pieceKey(p)}`, weight],
        [`${p.day} ${p.role} ${Math.round(p.y / 8)}`, weight],
      ] as const)
        all.set(mark, (all.get(mark) ?? 0) + w);
    }
    return all;
  };
  const [one, other] = [marks(a), marks(b)];
  const keys = new Set([...one.keys(), ...other.keys()]);
  let shared = 0;
  let total = 0;
  for (const k of keys) {
    shared += Math.min(one.get(k) ?? 0, other.get(k) ?? 0);
    total += Math.max(one.get(k) ?? 0, other.get(k) ?? 0);
  }
  return total ? 1 - shared / total : 0;
}

/** `Six full boxes, up and down; Wednesday is the airiest day; teal and sand lead.` */
function character(view: View): string {
  const boxes = boxesOf(view);
  const rhythm = boxes.length > 1 ? rhythmNameOf(view) : null;
  const white = [0, 1, 2, 3, 4, 5, 6].map((day) => whiteSpace(view, day));
  const airiest = white.indexOf(Math.max(...white));
  const mean = Math.round((white.reduce((a, b) => a + b, 0) / 7) * 100);
  const colors = [
    ...new Set(
      colorAreas(
        view,
        view.placements.filter((p) => p.day !== null),
      )
        .slice(0, 4)
        .map((c) => colorName(c.color)),
    ),
  ].slice(0, 2);
  return `${count(boxes.length)}${rhythm ? `, ${rhythm}` : ''}; ${mean} % stays white, most on ${longDay(view.context.week.days[airiest] as string)}; ${colors.join(' and ')} lead.`;
}

/** `up and down`; where they stand in a line: `in a row on the floor, boldest in the middle`. */
function rhythmNameOf({ context: { book }, placements, pieceOf }: View): string | null {
  const { heights, turn } = weekRhythm(book, placements, (p) => pieceOf(p)?.color);
  return [rhythmOf(heights), areInLine(heights) ? turn : null].filter(Boolean).join(', ') || null;
}

const NUMBERS = [
  'No full box',
  'One full box',
  'Two full boxes',
  'Three full boxes',
  'Four full boxes',
  'Five full boxes',
  'Six full boxes',
  'Seven full boxes',
];
const count = (n: number): string => NUMBERS[n] ?? `${n} full boxes`;
