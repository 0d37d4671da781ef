import type { Book } from './book';
import { openB6 } from './open-b6';
import { threeBox } from './three-box';

/** The books that ship, by the name the headless command takes. One line a book. */
export const BOOKS: Readonly<Record<string, Book>> = {
  'three-box': threeBox,
  'open-b6': openB6,
};
