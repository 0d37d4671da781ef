import type { Placement } from '../spread/placement';
import { footprint, isWriting } from '../spread/placement';
import type { Rect } from '../measure/rect';
import { intersect } from '../measure/rect';
import type { Edge, Step } from './step';
import type { WhiteOut } from './white-out';

type Unplaced = Pick<Step, 'key' | 'do' | 'refs' | 'about'>;
type Spot = Rect & Pick<Placement, 'page' | 'layer'>;

/** Thinner than this a place that is shared is none, mm. */
const TOLERANCE = 0.01;

/**
 * What must come before what, whoever orders it (handbook 4, B1, B4, P3): white-out before what covers it, a cut before
 * its parts, what lies lower before what lies on it, a text written on the backing before its piece goes down, any
 * other text after it.
 */
export function constraintsOf(
  steps: readonly Unplaced[],
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
): Edge[] {
  const byId = new Map(placements.map((p) => [p.id, p]));
  const spotOf = (id: string): Spot[] => {
    const p = byId.get(id);
    return p ? [{ ...footprint(p), page: p.page, layer: p.layer }] : [];
  };
  const laid = steps.filter(isLaying).map((step) => ({ step, spots: step.refs.flatMap(spotOf) }));
  const layer = new Map(laid.flatMap(({ step }) => step.refs.map((id) => [id, step.key] as const)));
  const edges: Edge[] = [];
  for (const { step, spots } of laid)
    for (const other of laid)
      if (other.step !== step && liesUnder(spots, other.spots))
        edges.push({ before: step.key, after: other.step.key, because: 'lies under it' });
  for (const step of steps) {
    const { about } = step;
    if (about.is === 'white-out') {
      const patches = step.refs.flatMap((r) => whiteOut[Number(r.slice(6))] ?? []);
      const covers = (s: Spot): boolean => patches.some((w) => w.page === s.page && shares(w, s));
      for (const { step: over, spots } of laid)
        if (spots.some(covers)) edges.push({ before: step.key, after: over.key, because: 'is whited out for it' });
      for (const text of steps)
        if (text.about.is === 'write' && text.about.paper.flatMap(spotOf).some(covers))
          edges.push({ before: step.key, after: text.key, because: 'is whited out for it' });
    } else if (about.is === 'cut')
      for (const part of about.cut.pieces) {
        const user = layer.get(part.placement);
        if (user) edges.push({ before: step.key, after: user, because: 'is cut for it' });
        const first = steps.find((s) => s.about.is === 'write first' && s.about.placement === part.placement);
        if (first) edges.push({ before: step.key, after: first.key, because: 'is cut for it' });
      }
    else if (about.is === 'write first') {
      const user = layer.get(about.placement);
      if (user) edges.push({ before: step.key, after: user, because: 'is written before' });
    } else if (about.is === 'write')
      for (const under of writtenOn(step, placements, byId, layer))
        edges.push({ before: under, after: step.key, because: 'is written on' });
  }
  return edges;
}

const isLaying = (step: Unplaced): boolean => step.do === 'place' || step.do === 'stack';

/** Keys of the steps that lay what a text is written on. */
function writtenOn(
  step: Unplaced,
  placements: readonly Placement[],
  byId: ReadonlyMap<string, Placement>,
  layer: ReadonlyMap<string, string>,
): Set<string> {
  const under = new Set<string>();
  for (const ref of step.refs) {
    const own = layer.get(ref.replace(/^text:/, ''));
    if (own) under.add(own);
    const writing = byId.get(ref);
    if (!writing || !isWriting(writing)) continue;
    for (const p of placements) {
      const key = layer.get(p.id);
      if (key && p.page === writing.page && p.layer < writing.layer && shares(footprint(p), footprint(writing)))
        under.add(key);
    }
  }
  return under;
}

/** True when some part of `a` lies under some part of `b`. */
const liesUnder = (a: readonly Spot[], b: readonly Spot[]): boolean =>
  a.some((p) => b.some((q) => p.page === q.page && p.layer < q.layer && intersect(p, q) !== null));

const shares = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.w - TOLERANCE &&
  b.x < a.x + a.w - TOLERANCE &&
  a.y < b.y + b.h - TOLERANCE &&
  b.y < a.y + a.h - TOLERANCE;
