import type { Voice } from '../spread/voice';
import type { Bench } from './bench';
import { stepKind } from './kinds/registry';
import type { DownBy } from './kinds/step-kind';
import type { Step } from './step';

const BARE: DownBy = { laid: [], whiteOut: [] };

/**
 * A step of the bench in words, in the owner's units, as its kind says it.
 * @param by what is down before it, see `downBefore`
 */
export const sayStep = (step: Pick<Step, 'about' | 'refs'>, voice: Voice, by: DownBy = BARE): string =>
  stepKind(step.about).say(step, voice, by);

/** What is down before a step, to measure from. */
export function downBefore(
  { steps, placements, whiteOut }: Pick<Bench, 'steps' | 'placements' | 'whiteOut'>,
  n: number,
): DownBy {
  const laid = new Set(steps.filter((s) => s.n < n && s.about.is === 'lay').flatMap((s) => s.refs));
  return { laid: placements.filter((p) => laid.has(p.id)), whiteOut };
}
