import type { Voice } from '../spread/voice';
import { sayStep } from './say-step';
import type { Because, Edge, Step } from './step';

/** Why a step cannot go where it was dragged. */
export function sayBlocked({ before, after, because }: Edge, steps: readonly Step[], voice: Voice): string {
  const [first, then] = [before, after].map((key) => steps.find((s) => s.key === key));
  if (!first || !then) return `That order can’t be, since ${WHY[because]}.`;
  return `That order can’t be: step ${first.n} comes before step ${then.n}, since ${WHY[because]}. ${first.n}: ${sayStep(first, voice)} ${then.n}: ${sayStep(then, voice)}`;
}

const WHY: Readonly<Record<Because, string>> = {
  'lies under it': 'it lies under it',
  'is cut for it': 'it is cut for it',
  'is whited out for it': 'the paper there is whited out first',
  'is written before': 'it is written on the backing sheet, while it lies flat',
  'is written on': 'it is what is written on',
};
