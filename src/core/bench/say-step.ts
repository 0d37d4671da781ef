import type { Placement } from '../spread/placement';
import type { Voice } from '../spread/voice';
import type { Bench } from './bench';
import { stepKind } from './kinds/registry';
import type { Measures } from './measures';
import type { Step } from './step';

const BARE: Measures = new Map();

/**
 * A step of the bench in words, in the owner's units, as its kind says it.
 * @param measures where what is laid goes, see `measuresOf`
 */
export const sayStep = (step: Pick<Step, 'about' | 'refs'>, voice: Voice, measures: Measures = BARE): string =>
  stepKind(step.about).say(step, voice, measures);

/** What is down before a step. */
export function downBefore(
  { steps, placements }: Pick<Bench, 'steps' | 'placements'>,
  n: number,
): readonly Placement[] {
  const laid = new Set(steps.filter((s) => s.n < n && s.about.is === 'lay').flatMap((s) => s.refs));
  return placements.filter((p) => laid.has(p.id));
}
