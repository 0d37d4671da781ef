import { traits } from '../../kit/kinds';
import { shortDay } from '../../week/day-names';
import type { IsoDay } from '../../week/week';
import type { Carried } from './carried';
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

/** How a week is carried where its bases lack: `14 bases for 31 items: 12 will be written on the paper (Mon 3, …)`. */
export function sayCarried(
  { there, needed }: { there: number; needed: number },
  carried: Carried,
  days: readonly IsoDay[],
): string {
  const ink = carried.onPaper.reduce((a, b) => a + b, 0);
  const bases = `${there} ${there === 1 ? 'base' : 'bases'} for ${needed} single ${needed === 1 ? 'item' : 'items'}`;
  const by = carried.onPaper.flatMap((n, day) => (n ? [`${shortDay(days[day] as IsoDay)} ${n}`] : [])).join(', ');
  const written = ink
    ? `${ink} will be written on the paper (${by})`
    : 'rows of lists, halves and strips carry the rest';
  const out = carried.leftOut ? `; ${carried.leftOut} find no room in their day` : '';
  const sheet = ink ? `. A sheet of ${ink > MOST_OF_A_SHEET ? 'labels' : 'third boxes'} would carry them` : '';
  return `${bases}: ${written}${out}${sheet}.`;
}

/** Third boxes on a usual sheet. From memory. */
const MOST_OF_A_SHEET = 15;
