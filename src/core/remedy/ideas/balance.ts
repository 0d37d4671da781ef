import { apply } from '../../edit/change';
import { swapPiece, swapsFor } from '../../edit/swap';
import type { Placement } from '../../spread/placement';
import { boldness } from '../../color/boldness';
import { difference } from '../../color/color';
import type { Case, Idea, Remedy } from '../remedy';
import { asItIs, exchange, involved, pieceOf, reached, singleBoxes } from './case';

/** A box of the heavy side changes places with one of the other. */
export const tipTheScales: Idea = (c) => {
  const boxes = singleBoxes(c);
  const left = (p: Placement): boolean => p.page < c.context.book.pages.length / 2;
  const pairs = boxes.filter(left).flatMap((a) =>
    boxes
      .filter((b) => !left(b))
      .map((b) => ({
        a,
        b,
        by: Math.abs(boldness(pieceOf(c, a)?.color ?? '#ffffff') - boldness(pieceOf(c, b)?.color ?? '#ffffff')),
      })),
  );
  const traded = pairs.sort((x, y) => y.by - x.by).flatMap(({ a, b }) => exchange(c, a, b));
  return [...traded, ...lighten(c)];
};

/** Swaps made one after the other at most, for one remedy. */
const MOST_SWAPS = 5;

/** The heaviest pieces of the heavy side for paler ones, one after the other. */
function lighten(c: Case): Remedy[] {
  const heavy = c.finding.about.side;
  if (!heavy) return [];
  const onSide = (p: Placement): boolean => p.page < c.context.book.pages.length / 2 === (heavy === 'left');
  const weight = (p: Placement): number => p.w * p.h * boldness(pieceOf(c, p)?.color ?? '#ffffff');
  const steps = oneAfterTheOther(
    c,
    (now) => now.filter((p) => onSide(p) && !p.locked && p.layer === 0).sort((a, b) => weight(b) - weight(a)),
    (piece, own) => boldness(own.color) - boldness(piece.color) > 0.1,
  );
  const bare = (steps.at(-1) ?? c.placements).filter((p) => p.locked || p.role !== 'finish' || !onSide(p));
  return [
    ...steps.flatMap((after, i) => reached(c, { do: 'paler', count: i + 1, side: heavy, bare: false }, after)),
    ...reached(c, { do: 'paler', count: steps.length, side: heavy, bare: true }, bare),
  ];
}

/** Several of the pieces that make a day one color for others, one after the other. */
export const breakUpTheColor: Idea = (c) => {
  const ids = new Set(involved(c).map((p) => p.id));
  const steps = oneAfterTheOther(
    c,
    (now) => now.filter((p) => ids.has(p.id) && !p.locked),
    (piece, own) => difference(piece.color, own.color) > 15,
  );
  return steps.slice(1).flatMap((after, i) => reached(c, { do: 'other colors', count: i + 2 }, after));
};

/** A piece of the one-sided color comes to the other page. */
export const bringToTheOtherPage: Idea = (c) => {
  const [first] = involved(c);
  const color = first && pieceOf(c, first)?.color;
  const { side } = c.finding.about;
  if (!color || !side) return [];
  const there = c.placements
    .filter(
      (p) =>
        !p.locked &&
        p.layer === 0 &&
        p.page < c.context.book.pages.length / 2 === (side === 'right') &&
        ['day', 'box', 'base', 'finish'].includes(p.role),
    )
    .sort((a, b) => b.w * b.h - a.w * a.h);
  return there.flatMap((p) =>
    swapsFor(c.context, c.placements, p.id)
      .filter((s) => difference(s.piece.color, color) < 6)
      .slice(0, 1)
      .flatMap(({ piece }) => asItIs(swapPiece(c.context, c.placements, p.id, piece))),
  );
};

function oneAfterTheOther(
  c: Case,
  next: (now: readonly Placement[]) => readonly Placement[],
  suits: (piece: NonNullable<ReturnType<typeof pieceOf>>, own: NonNullable<ReturnType<typeof pieceOf>>) => boolean,
): (readonly Placement[])[] {
  const steps: (readonly Placement[])[] = [];
  const done = new Set<string>();
  let now = c.placements;
  for (let n = 0; n < MOST_SWAPS; n++) {
    let made: readonly Placement[] | null = null;
    for (const p of next(now).filter((q) => !done.has(q.id))) {
      done.add(p.id);
      const own = pieceOf(c, p);
      const offer = own && swapsFor(c.context, now, p.id).find((s) => suits(s.piece, own));
      const change = offer && swapPiece(c.context, now, p.id, offer.piece);
      if (!change) continue;
      made = apply(now, change);
      break;
    }
    if (!made) break;
    now = made;
    steps.push(now);
  }
  return steps;
}
