import type { Book, RegionKind } from '../book/book';
import type { WhiteOut } from './white-out';
import { regionOf, tapeLength } from './white-out';

export interface WhiteOutPlace {
  /** the day whose column it is; null elsewhere */
  readonly day: number | null;
  /** null: in no region of the book */
  readonly region: RegionKind | null;
  /** places to white out there */
  readonly count: number;
  /** mm of tape */
  readonly length: number;
}

/** The white-out summed up by where on the pages it is, in the list's own order. */
export function whiteOutPlaces(book: Book, list: readonly WhiteOut[]): WhiteOutPlace[] {
  const groups = new Map<string, { day: number | null; region: RegionKind | null; here: WhiteOut[] }>();
  for (const w of list) {
    const region = regionOf(book, w);
    const day = region?.kind === 'day' ? (region.day ?? null) : null;
    const key = `${day} ${region?.kind}`;
    const group = groups.get(key) ?? { day, region: region?.kind ?? null, here: [] };
    groups.set(key, { ...group, here: [...group.here, w] });
  }
  return [...groups.values()].map(({ day, region, here }) => ({
    day,
    region,
    count: here.length,
    length: tapeLength(here),
  }));
}
