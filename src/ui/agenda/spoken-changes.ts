import type { CalendarChanges } from '../../core/format/calendar-changes';

const MOST_NAMED = 3;

/** Some titles, the first ones by name. */
export const spokenTitles = (titles: readonly string[]): string =>
  `${titles.slice(0, MOST_NAMED).join(', ')}${titles.length > MOST_NAMED ? ` and ${titles.length - MOST_NAMED} more` : ''}`;

/** What a feed brought, in words; '' when nothing. */
export function spokenChanges(c: CalendarChanges | null): string {
  if (!c) return '';
  const lines: readonly (readonly [string, readonly string[]])[] = [
    ['new', c.added],
    ['changed', c.changed],
    ['gone', c.removed],
  ];
  return lines.flatMap(([word, titles]) => (titles.length ? [`${word}: ${spokenTitles(titles)}`] : [])).join(' · ');
}
