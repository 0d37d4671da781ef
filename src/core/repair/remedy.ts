import type { Context, Placement } from '../arrange/spread';
import type { Change } from '../edit/change';
import type { Finding } from '../review/finding';
import { fitBook } from '../manner/fit-book';
import type { Options } from '../manner/options';
import type { Ways } from '../manner/ways';
import { pairKey } from '../week/twice';

/** Settings of the spread to be changed; or something done or said beside it. */
export interface Patch {
  readonly options?: Partial<Options>;
  readonly ways?: Partial<Ways>;
  /** a step of the bench that is done, by its `stepKey` */
  readonly ticked?: string;
  /** pairs of uids of items that look alike and are both meant */
  readonly bothMeant?: readonly (readonly [string, string])[];
}

/** One action that takes a finding away: an edit of the spread, or other settings for it. */
export interface Remedy {
  /** `Swap it for QB-3` */
  readonly label: string;
  readonly change: Change | null;
  readonly patch: Patch | null;
}

/** What a remedy is made from. */
export interface Case {
  readonly context: Context;
  readonly placements: readonly Placement[];
  readonly finding: Finding;
}

/** Thinks of remedies; whether they help is found out afterwards. */
export type Idea = (c: Case) => readonly Remedy[];

export const asEdit = (label: string, change: Change | null): Remedy[] => (change && (change.before.length || change.after.length) ? [{ label, change: { ...change, label }, patch: null }] : []);
export const asPatch = (label: string, patch: Patch): Remedy => ({ label, change: null, patch });

/** The context with other settings. */
export function withPatch(context: Context, { options = {}, ways = {}, ticked, bothMeant }: Patch): Context {
  const week = bothMeant ? { ...context.week, bothMeant: [...(context.week.bothMeant ?? []), ...bothMeant.map((pair) => pairKey(...pair))] } : context.week;
  const next = { ...context, week, ticked: ticked ? [...context.ticked, ticked] : context.ticked, options: { ...context.options, ...options }, ways: { ...context.ways, ...ways } };
  return { ...next, book: fitBook(context.printed, next.ways, next.options) };
}
