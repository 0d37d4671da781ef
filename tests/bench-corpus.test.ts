import { benchOf } from '../src/core/bench/bench';
import { dragged } from '../src/core/bench/drag';
import { WORK_ORDERS } from '../src/core/bench/orders/registry';
import { USUAL_PLAN } from '../src/core/bench/plan';
import type { Edge, Step } from '../src/core/bench/step';
import { intersect } from '../src/core/measure/rect';
import { randomFrom } from '../src/core/measure/random';
import type { Placement } from '../src/core/spread/placement';
import { footprint, isWriting } from '../src/core/spread/placement';
import { demoSpread } from './fixtures';
import { kitCorpus, laidOut } from './kit-corpus';

/** One week in so many of the corpus: kits of all sorts, thin ones too, all books and schools. */
const EVERY = 12;

const demo = demoSpread();
const WEEKS = [
  ['the demo week', demo.context, demo.placements] as const,
  ...kitCorpus(EVERY).map((w) => [`${w.sort}, ${w.book}, ${w.manner}`, w.context, laidOut(w)] as const),
];

/** Edges that an order does not keep. */
function broken(steps: readonly Step[], edges: readonly Edge[]): Edge[] {
  const at = new Map(steps.map((s, i) => [s.key, i]));
  return edges.filter((e) => at.get(e.before)! > at.get(e.after)!);
}

/** The stickers as the steps lay them down on empty pages, the first one first. */
const replayed = (steps: readonly Step[], placements: readonly Placement[]): Placement[] => {
  const byId = new Map(placements.map((p) => [p.id, p]));
  return steps.filter((s) => s.do === 'place' || s.do === 'stack').flatMap((s) => s.refs.map((id) => byId.get(id)!));
};

describe.each(WEEKS)('%s', (_, context, placements) => {
  const stickers = placements.filter((p) => !isWriting(p));

  it.each(WORK_ORDERS.map((o) => o.name))('%s: no step comes before what it needs', (order) => {
    const { steps, edges } = benchOf(context, placements, undefined, { ...USUAL_PLAN, order });
    expect(broken(steps, edges)).toEqual([]);
    expect(new Set(steps.map((s) => s.key)).size).toBe(steps.length);
    const laid = replayed(steps, placements);
    expect(laid.map((p) => p.id).sort()).toEqual(stickers.map((p) => p.id).sort());
    // what lies over what is as the plan has it
    const at = new Map(laid.map((p, i) => [p.id, i]));
    for (const [i, p] of stickers.entries())
      for (const q of stickers.slice(i + 1))
        if (p.page === q.page && p.layer !== q.layer && intersect(footprint(p), footprint(q)))
          expect([p.id, q.id, at.get(p.id)! < at.get(q.id)!]).toEqual([p.id, q.id, p.layer < q.layer]);
  });

  it('holds after dragging at random: what is allowed breaks nothing, what is not would have', () => {
    const random = randomFrom(placements.length + 1);
    let plan = USUAL_PLAN;
    for (let round = 0; round < 12; round++) {
      const { steps, edges } = benchOf(context, placements, undefined, plan);
      if (steps.length < 3) return;
      const pick = () => steps[Math.floor(random() * steps.length)] as Step;
      const [from, to] = [pick(), pick()];
      const going = round % 2 ? [from] : steps.filter((s) => JSON.stringify(s.group) === JSON.stringify(from.group));
      if (going.includes(to)) continue;
      const moved = dragged(
        steps,
        edges,
        going.map((s) => s.key),
        to.key,
      );
      if (!moved.ok) {
        expect(edges).toContain(moved.blocked);
        continue;
      }
      plan = { ...plan, sequence: moved.sequence };
      const again = benchOf(context, placements, undefined, plan);
      expect(again.steps.map((s) => s.key)).toEqual(moved.sequence);
      expect(broken(again.steps, again.edges)).toEqual([]);
    }
  });
});
