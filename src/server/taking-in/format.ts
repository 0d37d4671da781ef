import type { CalendarChanges } from '../../core/format/calendar-changes';
import type { Database } from '../../db/database';

/** What may be done with a file whose name is taken. */
export const SAME_NAME_WAYS = ['replace', 'merge', 'keep both'] as const;
export type SameNameWay = (typeof SAME_NAME_WAYS)[number];

/** A file that came in, decoded. */
export interface Incoming {
  readonly name: string;
  /** its name without endings */
  readonly base: string;
  readonly text: string;
  /** what its owner said to do where its name is taken; null: not asked yet */
  readonly way: SameNameWay | null;
}

/** What was taken in: a few words of what it is, and what its owner should know of how it was read. */
export interface Taken {
  readonly said: string;
  readonly notes: readonly string[];
}

/** Its name is taken: nothing was kept, and its owner is to say what shall be. */
export interface SameName {
  readonly there: string;
  /** what the file would change of what is there */
  readonly changes: CalendarChanges;
  readonly ways: readonly SameNameWay[];
}

/** A kind of file that can be taken in; whole or not at all. */
export interface Format {
  /** of the file's name, with its dot */
  readonly ending: string;
  /** what it is, for who sends another: `a calendar (.ics)` */
  readonly name: string;
  readonly mostMegabytes: number;
  /** @throws BadInput; what the signal was aborted with */
  readonly take: (
    db: Database,
    file: Incoming,
    onProgress: (share: number) => void,
    signal?: AbortSignal,
  ) => Promise<Taken | SameName>;
}
