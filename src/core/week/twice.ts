import { distance } from 'fastest-levenshtein';
import type { Demand } from './demand';

export interface LookAlike {
  readonly one: Demand;
  readonly other: Demand;
  /** `same` words, `near` ones (a slip of the pen), or one title that is `within` the other */
  readonly how: 'same' | 'near' | 'within';
}

const FILLERS = new Set(['a', 'an', 'the', 'to', 'for', 'of', 'at', 'on', 'in', 'with', 'and', 'my', 'some', 'due']);

/** A title's words that carry meaning, without plural endings; sorted, so that their order does not matter. */
function wordsOf(title: string): string[] {
  const words =
    title
      .toLowerCase()
      .normalize('NFD')
      .replace(/\p{M}/gu, '')
      .match(/[\p{L}\p{N}]+/gu) ?? [];
  return [
    ...new Set(
      words
        .filter((w) => !FILLERS.has(w))
        .map((w) => (w.length > 3 && w.endsWith('s') && !w.endsWith('ss') ? w.slice(0, -1) : w)),
    ),
  ].sort();
}

function compare(a: readonly string[], b: readonly string[]): LookAlike['how'] | null {
  if (!a.length || !b.length) return null;
  const [one, two] = [a.join(' '), b.join(' ')];
  if (one === two) return 'same';
  const numbers = (words: readonly string[]): string => words.filter((w) => /\d/.test(w)).join(' ');
  if (numbers(a) !== numbers(b)) return null;
  const shorter = Math.min(one.length, two.length);
  if (shorter >= 5 && a.length === b.length && distance(one, two) <= (shorter >= 9 ? 2 : 1)) return 'near';
  const [few, many] = a.length < b.length ? [a, b] : [b, a];
  return few.length < many.length && few.every((w) => many.includes(w)) && few.join('').length >= 4 ? 'within' : null;
}

/**
 * Pairs that may be one thing entered twice, or once on a list and once alone (handbook D6). On one day, titles that
 * are the same, nearly so, or one within the other; on two days of the week only the same or nearly the same, where
 * at least one does not come round by itself. What is at two times of a day is done twice.
 */
export function lookAlikes(demands: readonly Demand[]): readonly LookAlike[] {
  const known = found.get(demands) ?? comparedAll(demands);
  found.set(demands, known);
  return known;
}

/** A week's demands do not change, and the review asks after every edit. */
const found = new WeakMap<readonly Demand[], readonly LookAlike[]>();

function comparedAll(demands: readonly Demand[]): LookAlike[] {
  const items = demands
    .filter((d) => d.aspect === 'item')
    .slice(0, MOST_COMPARED)
    .map((d) => ({ d, words: wordsOf(d.title) }));
  const pairs: LookAlike[] = [];
  /** what was found to be the same as one before it: that one speaks for it */
  const spokenFor = new Set<Demand>();
  for (const [i, { d: one, words }] of items.entries()) {
    if (spokenFor.has(one)) continue;
    for (const { d: other, words: others } of items.slice(i + 1)) {
      if (pairs.length === MOST_PAIRS) return pairs;
      if (one.uid === other.uid || (one.start !== null && other.start !== null && one.start !== other.start)) continue;
      const sameDay = one.day <= other.lastDay && other.day <= one.lastDay;
      if (!sameDay && one.repeated && other.repeated) continue;
      const how = compare(words, others);
      if (how === null || (how === 'within' && !sameDay)) continue;
      pairs.push({ one, other, how });
      if (how === 'same' && sameDay && one.start === other.start) spokenFor.add(other);
    }
  }
  return pairs;
}

/** More items of a week are not held against each other, and of more pairs nobody wants to be asked. */
const MOST_COMPARED = 600;
const MOST_PAIRS = 60;

/** Names a pair whichever comes first. */
export const pairKey = (a: string, b: string): string => [a, b].sort().join(' & ');
