import { at } from './where';
import type { Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { dayName } from '../spread/voice';
import { datesOf } from '../spread/dates-of';
import { dateHeader, dayColumn } from '../book/columns';
import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';
import { dayOfMonth } from '../week/day-names';

/** B5: date numbers match the calendar, over month ends and year ends (ISO 8601 dates). */
export const b5DateNumbers: Rule<Case> = {
  code: 'B5',
  title: 'Date numbers match the calendar',
  say,
  check: (view) =>
    view.context.week.days.flatMap((isoDay, day): Found[] => {
      const { book } = view.context;
      const header = dateHeader(book, day) ?? (book.dated ? undefined : dayColumn(book, day));
      if (!header) return [];
      const wanted = String(dayOfMonth(isoDay));
      const here = view.placements.filter((p) => p.page === header.page && intersect(footprint(p), header));
      const said = datesOf(view.context, view.placements, view.pieceOf, day);
      const wrong = said.filter((s) => s.number !== wanted);
      const findings: Found[] = wrong.map(({ p, number }) => ({
        rule: 'B5',
        severity: 'stop',
        ...at(p),
        placements: [p.id],
        about: { is: 'wrong', days: [day], wanted, number },
      }));
      if (said.length > 1 && !wrong.length) {
        findings.push({
          rule: 'B5',
          severity: 'fix',
          page: header.page,
          x: header.x,
          y: header.y,
          placements: said.map((s) => s.p.id),
          about: { is: 'often', days: [day], wanted, times: said.length },
        });
      }
      const bareHeader = book.dated && here.length === 0;
      if (said.length === 0 && !bareHeader && view.placements.length > 0) {
        findings.push({
          rule: 'B5',
          severity: 'fix',
          page: header.page,
          x: header.x,
          y: header.y,
          placements: here.map((p) => p.id),
          about: { is: 'none', days: [day], wanted },
        });
      }
      return findings;
    }),
};

type Found = Finding<Case>;

type Case = { readonly days: readonly [number]; readonly wanted: string } & (
  | { readonly is: 'wrong'; readonly number: string }
  | { readonly is: 'often'; readonly times: number }
  | { readonly is: 'none' }
);

function say({ about }: Found, voice: Voice): Said {
  const day = dayName(voice, about.days[0]);
  switch (about.is) {
    case 'wrong':
      return {
        message: `${day} is the ${about.wanted}, but its date says ${about.number || 'nothing'}.`,
        remedy: `Use the dot with ${about.wanted}, or write it.`,
      };
    case 'often':
      return { message: `${day} shows its date ${about.times} times.`, remedy: 'Take one of them off.' };
    case 'none':
      return {
        message: `${day} has no date; it is the ${about.wanted}.`,
        remedy: `Lay a date dot with ${about.wanted} on its header, or write the number.`,
      };
  }
}
