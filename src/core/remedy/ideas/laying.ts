import { thingOf } from '../../edit/thing';
import { footprint } from '../../spread/placement';
import { removePiece } from '../../edit/remove';
import { intersect } from '../../measure/rect';
import type { Idea } from '../remedy';
import { altered, asItIs, involved } from './case';

export const turnAround: Idea = (c) =>
  involved(c)
    .slice(-2)
    .flatMap((p) => altered({ do: 'turn around', thing: thingOf(c.context, p) }, p, { turn: (p.turn + 180) % 360 }));

export const takeOff: Idea = (c) =>
  involved(c)
    .slice()
    .reverse()
    .flatMap((p) => asItIs(removePiece(c.context, c.placements, p.id)));

/** The first one it is about comes to lie on all it touches. */
export const layOnTop: Idea = (c) => {
  const [p] = involved(c);
  if (!p) return [];
  const under = c.placements.filter((q) => q !== p && q.page === p.page && intersect(footprint(p), footprint(q)));
  const up = altered({ do: 'lay after', thing: thingOf(c.context, p) }, p, {
    layer: Math.max(...under.map((q) => q.layer), 0) + 1,
  });
  return [
    ...up,
    ...altered({ do: 'lay first', thing: thingOf(c.context, p) }, p, {
      layer: Math.max(0, Math.min(...under.map((q) => q.layer)) - 1),
    }),
  ];
};

/** The halves of one box in one line. */
export const bringInLine: Idea = (c) => {
  const [a, b] = involved(c);
  return a && b
    ? [
        ...altered({ do: 'line up halves', on: 'line' }, b, { y: a.y }),
        ...altered({ do: 'line up halves', on: 'edge' }, b, { x: a.x }),
      ]
    : [];
};
