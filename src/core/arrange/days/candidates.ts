import type { Choice } from '../ladder/choice';
import { LADDER } from '../ladder/registry';
import type { Ground, Rung } from '../ladder/rung';
import type { Demand } from '../../week/demand';
import type { Block } from './day-blocks';

/** A block with all that it could stand on. */
export interface Candidate {
  readonly block: Block;
  readonly choices: readonly Choice[];
  /** what it costs to leave it out */
  readonly leaveOut: number;
}

/** All that some blocks could stand on, by every rung of the ladder. */
export const candidatesFor = (blocks: readonly Block[], ground: Ground, rungs: readonly Rung[] = LADDER): Candidate[] =>
  blocks.map((block) => ({
    block,
    choices: rungs.flatMap((rung) => rung.choices(block, ground)),
    leaveOut: block.open ? OPEN_PLACE : block.demands.reduce((sum, d) => sum + leaveOutCost(d), 0),
  }));

/** How much there is of all that the week shares. */
export const supplyOf = (ground: Ground): Map<string, number> =>
  new Map(LADDER.flatMap((rung) => [...(rung.supply?.(ground) ?? [])]));

/** What it costs to keep no place for what is written in later: less than any item, more than a better base. */
const OPEN_PLACE = 60;

/** What it costs to leave an item out: a fixed time weighs most, what is not sure least. */
const leaveOutCost = (d: Demand): number =>
  d.tentative ? 700 : d.kind === 'appointment' || d.kind === 'deadline' ? 1200 : 1000;
