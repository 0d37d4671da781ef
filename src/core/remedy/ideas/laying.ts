import { footprint } from '../../spread/placement';
import { nameOf } from '../../edit/name';
import { removePiece } from '../../edit/remove';
import { intersect } from '../../measure/rect';
import { asEdit } from '../remedy';
import type { Idea } from '../remedy';
import { altered, involved } from './case';

export const turnAround: Idea = (c) =>
  involved(c)
    .slice(-2)
    .flatMap((p) => altered(`Turn ${nameOf(c.context, p)} upside down`, p, { turn: (p.turn + 180) % 360 }));

export const takeOff: Idea = (c) =>
  involved(c)
    .slice()
    .reverse()
    .flatMap((p) => asEdit(`Take ${nameOf(c.context, p)} off`, removePiece(c.context, c.placements, p.id)));

/** The first one it is about comes to lie on all it touches. */
export const layOnTop: Idea = (c) => {
  const [p] = involved(c);
  if (!p) return [];
  const under = c.placements.filter((q) => q !== p && q.page === p.page && intersect(footprint(p), footprint(q)));
  const up = altered(`Lay ${nameOf(c.context, p)} on afterwards`, p, {
    layer: Math.max(...under.map((q) => q.layer), 0) + 1,
  });
  return [
    ...up,
    ...altered(`Lay ${nameOf(c.context, p)} first`, p, {
      layer: Math.max(0, Math.min(...under.map((q) => q.layer)) - 1),
    }),
  ];
};

/** The halves of one box in one line. */
export const bringInLine: Idea = (c) => {
  const [a, b] = involved(c);
  return a && b
    ? [...altered('Bring the halves in line', b, { y: a.y }), ...altered('Bring the halves on one edge', b, { x: a.x })]
    : [];
};
