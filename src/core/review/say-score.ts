import { own } from '../measure/own';
import { RULES } from './registry';
import type { Score } from './score';

/** So many losses are told; the rest are small. */
const MOST = 4;

/** What a score lost and to which rules, in words, the dearest first. */
export function sayScore({ parts }: Score): string {
  const lost = RULES.map(({ code, title }) => ({ title, points: -(own(parts, code) ?? 0) }))
    .filter((l) => l.points > 0)
    .sort((a, b) => b.points - a.points);
  if (!lost.length) return 'Nothing is amiss';
  const told = lost.slice(0, MOST).map((l) => `${l.title}, ${l.points} less`);
  return `Of 100: ${told.join('; ')}${lost.length > MOST ? '; and less for others' : ''}`;
}
