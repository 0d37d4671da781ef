import type { RemedyDeed } from './deed';
import type { Deed } from '../edit/deed';
import type { Context, Placement } from '../spread/placement';
import type { Change } from '../edit/change';
import type { Finding } from '../review/finding';
import { fitBook } from '../manner/fit-book';
import type { Options } from '../manner/options/registry';
import type { Ways } from '../manner/ways/registry';
import type { WeekDemands } from '../week/demand';
import { pairKey } from '../week/twice';
import type { IsoDay } from '../week/week';

/** Settings of the spread to be changed; or something done or said beside it. */
export interface Patch {
  readonly options?: Partial<Options>;
  readonly ways?: Partial<Ways>;
  /** a step of the bench that is done, by its `stepKey` */
  readonly ticked?: string;
  /** pairs of uids of items that look alike and are both meant */
  readonly bothMeant?: readonly (readonly [string, string])[];
  /** an item that the agenda has on another day from now on, of this week or of the next */
  readonly moved?: { readonly uid: string; readonly on: IsoDay; readonly to: IsoDay };
}

/** One action that takes a finding away: an edit of the spread, or other settings for it. */
export interface Remedy {
  /** what it does, as data */
  readonly deed: RemedyDeed;
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

/** None where nothing would change. */
export const asEdit = (deed: Deed, change: Change | null): Remedy[] =>
  change && (change.before.length || change.after.length) ? [{ deed, change: { ...change, deed }, patch: null }] : [];
export const asPatch = (deed: RemedyDeed, patch: Patch): Remedy => ({ deed, change: null, patch });

/** The context with other settings, and with what was done or said beside it. */
export function withPatch(context: Context, patch: Patch): Context {
  const ticked = patch.ticked ? [...context.ticked, patch.ticked] : context.ticked;
  const next = {
    ...context,
    week: patchedWeek(context.week, patch),
    ticked,
    options: { ...context.options, ...patch.options },
    ways: { ...context.ways, ...patch.ways },
  };
  return { ...next, book: fitBook(context.printed, next.ways, next.options) };
}

/** The week as the agenda has it afterwards. */
export function patchedWeek(week: WeekDemands, { bothMeant = [], moved }: Patch): WeekDemands {
  const day = moved ? week.days.indexOf(moved.to) : -1;
  return {
    ...week,
    bothMeant: [...(week.bothMeant ?? []), ...bothMeant.map((pair) => pairKey(...pair))],
    demands: moved
      ? week.demands.flatMap((d) =>
          d.uid !== moved.uid || d.on !== moved.on ? d : day < 0 ? [] : { ...d, day, lastDay: day, on: moved.to },
        )
      : week.demands,
  };
}
