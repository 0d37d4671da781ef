import type { Voice } from '../spread/voice';
import { cutLikeness, sayCuts } from './kinds/cut';
import type { Measures } from './measures';
import { sayStep } from './say-step';
import type { Step } from './step';

/** Steps one after the other that are alike, each set to be done in one go; all others alone. In their order. */
export function alikeRuns(steps: readonly Step[], voice: Voice): readonly Step[][] {
  const runs: Step[][] = [];
  let likeness: string | null = null;
  for (const step of steps) {
    const own = step.about.is === 'cut' ? cutLikeness(voice, step.about.cut) : null;
    if (own !== null && own === likeness) runs.at(-1)?.push(step);
    else runs.push([step]);
    likeness = own;
  }
  return runs;
}

/** One or several steps that are alike, in words. */
export function sayAlike(steps: readonly Step[], voice: Voice, measures: Measures): string {
  const cuts = steps.flatMap((s) => (s.about.is === 'cut' ? [s.about.cut] : []));
  return cuts.length > 1 ? sayCuts(voice, cuts) : sayStep(steps[0] as Step, voice, measures);
}

/** `3`, `3–9`: the numbers of steps that are alike. */
export const sayNumbers = (steps: readonly Step[]): string =>
  steps.length > 1 ? `${steps[0]?.n}–${steps.at(-1)?.n}` : `${steps[0]?.n}`;
