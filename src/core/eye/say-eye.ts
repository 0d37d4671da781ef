import { eyeTerms } from './registry';
import type { Sight } from './sight';

/** So little the eye hardly minds, in its points; so many things are told. From memory. */
const LITTLE = 5;
const MOST = 3;

/** What the eye minds in a spread, the most first, in words: `bare paper that nobody asked for`. */
export const sayEye = (sight: Sight): string[] =>
  eyeTerms(sight)
    .filter(({ cost }) => cost >= LITTLE)
    .slice(0, MOST)
    .map(({ term }) => term.says);
