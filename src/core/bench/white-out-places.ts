import type { Context } from '../spread/placement';
import { longDay } from '../week/day-names';
import type { WhiteOut } from './white-out';
import { regionOf, tapeLength } from './white-out';

export interface WhiteOutPlace {
  /** `Monday`, `sidebar`, `bottom strip` */
  readonly name: string;
  /** places to white out there */
  readonly count: number;
  /** mm of tape */
  readonly length: number;
}

/** The white-out summed up by where on the pages it is, in the list's own order. */
export function whiteOutPlaces(context: Pick<Context, 'book' | 'week'>, list: readonly WhiteOut[]): WhiteOutPlace[] {
  const groups = new Map<string, WhiteOut[]>();
  for (const w of list) {
    const region = regionOf(context.book, w);
    const name =
      region?.kind === 'day' && region.day !== undefined
        ? longDay(context.week.days[region.day] as string)
        : (region?.kind.replace('-', ' ') ?? 'elsewhere');
    groups.set(name, [...(groups.get(name) ?? []), w]);
  }
  return [...groups].map(([name, here]) => ({ name, count: here.length, length: tapeLength(here) }));
}
