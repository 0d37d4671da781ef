import { MOST_MEGABYTES, readingCalendar } from '../../core/format/calendar';
import { editAgenda } from '../../db/agenda-edits';
import { inSteps } from '../in-steps';
import type { Format } from './format';

export const calendar: Format = {
  ending: '.ics',
  name: 'a calendar (.ics)',
  mostMegabytes: MOST_MEGABYTES,
  take: async (db, { name, base, text }, onProgress) => {
    const { root, notes } = await inSteps(readingCalendar(text, name), onProgress);
    await editAgenda(db, { do: 'take in calendar', name: base }, async () => [{ on: 'calendar', name: base, text }]);
    const count = (component: string): number => root.getAllSubcomponents(component).length;
    return { said: `${count('vevent')} events and ${count('vtodo')} tasks`, notes };
  },
};
