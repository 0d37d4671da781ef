import type ICAL from 'ical.js';
import { cleanLine } from '../../core/measure/clean-text';
import { counted } from '../../core/spread/voice';
import { noChanges } from '../../core/format/calendar-changes';
import { MOST_MEGABYTES, readingCalendar } from '../../core/format/calendar';
import { mergedCalendar } from '../../core/format/calendar-merge';
import { BadInput, quoted } from '../../core/format/fault';
import { editAgenda } from '../../db/agenda-edits';
import { calendarText, listCalendars } from '../../db/calendars';
import { calendarsOf } from '../calendars';
import { changesOf } from '../feeds';
import { inSteps } from '../in-steps';
import { EditConflict } from '../conflict';
import type { Format } from './format';
import { SAME_NAME_WAYS } from './format';

export const calendar: Format = {
  ending: '.ics',
  name: 'a calendar (.ics)',
  mostMegabytes: MOST_MEGABYTES,
  take: async (db, { name, base: fileName, text, way }, onProgress, signal) => {
    const { root, notes } = await inSteps(readingCalendar(text, name), onProgress, signal);
    const base = ownName(root) ?? fileName;
    const count = (component: string): number => root.getAllSubcomponents(component).length;
    const counts = [
      [count('vevent'), 'event'],
      [count('vtodo'), 'task'],
    ] as const;
    const some = counts.filter(([n]) => n > 0).map(([n, what]) => counted(n, what));
    const all = some.join(' and ') || 'no items';
    const said = `${all} imported`;
    const kept = await calendarsOf(db);
    const there = kept.find((c) => c.name === base);
    if (there && way === null) {
      const changes = await changesOf(kept, text, base);
      if (noChanges(changes)) return { said: `all of its ${all} are there already, as they are`, notes };
      return { there: base, changes, ways: there.address ? ['keep both'] : SAME_NAME_WAYS };
    }
    if (there?.address && way !== 'keep both')
      throw new BadInput([
        {
          file: name,
          where: 'the whole file',
          found: `a feed named ${quoted(base)}, which is changed only where it comes from`,
          expected: 'that both are kept, or a file of another name',
        },
      ]);
    const target = way === 'keep both' ? freeName(base, new Set(kept.map((c) => c.name))) : base;
    await editAgenda(db, { do: 'take in calendar', name: target }, async (trx) => {
      const now = (await listCalendars(trx)).find((c) => c.name === target);
      const seen = kept.find((c) => c.name === target);
      if (now?.id !== seen?.id || now?.revision !== seen?.revision)
        throw new EditConflict(`The calendar ${quoted(target)} was written to this very moment`);
      const before = way === 'merge' ? await calendarText(trx, target) : null;
      return [{ on: 'calendar', name: target, text: before === null ? text : mergedCalendar(before, text) }];
    });
    return { said: target === fileName ? said : `${said} as “${target}”`, notes };
  },
};

const LONGEST_NAME = 60;

/** What the calendar calls itself: `X-WR-CALNAME`, which most programs write and no standard has. */
function ownName(root: ICAL.Component): string | null {
  const said = root.getFirstPropertyValue('x-wr-calname');
  return (said === null ? '' : cleanLine(String(said)).trim().slice(0, LONGEST_NAME)) || null;
}

/** The name, or the first with a number behind it, that is not taken. */
function freeName(name: string, taken: ReadonlySet<string>): string {
  let free = name;
  for (let n = 2; taken.has(free); n++) free = `${name} ${n}`;
  return free;
}
