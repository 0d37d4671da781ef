/**
 * What a decorator sees first, counted over a spread by its rectangles alone: nothing here asks the engine's own
 * reckoning of free room. Lengths in mm.
 */
import { fitBox } from '../../src/core/arrange/boxes/box-fit';
import { dayColumn } from '../../src/core/book/columns';
import { rowFrames } from '../../src/core/book/rows';
import type { MANNERS } from '../../src/core/manner/registry';
import { pieceKey } from '../../src/core/kit/kit';
import type { Piece } from '../../src/core/kit/kit';
import type { Kind } from '../../src/core/kit/kinds';
import type { Rect } from '../../src/core/measure/rect';
import { bottom, intersect, unionArea } from '../../src/core/measure/rect';
import { handAt, textFits } from '../../src/core/measure/hand';
import { meaningsOf } from '../../src/core/week/meaning';
import { Draft } from '../../src/core/spread/draft';
import type { Context, Placement } from '../../src/core/spread/placement';
import { footprint, isWriting, matchDemands, pieceIndex } from '../../src/core/spread/placement';
import { context, weekWith } from '../fixtures';
import { KIT_SORTS } from '../kit-sorts';
import { strangersBook } from '../strangers/books';
import { strangersItems, strangersKit } from '../strangers/weeks';
import { BOOKS } from '../../src/core/book/registry';
import type { Book } from '../../src/core/book/book';
import { restDays } from '../../src/core/spread/rest-days';

/** A blank longer than this looks forgotten. Issue's own bar; from memory. */
export const LONGEST_BLANK = 45;
/** A slice of a column is blank where less than this share of its width is covered. */
const COVERED = 0.25;
/** Something of a header's section stands within so many mm under it. */
const SECTION = 15;
/** A label and its gap, for what comes up (D3). */
const COMES_UP = 11;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

export interface Seen {
  readonly days: number;
  /** days with a blank of over 45 mm into which a full box, half box or picture left on the sheets would go */
  readonly blank: number;
  /** white of the columns beyond what was asked for, as a share, summed over the days */
  readonly white: number;
  /** white of the columns, as a share, into which something left would go: summed over the days, see `openIn` */
  readonly open: number;
  /** days without a box that could hold a full box that is left */
  readonly boxless: number;
  /** rows of days where rows are kept, and those with nothing in them though the kit has something for them */
  readonly rows: number;
  readonly empty: number;
  readonly headers: number;
  readonly idle: number;
  /** same picture twice, one under the other, within 60 mm */
  readonly twins: number;
  /** items alone on a base with a picture or word that means them; those without, though one is left that fits */
  readonly meant: number;
  readonly unmeant: number;
  readonly pictures: number;
  readonly bare: number;
  /** copies of the kit and those laid, by kind */
  readonly copies: ReadonlyMap<Kind, number>;
  readonly laid: ReadonlyMap<Kind, number>;
}

/** Runs of a column in which hardly anything lies, longest first. */
export function blanksOf(column: Rect & { page: number }, placements: readonly Placement[]): Rect[] {
  const step = 0.5;
  const there = placements.filter((p) => p.page === column.page).map(footprint);
  const runs: Rect[] = [];
  let from: number | null = null;
  for (let y = column.y; y <= bottom(column) + step; y += step) {
    const slice = { x: column.x, y, w: column.w, h: step };
    const parts = there.flatMap((r) => intersect(r, slice) ?? []);
    const isBlank = y + step <= bottom(column) && unionArea(parts) < COVERED * column.w * step;
    if (isBlank) from ??= y;
    else if (from !== null) {
      runs.push({ x: column.x, y: from, w: column.w, h: y - from });
      from = null;
    }
  }
  return runs.sort((a, b) => b.h - a.h);
}

/** A picture keeps so much from what is written beside it, and from the base's edges. */
const BESIDE = 5;
/** A base narrower than this carries words alone. */
const NARROW = 24;

