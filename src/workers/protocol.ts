import type { Alternative, Wish } from '../core/compare/alternatives';
import type { Looked } from '../core/compare/looked';
import type { Hex } from '../core/color/color';
import type { Change } from '../core/edit/change';
import type { Deed } from '../core/edit/deed';
import type { Remedy } from '../core/remedy/remedy';
import type { Repair, Way } from '../core/repair/let-in';
import type { ColorSwap } from '../core/repair/swap-color';
import type { Finding } from '../core/review/finding';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';

/**
 * What the arranging worker is asked and what it answers. It is told the context and the spread once, and from then on
 * only what changed; all work is done on what it was told last. Messages arrive in the order they were sent.
 */
export interface ArrangeService {
  begin(context: ContextData, placements: readonly Placement[]): void;
  /** parts of the context that are others now */
  contextChanged(parts: Partial<ContextData>): void;
  placementsChanged(gone: readonly string[], come: readonly Placement[]): void;
  rest(): Change | null;
  anew(): Change;
  day(day: number): Change | null;
  letIn(key: string): Repair | null;
  offers(key: string): readonly Way[];
  remedies(finding: Finding): readonly Remedy[];
  colors(from: Hex): readonly ColorSwap[];
  /** the week laid out anew in another manner, to be looked at */
  look(manner: Pick<ContextData, 'manner' | 'options' | 'ways'>): Looked;
  /** @param onTried is told meanwhile how many of all were tried */
  alternatives(wish?: Wish, onTried?: (done: number, of: number) => void): readonly Alternative[];
  mix(sources: readonly (readonly Placement[])[], from: readonly number[], deed: Deed): Change;
}

/** What is asked for an answer; all else is told. */
export type Asked = Exclude<keyof ArrangeService, 'begin' | 'contextChanged' | 'placementsChanged'>;
