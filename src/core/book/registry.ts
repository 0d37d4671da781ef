import { own } from '../measure/own';
import type { Book } from './book';
import { discOpen } from './disc-open';
import { fourPage } from './four-page';
import { hourly } from './hourly';
import { openB6 } from './open-b6';
import { threeBox } from './three-box';
import { wideUndated } from './wide-undated';

/** The books that ship, by the name the headless command takes. One line a book. */
export const BOOKS: Readonly<Record<string, Book>> = {
  'three-box': threeBox,
  'open-b6': openB6,
  'disc-open': discOpen,
  'wide-undated': wideUndated,
  'four-page': fourPage,
  hourly,
};

/** A shipped book by its name; undefined for any other word. */
export const bookNamed = (name: string): Book | undefined => own(BOOKS, name);

export type { Book };
