import type { Deed } from '../../edit/deed';
import { apply } from '../../edit/change';
import { removePiece } from '../../edit/remove';
import { stackOf } from '../../edit/stack';
import { tidy } from '../../measure/length';
import { bottom } from '../../measure/rect';
import { asItIsNow } from '../../repair/as-it-is-now';
import { letIn } from '../../repair/let-in';
import { asEdit } from '../remedy';
import type { Idea } from '../remedy';
import { asItIs, involved, reached } from './case';

/** Two items change places down their day. */
export const changePlaces: Idea = (c) => {
  const [a, b] = involved(c).sort((p, q) => p.y - q.y);
  if (!a || !b) return [];
  const gap = b.y - bottom(a);
  const [upper, lower] = [stackOf(c.placements, a.id), stackOf(c.placements, b.id)];
  const up = a.y - b.y;
  const down = a.y + b.h + gap - a.y;
  const moved = [
    ...upper.map((p) => ({ ...p, y: tidy(p.y + down) })),
    ...lower.map((p) => ({ ...p, y: tidy(p.y + up) })),
  ];
  const deed: Deed = { do: 'change places', things: [] };
  return asEdit(deed, { deed, before: [...upper, ...lower], after: moved });
};

/** To the day its item is on, by the fewest moves. */
export const toItsDay: Idea = (c) =>
  involved(c).flatMap((p) => {
    const demand = c.context.week.demands.find((d) => p.items.includes(d.uid) && d.day !== p.day);
    const removal = removePiece(c.context, c.placements, p.id);
    if (!demand || !removal) return [];
    const without = apply(c.placements, removal);
    const repair = letIn(c.context, without, demand.key);
    return repair ? reached(c, { do: 'to its day', moved: repair.moved }, apply(without, repair.change)) : [];
  });

/** Written anew on its own sticker, where its time is now. */
export const writeAsItIsNow: Idea = (c) =>
  involved(c).flatMap((p) =>
    c.context.week.demands
      .filter((d) => p.items.includes(d.uid) && d.day === p.day)
      .flatMap((d) => {
        const repair = asItIsNow(c.context, c.placements, d.key);
        return asItIs(repair?.change ?? null);
      }),
  );
