import { thingOf } from '../../edit/thing';
import { alignX } from '../../spread/align';
import { Draft } from '../../spread/draft';
import { footprint } from '../../spread/placement';
import type { Placement } from '../../spread/placement';
import { dayColumn } from '../../book/columns';
import { movePiece } from '../../edit/move';
import { isStrip, traits } from '../../kit/kinds';
import { wholeOf } from '../../kit/ledger';
import { tidy } from '../../measure/length';
import { bottom, intersect, right } from '../../measure/rect';
import type { Rect } from '../../measure/rect';
import { asEdit } from '../remedy';
import type { Case, Idea, Remedy } from '../remedy';
import { altered, homeOf, involved, pieceOf } from './case';

/** To the common edge; to the middle between its neighbors. */
export const lineUp: Idea = (c) =>
  involved(c).flatMap((p) => {
    const column = p.day === null ? undefined : dayColumn(c.context.book, p.day);
    if (!column) return [];
    const f = footprint(p);
    const beside = c.placements.filter(
      (q) => q.id !== p.id && q.page === p.page && q.layer === 0 && q.day === p.day && q.items.length > 0,
    );
    const above = Math.max(column.y, ...beside.map((q) => bottom(footprint(q))).filter((y) => y <= f.y + 0.1));
    const below = Math.min(bottom(column), ...beside.map((q) => footprint(q).y).filter((y) => y >= bottom(f) - 0.1));
    const to = (x: number, y: number, at: 'common edge' | 'middle'): Remedy[] =>
      asEdit(
        { do: 'move', thing: thingOf(c.context, p), to: at },
        movePiece(c.context, c.placements, p.id, { page: p.page, x: tidy(x), y: tidy(y), day: p.day }),
      );
    const x = p.x + alignX(c.context, column, f.w) - f.x;
    return [...to(x, p.y, 'common edge'), ...to(p.x, p.y + (above + below - f.y - bottom(f)) / 2, 'middle')];
  });

/** Into its place by a move, or by the knife; off what it touches. */
export const fitIn: Idea = (c) =>
  involved(c).flatMap((p) => {
    const home = homeOf(c, p);
    const f = footprint(p);
    if (!home) return [];
    const x = p.x + Math.min(Math.max(f.x, home.x), Math.max(home.x, right(home) - f.w)) - f.x;
    const y = p.y + Math.min(Math.max(f.y, home.y), Math.max(home.y, bottom(home) - f.h)) - f.y;
    const move = (toX: number, toY: number): Remedy[] =>
      asEdit(
        { do: 'move', thing: thingOf(c.context, p), mm: Math.max(Math.abs(toX - p.x), Math.abs(toY - p.y)) },
        movePiece(c.context, c.placements, p.id, { page: home.page, x: tidy(toX), y: tidy(toY), day: p.day }),
      );
    const touching = c.placements.filter(
      (q) => q.id !== p.id && q.page === p.page && q.layer === p.layer && intersect(f, footprint(q)),
    );
    const clear = touching.flatMap((q) => [
      ...move(p.x, bottom(footprint(q)) + c.context.options.gap + p.y - f.y),
      ...move(p.x, footprint(q).y - c.context.options.gap - f.h + p.y - f.y),
      ...move(p.x, bottom(footprint(q)) + p.y - f.y),
    ]);
    const inside = intersect(f, home);
    const trimmed =
      inside &&
      p.turn === 0 &&
      inside.w * inside.h > 0.5 * f.w * f.h &&
      traits(pieceOf(c, p)?.kind ?? 'icon').trim !== 'never'
        ? trim(c, p, inside)
        : [];
    return [...move(x, y), ...clear, ...trimmed];
  });

function trim(c: Case, p: Placement, inside: Rect): Remedy[] {
  const old = p.cut ?? wholeOf(pieceOf(c, p) as Parameters<typeof wholeOf>[0]);
  const cut = {
    x: tidy(old.x + inside.x - p.x),
    y: tidy(old.y + inside.y - p.y),
    w: tidy(inside.w),
    h: tidy(inside.h),
  };
  const off = Math.max(p.w - inside.w, p.h - inside.h);
  return altered({ do: 'trim', thing: thingOf(c.context, p), mm: off }, p, {
    x: tidy(inside.x),
    y: tidy(inside.y),
    w: tidy(inside.w),
    h: tidy(inside.h),
    cut,
  });
}

/** A strip cut longer, from the same design. */
export const cutLonger: Idea = (c) =>
  involved(c).flatMap((p) => {
    const piece = pieceOf(c, p);
    const home = homeOf(c, p);
    if (!piece || !home || !isStrip(piece.kind)) return [];
    const wanted = tidy(right(home) - p.x);
    const taken = Draft.begin(
      c.context,
      c.placements.filter((q) => q.id !== p.id),
    ).ledger.takeLength(piece, wanted, p.h);
    return taken
      ? altered({ do: 'cut to length', mm: wanted }, p, {
          copy: taken.copy,
          w: wanted,
          cut: taken.cut && { x: tidy(taken.cut.x), y: tidy(taken.cut.y), w: wanted, h: tidy(p.h) },
        })
      : [];
  });
