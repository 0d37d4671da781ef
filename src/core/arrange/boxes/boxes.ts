import { isOf } from '../../kit/is-of';
import type { Region } from '../../book/book';
import { dayColumn, pageOf } from '../../book/columns';
import type { RowFrame } from '../../book/rows';
import { rowFrames } from '../../book/rows';
import { isPattern } from '../../art/motifs/registry';
import { boldness } from '../../color/boldness';
import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import type { Height } from '../../manner/rhythm';
import { TOLERANCE } from '../../measure/length';
import { alignX } from '../../spread/align';
import { assignBoxes } from '../exact/box-assignment';
import type { BoxFit } from './box-fit';
import { fitBox, fitDouble } from './box-fit';
import { isPlannedAhead } from '../../spread/ahead';
import { FOREIGN, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import { leastHeight } from '../days/least-height';
import type { Draft, Stage } from '../../spread/draft';
import { layParts } from './lay-parts';
import { frameHeight, headerEndsAt, layFrames } from './frames';
import { randomFrom } from '../../measure/random';
import { clearOfHours, freeStretches, keptFreeBesideBox, lengthOf } from '../../spread/free-room';
import type { Stretch } from '../../spread/free-room';
import type { Context } from '../../spread/placement';
import type { OutOfTurn } from './drawn-rhythm';
import { drawnRhythm } from './drawn-rhythm';

/** Color differences under this look like one color side by side (handbook C3; a usual value). */
export const ALIKE = 18;
/** More boxes than this are thinned out before the exact assignment. */
const MOST_BOXES = 10;
/** Double boxes of a week, at most. From memory. */
const MOST_DOUBLES = 2;
/** How far a seed may lean between boxes: less than a scene that looks out costs. From memory. */
const WHIM = 1.2;
/** A row's edge that a header may have of it, mm. From memory. */
const UNDER_EDGE = 1.5;
/** A box framed or whole needs this much, or it is not worth placing, mm. From memory. */
const LEAST_BOX = 20;

interface Box {
  readonly piece: Piece;
  readonly nth: number;
  readonly span: 1 | 2;
}

/** Where boxes could stand on a day: the column, and the room in mm that a box may take. */
interface Place {
  readonly column: Region;
  readonly room: number;
}

/**
 * A full box for every day that has the room (handbook D1), no two alike side by side (C3), heights in the
 * manner's rhythm (W4), the favorite or else the kit's first high in the middle of the week, scenes looking in (C7),
 * as bold on the left page as on the right (W3). Exact.
 */
export const boxes: Stage = (before, context) => {
  const draft = before.clone();
  const boxed = new Set(draft.placements.filter((p) => p.role === 'box').map((p) => p.day));
  const most = Math.min(7, context.ways.boxes) - boxed.size;
  const candidates = most > 0 ? boxesThere(draft, context) : [];
  if (!candidates.length) return draft;
  const places = context.week.days.map((_, day): Place | null => {
    const column = dayColumn(context.book, day);
    return !column || boxed.has(day) ? null : { column, room: boxRoom(draft, context, day) };
  });
  const random = randomFrom(context.seed);
  const taste = candidates.map(() => context.week.days.map(() => random() * WHIM));
  const best = drawnRhythm(
    context,
    candidates.map((c) => c.piece),
    (rhythm, outOfTurn) => solve(draft, context, candidates, places, { rhythm, outOfTurn }, taste, most),
  );
  best.boxes.forEach((index, day) => {
    if (index === null || (day > 0 && best.boxes[day - 1] === index)) return;
    layBox(draft, context, day, candidates[index] as Box, best.rhythm[day] as Height);
  });
  return draft;
};

function boxesThere(draft: Draft, context: Context): Box[] {
  const copies = (kind: 'full-box' | 'double-box', span: 1 | 2): Box[] =>
    piecesOf(context, kind)
      .filter((p) => strangeness(p, context) <= FOREIGN)
      .flatMap((piece) => Array.from({ length: draft.ledger.untouched(piece) }, (_, nth) => ({ piece, nth, span })));
  const singles = withoutReserved(context, copies('full-box', 1));
  const own = singles.filter((b) => isOf(context.kit, b.piece));
  const all = own.length >= 7 ? own : singles;
  const liked = (b: Box): number => (context.favorites.has(pieceKey(b.piece)) ? -1 : 0);
  return [
    ...[...all].sort((a, b) => liked(a) - liked(b) || a.nth - b.nth).slice(0, MOST_BOXES),
    ...copies('double-box', 2)
      .filter((b) => isOf(context.kit, b.piece) || liked(b) < 0)
      .slice(0, MOST_DOUBLES),
  ];
}

/** Keeps open boxes back for items that ask for a full one, where writing on them is the manner. */
function withoutReserved(context: Context, all: readonly Box[]): Box[] {
  if (!context.options.writeOnBoxes) return [...all];
  let reserve = context.week.demands.filter((d) => d.room === 'full' && isPlannedAhead(d, context)).length;
  return all.filter((b) => b.piece.writable === 'no' || reserve-- <= 0);
}

/** The height in mm that a full box may take on a day, when all its items must still find room. */
function boxRoom(draft: Draft, context: Context, day: number): number {
  const stretches = freeStretches(draft, context, day);
  const free = stretches.reduce((sum, s) => sum + lengthOf(s), 0);
  const wanted = leastHeight(draft, context, day);
  const row = rowForBox(context, day);
  const inRow = row ? [freeOf(row, stretches)] : [];
  const longest = Math.max(
    0,
    ...(context.ways.keepsRows ? inRow : clearOfHours(context, day, stretches)).map(lengthOf),
  );
  const kept = keptFreeBesideBox(context, day) + (wanted > 0 ? wanted + context.options.gap : 0);
  return Math.min(longest, free - kept) - frameHeight(draft, context);
}

/**
 * The row that has the box where rows are kept: the first one; in a book with hour lines the first in which nothing of
 * the day has its hour. None where all are taken, or where rows are not kept.
 */
function rowForBox(context: Context, day: number): RowFrame | undefined {
  if (!context.ways.keepsRows) return undefined;
  const frames = rowFrames(context.book, day);
  const isClear = ({ y, h }: RowFrame): boolean =>
    clearOfHours(context, day, [{ from: y, to: y + h }]).some((s) => lengthOf(s) >= h - TOLERANCE);
  return frames.find(isClear);
}

/**
 * What is free of a row: a strip that is higher than a header takes a few millimeters of it, and the box is cut to the
 * rest (handbook F2). Over the edge under its header it may lie.
 */
function freeOf(row: RowFrame, stretches: readonly Stretch[]): Stretch {
  const foot = row.y + row.h;
  return stretches
    .map((s) => ({
      from: s.from <= row.y + UNDER_EDGE ? row.y : s.from,
      to: s.to >= foot - UNDER_EDGE ? foot : s.to,
    }))
    .reduce((a, b) => (lengthOf(b) > lengthOf(a) ? b : a), { from: row.y, to: row.y });
}

function solve(
  draft: Draft,
  context: Context,
  candidates: readonly Box[],
  places: readonly (Place | null)[],
  { rhythm, outOfTurn }: { readonly rhythm: readonly Height[]; readonly outOfTurn: OutOfTurn },
  taste: readonly (readonly number[])[],
  most: number,
) {
  const best = candidates.find((c) => c.span === 1)?.piece;
  const headerColors = places.map((_, day) =>
    draft.placements
      .filter((p) => p.day === day && draft.pieceOf(p)?.kind === 'header')
      .map((p) => draft.pieceOf(p)?.color as string),
  );
  const choices = candidates.map(({ piece, span }, i) => ({
    span,
    onDay: places.map((place, day) => {
      const fit = place && fitOn(context, piece, span, places, day);
      if (!place || !fit || fit.h < LEAST_BOX) return Infinity;
      const inward = pageOf(context.book, place.column.page).bindingSide;
      const faces = piece.faces === 'none' ? 0 : piece.faces === inward ? -1 : 1.5;
      const liked = tasteCost(piece, context) * 2;
      const peak = piece === best ? -9 + Math.abs(day - 3) * 3 + (rhythm[day] === 'high' ? 0 : 3) : 0;
      const plain = isPattern(piece.motif) ? 2 : 0;
      const repeats =
        rhythm[day] === 'high' && headerColors[day]?.some((c) => difference(c, piece.color) < ALIKE / 2) ? 2 : 0;
      return (
        outOfTurn(i, day) +
        faces +
        liked +
        peak +
        plain +
        repeats +
        fit.harm +
        strangeness(piece, context) / 4 +
        (taste[i]?.[day] ?? 0) -
        (span === 2 ? 4 : 0)
      );
    }),
  }));
  const likeness = candidates.map((a) => candidates.map((b) => likenessOf(a.piece, b.piece)));
  return assignBoxes(choices, places.length, {
    most,
    without: () => 30,
    // asked some ten thousand times
    beside: (a, b, day) => {
      if (a === null || b === null) return a === b ? NEITHER : 0;
      return (likeness[a]?.[b] ?? 0) * (rhythm[day - 1] === rhythm[day] ? SAME_HEIGHT : 1);
    },
    before: pageBalance(context, candidates),
  });
}

function fitOn(
  context: Context,
  piece: Piece,
  span: 1 | 2,
  places: readonly (Place | null)[],
  day: number,
): BoxFit | null {
  const [place, next] = [places[day], places[day + 1]];
  if (!place) return null;
  if (span === 1) return fitBox(piece, place.column.w, place.room);
  return next ? fitDouble(piece, place.column, next.column, Math.min(place.room, next.room)) : null;
}

/** Where a page ends: how far its boxes are from the mean boldness of all (handbook W3). */
function pageBalance(context: Context, candidates: readonly Box[]): (day: number, taken: number) => number {
  const bold = candidates.map((b) => boldness(b.piece.color));
  const mean = bold.reduce((a, b) => a + b, 0) / bold.length;
  return (day, taken) => {
    if (day === 0 || taken === 0 || dayColumn(context.book, day)?.page === dayColumn(context.book, day - 1)?.page)
      return 0;
    const here = bold.filter((_, i) => taken & (1 << i));
    return Math.abs(here.reduce((a, b) => a + b, 0) / here.length - mean) * 12;
  };
}

/** What it costs that two days beside each other have none. From memory. */
const NEITHER = 6;
/** What it costs more that neighbors are alike where they stand at one height. From memory. */
const SAME_HEIGHT = 1.6;

/** What it costs to have two boxes on neighboring days. */
function likenessOf(a: Piece, b: Piece): number {
  const color = Math.max(0, ALIKE + 12 - difference(a.color, b.color)) / 3;
  return color + (a.motif && a.motif === b.motif ? 14 : 0);
}

function layBox(draft: Draft, context: Context, day: number, { piece, span }: Box, height: Height): void {
  const columns = Array.from({ length: span }, (_, i) => dayColumn(context.book, day + i) as Region);
  const first = columns[0] as Region;
  const frame = frameHeight(draft, context);
  const stretches = columns.map((_, i) =>
    standing(draft, context, day + i, height, Math.min(piece.height, LEAST_BOX) + frame),
  );
  if (stretches.some((s) => !s)) return;
  const from = Math.max(...stretches.map((s) => (s as Stretch).from));
  const to = Math.min(...stretches.map((s) => (s as Stretch).to));
  const room = Math.min(to - from, ...columns.map((_, i) => boxRoom(draft, context, day + i) + frame)) - frame;
  const fit = span === 2 ? fitDouble(piece, first, columns[1] as Region, room) : fitBox(piece, first.w, room);
  if (!fit) return;
  const x = span === 2 ? first.x : alignX(context, first, fit.w);
  const row = rowForBox(context, day);
  const y = row
    ? from
    : height === 'high'
      ? from + (headerEndsAt(draft, day, from) ? 0 : frame / 2)
      : to - fit.h - frame / 2;
  const dayOf = (part: number): number => (span === 2 ? day + part : day);
  layParts(draft, piece, fit.parts, { page: first.page, x, y, role: 'box', layer: 0, dayOf });
  if (context.ways.framed)
    columns.forEach((column, i) => layFrames(draft, context, day + i, column, { y, h: fit.h }, frame / 2));
}

/** The stretch of a day where a box stands: the highest or the lowest that is long enough. */
function standing(draft: Draft, context: Context, day: number, height: Height, least: number): Stretch | undefined {
  const row = rowForBox(context, day);
  if (row) return freeOf(row, freeStretches(draft, context, day));
  const long = clearOfHours(context, day, freeStretches(draft, context, day)).filter((s) => lengthOf(s) >= least);
  const longest = Math.max(0, ...long.map(lengthOf));
  const roomy = long.filter((s) => lengthOf(s) >= Math.min(longest, 49 + least));
  return height === 'high' ? roomy[0] : roomy.at(-1);
}
