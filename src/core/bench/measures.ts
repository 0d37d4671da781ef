import { dayColumn } from '../book/columns';
import { ruleStep } from '../measure/fraction';
import { right } from '../measure/rect';
import type { Context, Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import type { Bench } from './bench';
import type { Measure, TwoEdges } from './two-edges';
import { twoEdges } from './two-edges';

/** How a piece that is laid with each step is measured, by its id: in lengths that a ruler shows. */
export type Measures = ReadonlyMap<string, TwoEdges>;

/** How far a piece comes to lie from where it was planned, mm, by the rounding of the ruler. */
interface Off {
  readonly x: number;
  readonly y: number;
}

const asPlanned: Off = { x: 0, y: 0 };

/**
 * The two measures of every piece in the order of the work. Each is rounded to what the owner's ruler shows, and takes
 * back what the rounding of the piece it is measured from put it off: however long a stack, no piece comes to lie
 * farther from its place than half a step of the ruler. What touches still touches.
 */
export function measuresOf(context: Context, bench: Pick<Bench, 'steps' | 'placements' | 'whiteOut'>): Measures {
  const known = knownBySteps.get(bench.steps);
  if (known) return known;
  const there = new Map(bench.placements.map((p) => [p.id, p]));
  const measures = new Map<string, TwoEdges>();
  const off = new Map<string, Off>();
  const laid: Placement[] = [];
  for (const step of bench.steps) {
    if (step.about.is !== 'lay') continue;
    const unit = step.refs.flatMap((id) => there.get(id) ?? []);
    const [base] = unit;
    if (!base) continue;
    const { across, down } = twoEdges(context, base, laid, bench.whiteOut);
    const ref = (m: Measure): Off => ('placement' in m.from ? off.get(m.from.placement) : undefined) ?? asPlanned;
    const y = asRuled(context, down, ref(down).y);
    const x = across && asRuled(context, across, across.side === 'left' ? ref(across).x : -ref(across).x, roomBeyond(context, base, across)); // prettier-ignore
    measures.set(base.id, { across: x && x.measure, down: y.measure });
    const own = { x: x ? (x.measure.side === 'left' ? x.off : -x.off) : 0, y: y.off };
    for (const p of unit) off.set(p.id, own);
    laid.push(...unit);
  }
  knownBySteps.set(bench.steps, measures);
  return measures;
}

const knownBySteps = new WeakMap<Bench['steps'], Measures>();

/**
 * A measure as the ruler shows it.
 * @param from how far off its edge lies, away from the edge's own zero
 * @param room how far beyond its place the piece may come to lie, mm
 */
function asRuled({ book: { unit } }: Context, m: Measure, from: number, room = Infinity) {
  if (m.mm === 0) return { measure: m, off: from };
  const step = ruleStep(unit);
  const nearest = Math.max(0, Math.round((m.mm - from) / step) * step);
  const mm = nearest + from - m.mm > room + 1e-6 ? Math.max(0, nearest - step) : nearest;
  return { measure: { ...m, mm }, off: mm + from - m.mm };
}

/** How much is left in the column on the side that is not measured, mm: no piece is moved out of its column. */
function roomBeyond({ book }: Context, p: Placement, { from, side }: Measure): number {
  const column = from.is === 'column' ? dayColumn(book, from.day) : undefined;
  if (!column) return Infinity;
  const foot = footprint(p);
  return side === 'left' ? right(column) - right(foot) : foot.x - column.x;
}
