import { traits } from '../../kit/kinds';
import type { Wanted } from './enough';

/** What a week wants, in words: `headers`, `rows of checklists`. */
export function sayWanted(what: Wanted): string {
  switch (what) {
    case 'rows':
      return 'rows of checklists';
    case 'bases':
      return 'bases for single items';
    case 'numbers':
      return 'date dots of these days';
    default:
      return traits(what).plural;
  }
}