/** Of the items alone on an upright base: those that a picture or a word means, and those that a left one could. */
function meantOf(c: Context, placements: readonly Placement[]): { meant: number; unmeant: number } {
  const pieces = pieceIndex(c);
  const { ledger } = Draft.begin(c, placements);
  const carriers = matchDemands(placements, c.week.demands);
  const hand = handAt(c.options.hand, c.options.smallest);
  let [meant, unmeant] = [0, 0];
  for (const d of c.week.demands) {
    const base = carriers.get(d.key);
    const kind = base && pieces.get(pieceKey(base))?.kind;
    if (
      d.kind === 'band' ||
      !base ||
      !kind ||
      kind === 'checklist' ||
      kind === 'icon' ||
      base.items.length !== 1 ||
      base.turn !== 0
    )
      continue;
    const over = placements.filter(
      (p) => p.page === base.page && p !== base && intersect(footprint(p), footprint(base)),
    );
    const dressing = over.filter((p) => ['icon', 'script'].includes(pieces.get(pieceKey(p))?.kind ?? ''));
    const isLittle = kind === 'little' && Boolean(pieces.get(pieceKey(base))?.icon);
    if (dressing.length || isLittle || kind === 'deco') {
      meant++;
      continue;
    }
    const means = meaningsOf(d.title, d.categories);
    const goesOn = c.kit.pieces.some(
      (p) =>
        p.kind === 'icon' &&
        ledger.untouched(p) > 0 &&
        means.includes(p.icon) &&
        p.height <= base.h &&
        base.w >= NARROW &&
        (base.text === null || textFits(base.text, base.w - p.width - BESIDE, base.h - 2, hand)),
    );
    if (goesOn && kind !== 'little' && over.length === 0) unmeant++;
  }
  return { meant, unmeant };
}

/** Kinds that fill a place without an item of their own: boxes to write on, lists, pictures. */
const FILLS: Kind[] = ['full-box', 'half-box', 'third-box', 'quarter-box', 'checklist', 'deco'];
/** What keeps two pieces apart, above and below. */
const APART = 5;

/** mm of a day’s bare runs into which something left would go, beyond the white asked and room for what comes up. */
function openIn(
  c: Context,
  column: Rect & { page: number },
  placements: readonly Placement[],
  left: readonly Piece[],
): number {
  const goes = left.filter((p) => p.width <= column.w + 8);
  const runs = blanksOf(column, placements).filter((r) => goes.some((p) => p.height + APART <= r.h));
  const bare = runs.reduce((sum, r) => sum + r.h - APART, 0);
  return Math.max(0, bare - Math.max(COMES_UP, c.options.whiteSpace * column.h));
}

