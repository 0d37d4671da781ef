import { dayColumn } from '../book/columns';
import { isPattern } from '../art/motifs/registry';
import { difference } from '../color/color';
import type { Piece } from '../kit/kit';
import type { Height } from '../manner/manner';
import type { Rect } from '../measure/rect';
import { assignBoxes } from './box-assignment';
import { FOREIGN, piecesOf, strangeness } from './choose';
import { leastHeight } from './day-blocks';
import type { Draft, Stage } from './draft';
import { randomFrom } from './random';
import { freeStretches, keptFree, lengthOf } from './room';
import type { Stretch } from './room';
import type { Context } from './spread';
import { trimTo } from './trim';

/** Color differences under this look like one color side by side (handbook C3; a usual value). */
export const ALIKE = 18;
/** More boxes than this are thinned out before the exact assignment. */
const MOST_BOXES = 10;

interface Box {
  readonly piece: Piece;
  readonly nth: number;
}

/**
 * A full box for every day that has the room (handbook D1), no two alike side by side (C3), heights in the
 * manner's rhythm (W4), the kit's first and best one in the middle of the week, scenes looking in (C7). Exact.
 */
export const boxes: Stage = (before, context) => {
  const draft = before.clone();
  const candidates = boxesThere(draft, context);
  if (!candidates.length) return draft;
  const boxed = new Set(draft.placements.filter((p) => p.role === 'box').map((p) => p.day));
  const room = context.week.days.map((_, day) => (boxed.has(day) ? 0 : boxRoom(draft, context, day)));
  const random = randomFrom(context.seed);
  const taste = candidates.map(() => context.week.days.map(() => random() * 0.5));
  const solved = context.manner.rhythms.map((rhythm, r) => ({ rhythm, r, ...solve(candidates, room, rhythm, taste, context) }));
  const best = solved.reduce((a, b) => (b.cost + b.r < a.cost + a.r ? b : a));
  best.boxes.forEach((index, day) => {
    if (index !== null) layBox(draft, context, day, (candidates[index] as Box).piece, best.rhythm[day] as Height);
  });
  return draft;
};

function boxesThere(draft: Draft, context: Context): Box[] {
  const designs = piecesOf(context, 'full-box').filter((p) => strangeness(p, context) <= FOREIGN);
  const copies = designs.flatMap((piece) => Array.from({ length: draft.ledger.untouched(piece) }, (_, nth) => ({ piece, nth })));
  const own = copies.filter((b) => b.piece.kit === context.kit.name);
  const all = own.length >= 7 ? own : copies;
  return [...all].sort((a, b) => a.nth - b.nth).slice(0, MOST_BOXES);
}

/** The height in mm that a full box may take on a day, when all its items must still find room. */
function boxRoom(draft: Draft, context: Context, day: number): number {
  const stretches = freeStretches(draft, context, day);
  const free = stretches.reduce((sum, s) => sum + lengthOf(s), 0);
  const wanted = leastHeight(draft, context, day);
  const longest = Math.max(0, ...stretches.map(lengthOf));
  const kept = keptFree(context, day) + (wanted > 0 ? wanted + context.options.gap : 0);
  return Math.min(longest, free - kept);
}

function solve(candidates: readonly Box[], room: readonly number[], rhythm: readonly Height[], taste: readonly (readonly number[])[], context: Context) {
  const first = candidates[0];
  const choices = candidates.map(({ piece }, i) => ({
    onDay: room.map((mm, day) => {
      const column = dayColumn(context.book, day) as Rect & { page: number };
      const cut = trimTo(piece, column.w);
      if (cut === undefined || piece.height > mm) return Infinity;
      const inward = column.page === 0 ? 'right' : 'left';
      const faces = piece.faces === 'none' ? 0 : piece.faces === inward ? -1 : 1.5;
      const peak = piece === first?.piece ? -9 + Math.abs(day - 3) * 3 + (rhythm[day] === 'high' ? 0 : 3) : 0;
      const plain = isPattern(piece.motif) ? 2 : 0;
      return faces + peak + plain + strangeness(piece, context) / 4 + (taste[i]?.[day] ?? 0);
    }),
  }));
  return assignBoxes(
    choices,
    room.length,
    () => 30,
    (a, b, day) => besideCost(a === null ? null : candidates[a] as Box, b === null ? null : candidates[b] as Box, rhythm[day - 1] === rhythm[day]),
  );
}

function besideCost(a: Box | null, b: Box | null, sameHeight: boolean): number {
  if (!a && !b) return 6;
  if (!a || !b) return 0;
  const weight = sameHeight ? 1.6 : 1;
  const color = Math.max(0, ALIKE + 12 - difference(a.piece.color, b.piece.color)) / 3;
  const motif = a.piece.motif && a.piece.motif === b.piece.motif ? 14 : 0;
  return weight * (color + motif);
}

function layBox(draft: Draft, context: Context, day: number, piece: Piece, height: Height): void {
  const column = dayColumn(context.book, day) as Rect & { page: number };
  const cut = trimTo(piece, column.w) ?? null;
  const stretches = freeStretches(draft, context, day).filter((s) => lengthOf(s) >= piece.height);
  const stretch = height === 'high' ? stretches[0] : stretches.at(-1);
  const taken = stretch && draft.ledger.take(piece, cut);
  if (!stretch || !taken) return;
  draft.add(piece, taken, { page: column.page, x: column.x + (column.w - (cut?.w ?? piece.width)) / 2, y: standAt(stretch, piece, height), role: 'box', day });
}

const standAt = (stretch: Stretch, piece: Piece, height: Height): number =>
  height === 'high' ? stretch.from : stretch.to - piece.height;
