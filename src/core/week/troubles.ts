import type ICAL from 'ical.js';
import type { Calendar } from './calendar';

/** No more of them are told than a person reads. */
const MOST = 20;
const known = new WeakMap<ICAL.Component, Map<ICAL.Component, string>>();

/** Keeps what went wrong with one item of a calendar; once an item. */
export function noteTrouble(calendar: Calendar, component: ICAL.Component, what: string): void {
  const troubles = known.get(calendar.root) ?? new Map<ICAL.Component, string>();
  known.set(calendar.root, troubles);
  if (troubles.has(component) || troubles.size >= MOST) return;
  const line = calendar.lines?.get(component);
  const title = String(component.getFirstPropertyValue('summary') ?? 'untitled').slice(0, 60);
  const name = component === calendar.root ? 'Something in it' : `“${title}”`;
  troubles.set(
    component,
    `${name}${line === undefined ? '' : ` (line ${line})`} ${what}: it is left out where that is so.`,
  );
}

/** What could not be worked out of a calendar so far, each a sentence. */
export const troublesOf = ({ root }: Pick<Calendar, 'root'>): readonly string[] => [
  ...(known.get(root)?.values() ?? []),
];

/** What cannot be worked out costs its own item, or its own calendar, and a note there; never the others. */
export function isolateErrors<T>(
  calendar: Calendar,
  component: ICAL.Component,
  find: () => readonly T[],
): readonly T[] {
  try {
    return find();
  } catch (error) {
    noteTrouble(
      calendar,
      component,
      `cannot be worked out (${error instanceof Error ? error.message : String(error)})`,
    );
    return [];
  }
}
