import type { Context, Placement } from '../spread/placement';
import { isWriting, pieceIndex } from '../spread/placement';
import { linesOfRows, rowsGoingOn } from '../spread/list-text';
import { isPenDate } from '../spread/dates-of';
import { DOT, TICK_WIDTH, baseOf, laidOn, paperRoom, writingRoom } from '../spread/writing';
import { textWidth } from '../art/lettering';
import { pieceKey } from '../kit/kit';
import type { Hand } from '../measure/hand';
import { handAt, linesIn, writeLines } from '../measure/hand';
import { isList, strippedRoom } from '../spread/is-list';

export interface WrittenLine {
  readonly text: string;
  /** from the placement's own corner, to the baseline; mm */
  readonly x: number;
  readonly y: number;
  readonly anchor: 'start' | 'middle';
  /** the width in mm to squeeze it to, where the font runs wider than the owner's hand */
  readonly squeeze: number | null;
}

export interface Written {
  /** letter size in mm */
  readonly size: number;
  readonly lines: readonly WrittenLine[];
  /** dots drawn before what stands on the paper, mm from the placement's own corner */
  readonly dots?: readonly { readonly x: number; readonly y: number }[];
  /** boxes that nobody ticks are struck by a short line in ink; its left end, mm from the placement's own corner */
  readonly strikes?: readonly { readonly x: number; readonly y: number; readonly w: number }[];
}

/** Bare of the left end of the line that strikes a box, mm. */
const STRIKE = 1;

/** Where the text of a placement is written: on a list's rows, beside an icon, in the middle of a cover. */
export function writtenOn(
  context: Pick<Context, 'kit' | 'stash' | 'options'>,
  p: Placement,
  around: readonly Placement[],
): Written | null {
  const piece = pieceIndex(context).get(pieceKey(p));
  if (!p.text || (!piece && !isWriting(p))) return null;
  const hand = handAt(context.options.hand, p.size);
  const size = Math.min(hand.linePitch * 1.02, 6);
  if (isPenDate(p) || piece?.kind === 'date-cover') return inTheMiddle(p, p.text);
  if (!piece) return onPaper(p, p.text, hand, size);
  if (isList(piece, p)) {
    const pitch = piece.height / Math.max(1, piece.rows);
    const rows = linesOfRows(p.text, pitch >= 2 * hand.linePitch);
    const at = (row: number, n: number, of: number): number =>
      pitch * row + (of === 1 ? pitch * 0.68 : (pitch - of * hand.linePitch) / 2 + hand.linePitch * (n + 0.74));
    return {
      size,
      strikes: rowsGoingOn(p.text).map((row) => ({ x: STRIKE, y: pitch * (row + 0.5), w: TICK_WIDTH - 2 * STRIKE })),
      lines: rows.flatMap((lines, row) =>
        lines.map((text, n) => line(text, TICK_WIDTH + 0.8, at(row, n, lines.length), p.w - TICK_WIDTH - 1.2, size)),
      ),
    };
  }
  if (piece.kind === 'checklist') {
    // stripped of its shapes, its rows are there still
    const pitch = piece.height / Math.max(1, piece.rows);
    const { x, w } = strippedRoom(p);
    const lines = writeLines(p.text, w, hand);
    return {
      size,
      lines: lines.map((text, row) => line(text, x, pitch * (row + 0.68), w, size)),
    };
  }
  const room = writingRoom(baseOf(piece, p), laidOn(p, around));
  const lines = writeLines(p.text, room.w, hand).slice(0, Math.max(1, linesIn(hand, room.h)));
  const top = room.y + Math.max(0, (room.h - lines.length * hand.linePitch) / 2);
  return {
    size,
    lines: lines.map((text, i) => line(text, room.x + 0.4, top + hand.linePitch * (i + 0.74), room.w - 0.4, size)),
  };
}

/** The number of a day, large. */
function inTheMiddle({ w, h }: Placement, text: string): Written {
  const size = Math.min(6.5, h * 0.7);
  return { size, lines: [{ text, x: w / 2, y: h / 2 + size * 0.28, anchor: 'middle', squeeze: null }] };
}

/** Straight onto the paper: every item with a dot before it, which `dots` has; a title has none. */
function onPaper(p: Placement, text: string, hand: Hand, size: number): Written {
  const room = paperRoom(p);
  const items = text.split('\n').map((item) => writeLines(item, room.w, hand));
  const lines = items.flat();
  let before = 0;
  const dots = items.map((item) => {
    const dot = { x: DOT / 2, y: hand.linePitch * (before + 0.5) };
    before += item.length;
    return dot;
  });
  return {
    size,
    dots: p.items.length ? dots : [],
    lines: lines.map((l, i) => line(l, room.x, hand.linePitch * (i + 0.74), room.w, size)),
  };
}

function line(text: string, x: number, y: number, width: number, size: number): WrittenLine {
  const wide = textWidth(text, 'Caveat') * size;
  return { text, x, y, anchor: 'start', squeeze: wide > width && width > 1 ? width : null };
}
