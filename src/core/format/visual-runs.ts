import bidiFactory from 'bidi-js';
import { graphemes } from './graphemes';

/** A stretch of a line that is written one way with one face. */
export interface Run<F> {
  readonly text: string;
  readonly face: F;
  readonly level: number;
}

const bidi = bidiFactory();
/** Hebrew to Arabic, and their presentation forms: nothing else here is written from right to left. */
const FROM_RIGHT = /[\u0590-\u08ff\ufb1d-\ufdff\ufe70-\ufefc]/;

export const isFromRight = (text: string): boolean => FROM_RIGHT.test(text);

/**
 * A line in the order in which its parts are seen, from left to right. Source: Unicode Standard Annex 9, rules L2 and
 * L4.
 * @param faceOf what draws a letter with its marks
 */
export function visualRuns<F>(text: string, faceOf: (letter: string) => F): Run<F>[] {
  const levels = isFromRight(text) ? bidi.getEmbeddingLevels(text).levels : null;
  const runs: Run<F>[] = [];
  let index = 0;
  for (const segment of graphemes(text)) {
    const level = levels?.[index] ?? 0;
    index += segment.length;
    const face = faceOf(segment);
    const shown = level % 2 ? (bidi.getMirroredCharacter(segment) ?? segment) : segment;
    const last = runs.at(-1);
    if (last?.face === face && last.level === level) runs[runs.length - 1] = { ...last, text: last.text + shown };
    else runs.push({ text: shown, face, level });
  }
  for (let level = Math.max(0, ...runs.map((r) => r.level)); level > 0; level--) turnRound(runs, level);
  return runs;
}

/** Turns round each stretch of runs that are at least that deep. */
function turnRound(runs: { level: number }[], level: number): void {
  for (let from = 0; from < runs.length; from++) {
    let to = from;
    while ((runs[to]?.level ?? -1) >= level) to++;
    if (to > from) runs.splice(from, to - from, ...runs.slice(from, to).reverse());
    from = Math.max(from, to);
  }
}
