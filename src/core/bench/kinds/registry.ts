import type { StepAbout } from '../step';
import { cutStep } from './cut';
import { layStep } from './lay';
import type { StepKind } from './step-kind';
import { whiteOutStep } from './white-out';
import { writeStep } from './write';
import { writeDatesStep } from './write-dates';
import { writeFirstStep } from './write-first';

/** Every kind of step at the table. */
export const STEP_KINDS: StepKind[] = [
  whiteOutStep,
  writeFirstStep,
  layStep,
  cutStep,
  writeDatesStep,
  writeStep,
] as StepKind[];

/** @throws where a step is of no kind that is known */
export function stepKind({ is }: StepAbout): StepKind {
  const known = STEP_KINDS.find((kind) => kind.is === is);
  if (!known) throw new Error(`no kind of step is called ${is}`);
  return known;
}
