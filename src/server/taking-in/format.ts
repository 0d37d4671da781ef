import type { Database } from '../../db/database';

/** A file that came in, decoded. */
export interface Incoming {
  readonly name: string;
  /** its name without endings */
  readonly base: string;
  readonly text: string;
}

/** What was taken in: a few words of what it is, and what its owner should know of how it was read. */
export interface Taken {
  readonly said: string;
  readonly notes: readonly string[];
}

/** A kind of file that can be taken in; whole or not at all. */
export interface Format {
  /** of the file's name, with its dot */
  readonly ending: string;
  /** what it is, for who sends another: `a calendar (.ics)` */
  readonly name: string;
  readonly mostMegabytes: number;
  /** @throws BadInput */
  readonly take: (db: Database, file: Incoming, onProgress: (share: number) => void) => Promise<Taken>;
}
