import type { Makeshift } from './makeshift-ways';

/** How a makeshift is made, to stand within a sentence. */
export function sayMakeshift({ of, from }: Makeshift): string {
  switch (of) {
    case 'header':
      return `cut headers of 38.1 mm from the washi ${from}`;
    case 'date-cover':
      return `cut covers of 38.1 mm from the washi ${from}`;
    case 'quarter-box':
      return `cut bases from the washi ${from}; folded and cut at a slant it makes flags`;
    case 'bottom-washi':
      return `take lengths off the roll ${from}`;
    case 'checklist':
      return `use the rows that are left of ${from}`;
    case 'date-dot':
      return 'write these numbers on their covers';
    default:
      return `make one from the list ${from}: a row for each day`;
  }
}
