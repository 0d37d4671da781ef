import { hashOf, randomFrom } from '../measure/random';
import type { Context } from './placement';

/** How a seed leans between things that are about as good, 0 up to 1; always the same for the same seed and name. */
export const whim = ({ seed }: Pick<Context, 'seed'>, name: string): number => randomFrom(hashOf(`${seed} ${name}`))();
