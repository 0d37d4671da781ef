import type { Demand } from '../../core/week/demand';

/** What the week can be narrowed to. One line a filter. */
export const FILTERS: readonly { readonly name: string; readonly shows: (d: Demand) => boolean }[] = [
  { name: 'everything', shows: () => true },
  { name: 'appointments', shows: (d) => d.kind === 'appointment' },
  { name: 'chores', shows: (d) => d.kind === 'chore' },
  { name: 'lists and to-dos', shows: (d) => d.list !== null || d.kind === 'to-do' },
  { name: 'deadlines', shows: (d) => d.kind === 'deadline' },
  { name: 'occasions and reminders', shows: (d) => ['occasion', 'reminder', 'band'].includes(d.kind) },
  { name: 'what is not sure', shows: (d) => d.tentative },
  { name: 'what does not come round', shows: (d) => !d.repeated },
];

export const hasWords = (d: Demand, words: string): boolean =>
  [d.title, d.list, d.kind, ...d.categories].join(' ').toLowerCase().includes(words.trim().toLowerCase());
