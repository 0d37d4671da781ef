import { isOf } from '../../kit/is-of';
import type { Region } from '../../book/book';
import { alignX } from '../../spread/align';
import { regionsOf } from '../../book/columns';
import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import type { Section } from '../../manner/section';
import { bottom } from '../../measure/rect';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import type { Context } from '../../spread/placement';
import { trimTo } from '../../spread/trim';
import { madeTracker, writeName } from './made-tracker';

interface Serving {
  readonly kinds: readonly Piece['kind'][];
  /** words by which a piece is known to be made for the section */
  readonly words: readonly string[];
  /** how much of it is wanted, the usual amount first: pieces one under another, or rows of a list */
  readonly amounts: readonly number[];
  readonly rows?: true;
}

/** What serves each section. Common practice. */
const SERVINGS: Readonly<Record<Section, Serving>> = {
  quote: { kinds: ['quote-box', 'full-box'], words: [], amounts: [1] },
  habits: { kinds: ['habit-tracker'], words: ['habit', 'habits'], amounts: [3, 4, 2, 1] },
  dinners: { kinds: ['week-tracker'], words: ['dinner', 'dinners', 'supper', 'meals'], amounts: [1] },
  hours: { kinds: ['week-tracker'], words: ['hours', 'shift', 'worked'], amounts: [1] },
  spending: { kinds: ['week-tracker'], words: ['spending', 'spent', 'money'], amounts: [1] },
  parcels: { kinds: ['checklist'], words: ['parcels', 'post'], amounts: [3, 2], rows: true },
  posts: { kinds: ['checklist'], words: ['posts'], amounts: [3, 2], rows: true },
  'next-week': { kinds: ['checklist'], words: ['next week'], amounts: [4, 5, 3, 2], rows: true },
};

/** Between a section of the sidebar and the next, mm. */
const BETWEEN = 1;
/** mm of height left over that weigh as much as one step away from the usual amount. */
const UNUSUAL = 7;

/**
 * The sidebar, top to bottom: the wanted sections with a divider above each (handbook 4, step 5). Of all amounts
 * of trackers and rows the stack is taken that leaves no section out, and then the least height over beside the usual
 * amounts.
 */
export const sidebar: Stage = (before, context) => {
  const whole = regionsOf(context.book, 'sidebar')[0];
  if (!whole) return before;
  const there = before.lyingIn(whole.page, whole);
  if (there.some((p) => p.role !== 'base')) return before;
  const floor = Math.min(bottom(whole), ...there.map((p) => p.y - context.options.gap));
  const bar = { ...whole, h: floor - whole.y };
  const stacks = amountsOf(context.options.sidebar).map((amounts) => stackUp(before, context, bar, amounts));
  const best = stacks.reduce((a, b) =>
    b.missing < a.missing || (b.missing === a.missing && b.cost < a.cost - 0.5) ? b : a,
  );
  closeOff(best.draft, context, bar, bottom(bar) - best.left);
  return best.draft;
};

function amountsOf(sections: readonly Section[]): number[][] {
  return sections.reduce<number[][]>(
    (all, s) => all.flatMap((before) => SERVINGS[s].amounts.map((n) => [...before, n])),
    [[]],
  );
}

function stackUp(
  before: Draft,
  context: Context,
  bar: Region,
  amounts: readonly number[],
): { draft: Draft; left: number; missing: number; cost: number } {
  let draft = before.clone();
  let y = bar.y;
  let missing = 0;
  let unusual = 0;
  context.options.sidebar.forEach((section, i) => {
    const trial = draft.clone();
    const divider = y > bar.y ? layDivider(trial, context, bar, y) : 0;
    const placed = laySection(trial, context, bar, section, amounts[i] ?? 1, y + divider);
    if (placed === 0) {
      missing++;
      return;
    }
    draft = trial;
    unusual += SERVINGS[section].amounts.indexOf(amounts[i] ?? 1);
    y += divider + placed + context.options.gap;
  });
  const left = bottom(bar) - y;
  return { draft, left, missing, cost: left + unusual * UNUSUAL };
}

/** @returns the mm of height taken */
function layDivider(draft: Draft, context: Context, bar: Region, y: number): number {
  const strip = byCost(piecesOf(context, 'washi'), (p) => {
    const strange = strangeness(p, context);
    return p.height > Math.min(8, bottom(bar) - y) || strange > FOREIGN || draft.ledger.longest(p) < bar.w
      ? Infinity
      : strange + p.height / 2;
  })[0];
  const taken = strip && draft.ledger.takeLength(strip, bar.w, strip.height);
  if (!strip || !taken) return 0;
  draft.add(strip, taken, { page: bar.page, x: bar.x, y, role: 'sidebar' });
  return strip.height + BETWEEN;
}

