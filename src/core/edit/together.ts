import type { Book } from '../book/book';
import { dayColumn } from '../book/columns';
import { dayAt, pageAt } from '../book/lying-at';
import { pieceKey } from '../kit/kit';
import { tidy } from '../measure/length';
import { Draft } from '../spread/draft';
import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';
import type { Change } from './change';
import { movePiece } from './move';
import { stackOf } from './stack';
import { thingOf } from './thing';

/** Several pieces with all that lies on them, each once. */
const stacksOf = (placements: readonly Placement[], ids: readonly string[]): Placement[] => [
  ...new Map(ids.flatMap((id) => stackOf(placements, id)).map((p) => [p.id, p])).values(),
];

/**
 * Moves several pieces by some mm, each with all that lies on it; what is stuck down among them stays. Page and day are
 * where each lies then. Null when none of them would move.
 */
export function moveTogether(
  { book }: Pick<Context, 'book'>,
  placements: readonly Placement[],
  ids: readonly string[],
  dx: number,
  dy: number,
): Change | null {
  const stacks = ids.map((id) => stackOf(placements, id));
  const moving = stacksOf(placements, ids).filter((p) => !p.locked);
  if (!moving.length || (Math.abs(dx) < 0.01 && Math.abs(dy) < 0.01)) return null;
  return {
    deed: { do: 'together', what: 'move', count: moving.length },
    before: moving,
    after: moving.map((p) => landed(book, p, stacks.find((s) => s.includes(p))?.[0] ?? p, dx, dy)),
  };
}

/** A piece after its base was moved: on the base's page, in the base's day where it was of that before. */
function landed(book: Book, p: Placement, base: Placement, dx: number, dy: number): Placement {
  const was = footprint(base);
  const place = { ...was, x: was.x + dx, y: was.y + dy };
  const at = pageAt(book, base.page, place);
  // where it is written down to lie, so that it is of the same day when it is read again
  const [x, y] = [tidy(p.x + at.x - was.x), tidy(p.y + dy)];
  const lies = p === base ? footprint({ ...p, x, y }) : { ...place, x: at.x };
  const [before, after] = [dayAt(book, base.page, was), dayAt(book, at.page, lies)];
  return {
    ...p,
    page: at.page,
    x,
    y,
    day: before === after || p.day !== base.day ? p.day : after,
  };
}

/** Moves one piece by some mm, with all that lies on it. Null when it is locked or would not move. */
export function moveBy(
  context: Context,
  placements: readonly Placement[],
  id: string,
  dx: number,
  dy: number,
): Change | null {
  const base = placements.find((p) => p.id === id);
  if (!base) return null;
  const { page, x, y, day } = landed(context.book, base, base, dx, dy);
  return movePiece(context, placements, id, { page, x, y, day });
}

/** Takes several off; what is stuck down among them stays. */
export function removeTogether(placements: readonly Placement[], ids: readonly string[]): Change | null {
  const off = stacksOf(placements, ids).filter((p) => !p.locked);
  return off.length ? { deed: { do: 'together', what: 'take off', count: off.length }, before: off, after: [] } : null;
}

/** Locks several, or frees them where all of them are locked. */
export function lockTogether(placements: readonly Placement[], ids: readonly string[]): Change | null {
  const held = placements.filter((p) => ids.includes(p.id));
  const locked = !held.every((p) => p.locked);
  const before = held.filter((p) => p.locked !== locked);
  if (!before.length) return null;
  return {
    deed: { do: 'together', what: locked ? 'lock' : 'unlock', count: before.length },
    before,
    after: before.map((p) => ({ ...p, locked })),
  };
}

/**
 * Lays the same once more on another day, at the same height of its column: the piece and all that lies on it, from
 * other copies, its words but not its item. Null where the kit has no more of them.
 */
export function copyTo(context: Context, placements: readonly Placement[], id: string, day: number): Change | null {
  const stack = stackOf(placements, id);
  const [base] = stack;
  const [from, to] = [
    base && base.day !== null ? dayColumn(context.book, base.day) : undefined,
    dayColumn(context.book, day),
  ];
  if (!base || !from || !to || base.day === day) return null;
  const pieces = pieceIndex(context);
  const draft = Draft.begin(context, placements);
  for (const p of stack) {
    const piece = pieces.get(pieceKey(p));
    const taken = piece && draft.ledger.take(piece, p.cut);
    if (!piece || !taken) return null;
    draft.add(piece, taken, {
      ...p,
      page: to.page,
      x: p.x - from.x + to.x,
      y: p.y - from.y + to.y,
      day,
      items: [],
    });
  }
  return {
    deed: { do: 'copy to', thing: thingOf(context, base), day },
    before: [],
    after: draft.placements.slice(placements.length),
  };
}
