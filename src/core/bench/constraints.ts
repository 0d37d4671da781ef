import type { Placement } from '../spread/placement';
import { stepKind } from './kinds/registry';
import type { Among, Unnumbered } from './kinds/step-kind';
import { spotOf } from './kinds/step-kind';
import type { Edge } from './step';
import type { WhiteOut } from './white-out';

/**
 * What must come before what, whoever orders it (handbook 4, B1, B4, P3): white-out before what covers it, a cut before
 * its parts, what lies lower before what lies on it, a text written on the backing before its piece goes down, any
 * other text after it.
 */
export function constraintsOf(
  steps: readonly Unnumbered[],
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[],
): Edge[] {
  const byId = new Map(placements.map((p) => [p.id, spotOf(p)]));
  const spotsOf = (ids: readonly string[]) => ids.flatMap((id) => byId.get(id) ?? []);
  const laid = steps.filter((s) => s.about.is === 'lay').map((step) => ({ step, spots: spotsOf(step.refs) }));
  const laidBy = new Map(laid.flatMap(({ step }) => step.refs.map((id) => [id, step.key] as const)));
  const among: Among = { steps, placements, whiteOut, spotsOf, laid, laidBy };
  return steps.flatMap((step) => stepKind(step.about).edgesOf(step, among));
}
