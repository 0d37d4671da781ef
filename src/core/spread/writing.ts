import type { Kind, Shape } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import type { Hand } from '../measure/hand';
import { writeLines } from '../measure/hand';
import { TOLERANCE } from '../measure/length';
import type { Rect } from '../measure/rect';
import { area, bottom, contains, inset, right } from '../measure/rect';
import type { Placement } from './placement';
import { footprint } from './placement';

/** Blank left around writing, mm. From memory. */
const MARGIN = 0.9;
export const SIDE_MARGIN = 1.7;
/**
 * A little's printed icon takes this much of its left end, mm; a checklist's shape this much of each row. From
 * memory.
 */
const PRINTED_ICON = 12;
export const TICK_WIDTH = 5;
/** A circle lower than this takes one line, across its middle, mm. From memory. */
const ONE_LINE = 15;
/**
 * An overlay may stand so far over its base's edge and still lies on it, mm: the size of a tip (handbook R2). From
 * memory.
 */
export const TIP = 1.2;

/** What lies on a placement, in its own mm. */
export function laidOn(p: Placement, around: readonly Placement[]): Rect[] {
  const place = inset(footprint(p), -TIP);
  return around
    .filter((q) => q.page === p.page && q.layer > p.layer && contains(place, footprint(q)))
    .map((q) => ({ x: q.x - p.x, y: q.y - p.y, w: q.w, h: q.h }));
}

/**
 * The part of a base that can be written on, in mm from its top-left corner: inside its margins and
 * shape, clear of what is printed or laid on it.
 * On a piece that is turned the writing stays level: the room is then about its center, as if it were not turned.
 * @param base `clear`: what its picture leaves free, which goes before what is usual for its kind
 * @param laid overlays on the base, in the base's own mm
 */
export function writingRoom(
  base: { kind: Kind; shape: Shape; w: number; h: number; turn?: number; clear?: Rect | undefined },
  laid: readonly Rect[] = [],
): Rect {
  if (base.turn && base.turn % 90 !== 0) return diamondRoom(base);
  let room = base.clear ? insideOf(base.clear, base) : shapeRoom(base);
  for (const over of laid) room = besideOf(room, over);
  return room;
}

/** A design as it lies somewhere, to be written on. What its picture leaves free is known of the whole of it only. */
export const baseOf = (
  { kind, shape, width, height, clear }: Pick<Piece, 'kind' | 'shape' | 'width' | 'height' | 'clear'>,
  { w, h, turn = 0 }: { readonly w: number; readonly h: number; readonly turn?: number },
) => ({
  kind,
  shape,
  w,
  h,
  turn,
  clear: Math.abs(w - width) < TOLERANCE && Math.abs(h - height) < TOLERANCE ? clear : undefined,
});

/** Within a free part the margins are narrower: nothing printed ends there as a sticker does. */
function insideOf(clear: Rect, { w, h }: { w: number; h: number }): Rect {
  const left = Math.max(clear.x + MARGIN / 2, SIDE_MARGIN);
  const top = Math.max(clear.y, MARGIN);
  return {
    x: left,
    y: top,
    w: Math.max(0, Math.min(right(clear) - MARGIN / 2, w - SIDE_MARGIN) - left),
    h: Math.max(0, Math.min(bottom(clear), h - MARGIN) - top),
  };
}

/** Level lines on a square turned to a diamond: a lying rectangle in its middle, whose corners touch its sides. */
function diamondRoom({ w, h }: { w: number; h: number }): Rect {
  const half = (Math.min(w, h) * Math.SQRT2) / 2 - MARGIN;
  const room = { w: half * 1.2, h: half * 0.8 };
  return { x: (w - room.w) / 2, y: (h - room.h) / 2, ...room };
}

function shapeRoom({ kind, shape, w, h }: { kind: Kind; shape: Shape; w: number; h: number }): Rect {
  const plain = { x: SIDE_MARGIN, y: MARGIN, w: Math.max(0, w - 2 * SIDE_MARGIN), h: Math.max(0, h - 2 * MARGIN) };
  if (kind === 'little') return { ...plain, x: PRINTED_ICON, w: Math.max(0, w - PRINTED_ICON - MARGIN) };
  if (kind === 'check-flag') return { ...plain, x: TICK_WIDTH + 1, w: Math.max(0, w - TICK_WIDTH - 4) };
  switch (shape) {
    case 'circle':
      if (h < ONE_LINE) return { x: w * 0.08, y: h * 0.27, w: w * 0.84, h: h * 0.46 };
      return { x: w * 0.14, y: h * 0.2, w: w * 0.72, h: h * 0.6 };
    case 'heart':
    case 'teardrop':
      return { x: w * 0.2, y: h * 0.3, w: w * 0.6, h: h * 0.45 };
    case 'notched':
    case 'pointed':
      return { ...plain, w: Math.max(0, plain.w - Math.min(4, h * 0.4)) };
    case 'scalloped':
      return { x: MARGIN + 0.8, y: MARGIN, w: Math.max(0, w - 2 * MARGIN - 1.6), h: plain.h };
    default:
      return plain;
  }
}

/** A dot is drawn before what stands on the paper; it takes so much of the line, mm. From memory. */
export const DOT = 3;

/** The part of a writing's place that its letters take: beside its dot. mm from its own corner. */
export const paperRoom = ({ w, h }: Pick<Rect, 'w' | 'h'>): Rect => ({
  x: DOT,
  y: 0,
  w: Math.max(0, w - DOT - 0.5),
  h,
});

/** mm that texts take on the paper, each beginning a line of its own. */
export const paperHeight = (texts: readonly string[], width: number, hand: Hand): number =>
  texts.reduce((n, t) => n + writeLines(t, paperRoom({ w: width, h: 0 }).w, hand).length, 0) * hand.linePitch;

/** The largest part of a room that is clear of one overlay. */
function besideOf(room: Rect, over: Rect): Rect {
  const rest = [
    {
      x: Math.max(room.x, right(over) + MARGIN),
      y: room.y,
      w: right(room) - Math.max(room.x, right(over) + MARGIN),
      h: room.h,
    },
    { x: room.x, y: room.y, w: Math.min(right(room), over.x - MARGIN) - room.x, h: room.h },
    { x: room.x, y: Math.max(room.y, bottom(over)), w: room.w, h: bottom(room) - Math.max(room.y, bottom(over)) },
    { x: room.x, y: room.y, w: room.w, h: Math.min(bottom(room), over.y) - room.y },
  ].filter((r) => r.w > 0 && r.h > 0);
  return rest.sort((a, b) => area(b) - area(a))[0] ?? { ...room, w: 0, h: 0 };
}