export function seen(c: Context, placements: readonly Placement[]): Seen {
  const pieces = pieceIndex(c);
  const kindOf = (p: Placement): Kind | undefined => pieces.get(pieceKey(p))?.kind;
  const rest = restDays(c);
  const { ledger } = Draft.begin(c, placements);
  const left = (...kinds: Kind[]): Piece[] =>
    c.kit.pieces.filter((p) => kinds.includes(p.kind) && ledger.untouched(p) > 0);
  let [days, blank, white, open, boxless, rows, empty] = [0, 0, 0, 0, 0, 0, 0];
  let stock = FILLS.flatMap((kind) => left(kind)).reduce((sum, p) => sum + ledger.untouched(p) * p.height, 0);
  let [headers, idle, twins, pictures, bare] = [0, 0, 0, 0, 0];
  for (const day of DAYS) {
    const column = dayColumn(c.book, day);
    // a day that asks for nothing in a full week is left alone on purpose
    if (!column || rest.has(day)) continue;
    days++;
    const there = placements.filter((p) => p.page === column.page && intersect(footprint(p), column));
    const [longest, other] = blanksOf(column, placements);
    const room = longest?.h ?? 0;
    // a place for what comes up stays: there, or elsewhere in the day
    const kept = (other?.h ?? 0) > COMES_UP + 4 ? 4 : COMES_UP + 4;
    // one full box a day at most
    const hasBox = placements.some((p) => p.day === day && (p.role === 'box' || kindOf(p) === 'full-box'));
    if (
      room > LONGEST_BLANK &&
      ((!hasBox && left('full-box').some((p) => fitBox(p, column.w, room - kept))) ||
        left('half-box', 'deco').some((p) => p.height <= room - kept && p.width <= column.w + 0.5))
    )
      blank++;
    const covered = unionArea(there.flatMap((p) => intersect(footprint(p), column) ?? []));
    white += 1 - covered / (column.w * column.h) - c.options.whiteSpace;
    const bareHere = Math.min(stock, openIn(c, column, placements, left(...FILLS)));
    stock -= bareHere;
    open += bareHere / column.h;
    if (!hasBox && left('full-box').some((p) => fitBox(p, column.w, room - kept))) boxless++;
    if (c.ways.keepsRows)
      for (const frame of rowFrames(c.book, day)) {
        rows++;
        const area = { ...column, y: frame.y, h: frame.h };
        const run = blanksOf(column, placements).find((r) => intersect(r, area));
        const free = Math.min(frame.h, (run?.h ?? 0) - kept);
        const inIt = there.flatMap((p) => intersect(footprint(p), area) ?? []).filter((r) => r.h > 4);
        const fits = left('full-box', 'half-box', 'third-box', 'deco', 'little').some((p) =>
          p.kind === 'full-box' ? fitBox(p, column.w, free) : p.width <= column.w && p.height <= free,
        );
        if (!inIt.length && fits) empty++;
      }
    for (const h of there.filter((p) => kindOf(p) === 'header' && p.role === 'base')) {
      headers++;
      const under = there.some(
        (p) => p !== h && kindOf(p) !== 'header' && footprint(p).y >= bottom(h) - 2 && footprint(p).y <= bottom(h) + SECTION, // prettier-ignore
      );
      if (!under) idle++;
    }
    const deco = there.filter((p) => kindOf(p) === 'deco');
    if (!deco.length) bare++;
    pictures += deco.length;
    for (const [i, a] of deco.entries())
      if (deco.slice(i + 1).some((b) => b.code === a.code && Math.abs(a.y - b.y) < 60)) twins++;
  }
  const copies = new Map<Kind, number>();
  const laid = new Map<Kind, number>();
  for (const p of c.kit.pieces) copies.set(p.kind, (copies.get(p.kind) ?? 0) + p.count);
  for (const key of new Set(
    placements.filter((p) => !isWriting(p)).map((p) => `${kindOf(p)} ${pieceKey(p)} ${p.copy}`),
  ))
    laid.set(key.split(' ')[0] as Kind, (laid.get(key.split(' ')[0] as Kind) ?? 0) + 1);
  return {
    ...meantOf(c, placements),
    days,
    blank,
    white,
    open,
    boxless,
    rows,
    empty,
    headers,
    idle,
    twins,
    pictures,
    bare,
    copies,
    laid,
  };
}

/** Weeks for the eye, by a seed: two of three with kits of the sorts that people buy, the rest with strangers' kits. */
export function eyeWeek(seed: number, manner: string): Context {
  const sorts = Object.values(KIT_SORTS);
  const table = seed % 3 === 0 ? { kit: strangersKit(seed) } : sorts[seed % sorts.length]?.(seed);
  const shipped: readonly Book[] = Object.values(BOOKS);
  return context({
    book: seed % 2 ? strangersBook(seed) : shipped[seed % shipped.length],
    ...table,
    manner,
    seed,
    week: weekWith(...strangersItems(seed, 4 + ((seed * 7) % 42))),
  });
}

export const SCHOOLS = ['scattered', 'grounded', 'crowned', 'three-rows'] as const satisfies (keyof typeof MANNERS)[];
