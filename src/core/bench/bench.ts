import type { Context, Placement } from '../spread/placement';
import type { Cut } from './cuts';
import { cutsOf } from './cuts';
import type { Edge, Step } from './step';
import type { WorkPlan } from './plan';
import { workOf } from './steps';
import type { WhiteOut } from './white-out';
import { whiteOutOf } from './white-out';

/** A spread with the work that it takes, in order. */
export interface Bench {
  readonly placements: readonly Placement[];
  readonly whiteOut: readonly WhiteOut[];
  readonly cuts: readonly Cut[];
  readonly steps: readonly Step[];
  /** what keeps the steps in their order */
  readonly edges: readonly Edge[];
}

/**
 * Works out what is to be whited out, cut and laid, and in which order (handbook 4).
 * @example benchOf(context, placements).steps.map((step) => step.key)
 */
export function benchOf(
  context: Context,
  placements: readonly Placement[],
  whiteOut: readonly WhiteOut[] = whiteOutOf(context, placements),
  plan?: WorkPlan,
): Bench {
  const cuts = cutsOf(context, placements);
  return { placements, whiteOut, cuts, ...workOf(context, placements, whiteOut, cuts, plan) };
}
