import type { Step, StepGroup } from './step';

/** Steps that follow each other and belong together. */
export interface StepRun {
  readonly group: StepGroup;
  readonly steps: readonly Step[];
}

/** The steps as runs; a group that others interrupt is two runs. */
export function runsOf(steps: readonly Step[]): StepRun[] {
  const runs: { group: StepGroup; steps: Step[] }[] = [];
  for (const step of steps) {
    const last = runs.at(-1);
    if (last && sameGroup(last.group, step.group)) last.steps.push(step);
    else runs.push({ group: step.group, steps: [step] });
  }
  return runs;
}

export const sameGroup = (a: StepGroup, b: StepGroup): boolean =>
  a.is === b.is &&
  ('page' in a && 'page' in b ? a.page === b.page : true) &&
  ('day' in a && 'day' in b ? a.day === b.day : true);