/** @returns the mm of height taken; 0 when the section cannot be had, and the draft is then to be dropped */
function laySection(
  draft: Draft,
  context: Context,
  bar: Region,
  section: Section,
  amount: number,
  top: number,
): number {
  const { rows } = SERVINGS[section];
  const named = layHeader(draft, context, bar, section, top);
  let y = top + named;
  for (let n = 0; n < (rows ? 1 : amount); n++) {
    const piece = findPiece(draft, context, bar, section, rows ? amount : 0, bottom(bar) - y);
    const taken =
      piece &&
      (rows ? draft.ledger.takeRows(piece, amount, bar.w) : draft.ledger.take(piece, trimTo(piece, bar.w) ?? null));
    if (!piece || !taken)
      return n === 0 && TRACKED.includes(section)
        ? named +
            madeTracker(draft, context, bar, named ? null : spoken(section), y, (p) => colorCost(draft, context, p))
        : 0;
    const placed = draft.add(piece, taken, {
      page: bar.page,
      x: alignX(context, bar, taken.cut?.w ?? piece.width),
      y,
      role: 'sidebar',
    });
    y += placed.h + BETWEEN;
  }
  return y - BETWEEN - top;
}

/** Sections that a tracker serves; where none is left one is made (handbook K2). */
const TRACKED: readonly Section[] = ['habits', 'dinners', 'hours', 'spending'];

/** One family of color down the bar, or another with every section, as the manner has it (handbook 5). */
function colorCost(draft: Draft, context: Context, piece: Piece): number {
  const laid = draft.placements
    .filter((p) => p.role === 'sidebar' && p.w * p.h > 150)
    .flatMap((p) => draft.pieceOf(p)?.color ?? []);
  if (!laid.length) return 0;
  return context.ways.sidebarColors === 'one family'
    ? difference(laid[0] as string, piece.color) / 8
    : Math.max(0, 20 - difference(laid.at(-1) as string, piece.color)) / 5;
}

const spoken = (section: Section): string => section.replace('-', ' ');

/** A header whose words name the section; rows that bear no name of their own have it written over them. */
function layHeader(draft: Draft, context: Context, bar: Region, section: Section, y: number): number {
  if (SERVINGS[section].kinds[0] === 'week-tracker') return 0; // it bears its name itself
  const names = [...SERVINGS[section].words, spoken(section)];
  const piece = byCost(piecesOf(context, 'header'), (p) =>
    names.includes(p.words.trim().toLowerCase()) && draft.ledger.untouched(p) > 0 && trimTo(p, bar.w) !== undefined
      ? strangeness(p, context)
      : Infinity,
  )[0];
  const taken = piece && draft.ledger.take(piece, trimTo(piece, bar.w) ?? null);
  if (!piece || !taken) return SERVINGS[section].rows ? writeName(draft, context, bar, spoken(section), y) : 0;
  draft.add(piece, taken, { page: bar.page, x: alignX(context, bar, taken.cut?.w ?? piece.width), y, role: 'sidebar' });
  return piece.height + BETWEEN;
}

function findPiece(
  draft: Draft,
  context: Context,
  bar: Region,
  section: Section,
  rows: number,
  room: number,
): Piece | undefined {
  const { kinds, words } = SERVINGS[section];
  return byCost(piecesOf(context, ...kinds), (p) => {
    const strange = strangeness(p, context);
    const h = rows ? (p.height / Math.max(1, p.rows)) * rows : p.height;
    const there = rows ? draft.ledger.mostRows(p) >= rows : draft.ledger.untouched(p) > 0;
    if (!there || h > room || strange > FOREIGN || trimTo(p, bar.w) === undefined) return Infinity;
    if (section === 'quote') return p.kind === 'quote-box' ? strange : spareBox(draft, context, p) ? 50 : Infinity;
    const printed = p.words.trim().toLowerCase();
    const made = !printed
      ? 4
      : words.some((w) => printed.includes(w))
        ? 0
        : kinds[0] === 'habit-tracker'
          ? 1
          : Infinity;
    return (
      made +
      strange +
      (isOf(context.kit, p) ? 0 : 3) +
      (rows || kinds[0] === 'habit-tracker' ? colorCost(draft, context, p) : 0)
    );
  })[0];
}

/** A full box beyond one for each day: a mini kit's eighth is for the sidebar (handbook 3). */
function spareBox(draft: Draft, context: Context, piece: Piece): boolean {
  const boxes = context.kit.pieces.filter((p) => p.kind === 'full-box');
  return isOf(context.kit, piece) && boxes.reduce((n, p) => n + draft.ledger.untouched(p), 0) > 7;
}

/** What is left at the foot takes a picture, if one fits, so that the bar closes on purpose. */
function closeOff(draft: Draft, context: Context, bar: Region, y: number): void {
  const left = bottom(bar) - y;
  const piece = byCost(piecesOf(context, 'deco'), (p) =>
    p.height <= left - 2 && p.width <= bar.w && draft.ledger.untouched(p) > 0 && isOf(context.kit, p)
      ? left - p.height
      : Infinity,
  )[0];
  const taken = piece && draft.ledger.take(piece);
  if (piece && taken)
    draft.add(piece, taken, {
      page: bar.page,
      x: bar.x + (bar.w - piece.width) / 2,
      y: y + (left - piece.height) / 2,
      role: 'finish',
    });
}
