import type { StoreTroubleKind } from '../db/trouble';
import { StoreTrouble, asTrouble, troubleOfDigest } from '../db/trouble';

/** A trouble of the data file: what is wrong, and the way on that is true there. */
export interface SaidTrouble {
  readonly what: string;
  readonly way: string;
}

const SAID: { readonly [T in StoreTroubleKind]: SaidTrouble } = {
  corrupt: {
    what: 'The data file is damaged.',
    way: 'Stop Hobnail, keep the damaged file for safety, and put a copy from before in its place; then try again. Nothing is written to it as it is.',
  },
  'not a database': {
    what: 'The data file is no Hobnail data: something else lies under its name.',
    way: 'Put the right file in its place, or move this one away to begin with an empty house.',
  },
  'read-only': {
    what: 'The data file or its disk can only be read.',
    way: 'Allow writing to the file and its folder, then try again.',
  },
  locked: {
    what: 'Another program is writing to the data file.',
    way: 'Close it, or wait till it is done; then try again.',
  },
  full: {
    what: 'The disk is full.',
    way: 'Make room on it, then try again.',
  },
  'no folder': {
    what: 'The folder for the data file is not there and cannot be made.',
    way: 'Make the folder, or plug in the disk it is on; then try again.',
  },
  'no access': {
    what: 'The data file cannot be opened or read from its disk.',
    way: 'Look whether its disk is plugged in and this account may use it; then try again.',
  },
  moved: {
    what: 'The data file was moved or removed while Hobnail had it open.',
    way: 'Put it back, then try again; or restart Hobnail to begin with an empty house.',
  },
  replaced: {
    what: 'Another data file lies in the place of the one this was meant for: a backup was put back, most likely.',
    way: 'Reload the page, look what is there now, and do it again.',
  },
  newer: {
    what: 'The data file was written by a newer Hobnail.',
    way: 'Open it with that one. Nothing in it was changed.',
  },
};

const sayTrouble = (trouble: StoreTroubleKind): SaidTrouble => SAID[trouble];

/** What is said of an error that is a trouble of the data file; null where it is another. */
export function saidOfError(error: unknown): SaidTrouble | null {
  const trouble = asTrouble(error);
  return trouble instanceof StoreTrouble ? sayTrouble(trouble.trouble) : null;
}

/** What an error page says of a trouble of the data file; null where its error was another. */
export function saidOfDigest(digest: string | undefined): SaidTrouble | null {
  const trouble = troubleOfDigest(digest);
  return trouble && sayTrouble(trouble);
}
