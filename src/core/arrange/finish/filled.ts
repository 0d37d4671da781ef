import { eyeCost } from '../../eye/registry';
import type { Sight } from '../../eye/sight';
import { sightOf } from '../../eye/sight';
import { intersect } from '../../measure/rect';
import type { Draft } from '../../spread/draft';
import type { OpenPlace } from '../../spread/open-places';
import { openPlaces } from '../../spread/open-places';
import type { Context } from '../../spread/placement';
import type { Filler } from './fillers/filler';
import type { Weighed } from './weighed';
import { PEELED, layGroup, withGroup } from './weighed';

/** A spread with what was added to it, as a list that can still be changed. Never changed itself. */
export interface Filled {
  readonly list: readonly Weighed[];
  readonly sight: Sight;
  /** the eye's points, and what the pieces cost */
  readonly cost: number;
  /** worked out when it is asked for */
  readonly draft: () => Draft;
}

/** A spread that is filled, and the way to another filling of it. */
export interface Ground {
  readonly context: Context;
  readonly places: readonly OpenPlace[];
  readonly with: (list: readonly Weighed[]) => Filled;
}

/** @param before the spread without all that is added */
export function groundOf(before: Draft, context: Context): Ground {
  const bare = sightOf(context, before.placements);
  return {
    context,
    places: openPlaces(context, before.placements),
    with: (groups) => {
      const list = groups.flatMap(apart);
      const sight = list.reduce((seen, { day, group }) => withGroup(seen, day, group), bare);
      const own = list.reduce((sum, { group }) => group.reduce((n, f) => n + f.cost + PEELED, sum), 0);
      let draft: Draft | null = null;
      return { list, sight, cost: eyeCost(sight) + own, draft: () => (draft ??= withAll(before, list)) };
    },
  };
}

/** Of a cluster each piece may go by itself. */
const apart = (w: Weighed): Weighed[] => (w.group.length > 1 ? w.group.map((f) => ({ ...w, group: [f] })) : [w]);

function withAll(before: Draft, list: readonly Weighed[]): Draft {
  const draft = before.clone();
  for (const w of list) layGroup(draft, w);
  return draft;
}

/** All but one of what was added, and what lies upon that. */
export const allBut = (list: readonly Weighed[], gone: Weighed): Weighed[] =>
  list.filter((w) => w !== gone && !leansOn(w, gone));

const leansOn = (w: Weighed, under: Weighed): boolean =>
  w.day === under.day && w.group.some((f) => under.group.some((u) => f.layer > u.layer && intersect(f, u)));

/** Each piece on the lowest layer that what it lies upon allows: what was moved about is no higher for it. */
export function settled(ground: Ground, { list }: Filled): Filled {
  const marks = ground.with([]).sight.byDay;
  const laid: Weighed[] = [];
  for (const w of [...list].sort((a, b) => layerOf(a) - layerOf(b))) {
    const others = laid.filter((o) => o.day === w.day).flatMap(({ group }) => group);
    const group = w.group.map((f) => {
      const under = [
        ...(marks[w.day] ?? []).filter((m) => m.layer < f.layer && intersect(m, f)).map((m) => m.layer),
        ...others.filter((o) => intersect(o, f)).map(topOf),
      ];
      return { ...f, layer: Math.min(f.layer, Math.max(-1, ...under) + 1) };
    });
    laid.push({ ...w, group });
  }
  return ground.with(laid);
}

const layerOf = ({ group }: Weighed): number => Math.min(...group.map((f) => f.layer));

/** The layer of the part that lies over the others. */
const topOf = ({ layer, parts }: Filler): number => layer + (parts.some((p) => p.over) ? 1 : 0);
