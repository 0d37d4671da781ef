import type { DemandKind, Part } from './demand';
import type { IsoDay } from './week';

/** What one turn of a round holds. */
export interface Turn {
  readonly text: string;
  /** minutes after midnight; null when it has no time */
  readonly start: number | null;
  readonly minutes: number | null;
}

/**
 * What goes round by itself: a rota, whose turns are days (two early shifts, two late, four off), or alternatives,
 * whose turns are weeks (recycling, refuse). A null turn is free.
 */
export interface Round {
  readonly name: string;
  /** the day of its first turn */
  readonly first: IsoDay;
  readonly every: 'day' | 'week';
  readonly turns: readonly (Turn | null)[];
  readonly kind: DemandKind | null;
  readonly part: Part | null;
}

/** A round is no longer than this many turns. */
export const MOST_TURNS = 60;

/** The rule by which each turn of a round comes again (RFC 5545). */
export const ruleOfRound = (r: Pick<Round, 'every' | 'turns'>): string =>
  `FREQ=${r.every === 'day' ? 'DAILY' : 'WEEKLY'};INTERVAL=${r.turns.length}`;

/** A round in words: `every 8 days: early ferry, early ferry, late ferry, late ferry, 4 free`. */
export function spokenRound(r: Round): string {
  const said: string[] = [];
  let free = 0;
  for (const turn of [...r.turns, undefined]) {
    if (turn === null) {
      free++;
      continue;
    }
    if (free) said.push(`${free} free`);
    free = 0;
    if (turn) said.push(turn.text);
  }
  return `every ${r.turns.length} ${r.every}s: ${said.join(', ')}`;
}
