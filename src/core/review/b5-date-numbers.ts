import { dateHeader } from '../book/columns';
import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';
import { dayOfMonth } from '../week/day-names';
import type { Finding, Rule } from './finding';
import { at, dayName } from './say';

/** B5: date numbers match the calendar, over month ends and year ends (ISO 8601 dates). */
export const b5DateNumbers: Rule = {
  code: 'B5',
  title: 'Date numbers match the calendar',
  check: (view) =>
    view.context.week.days.flatMap((isoDay, day): Finding[] => {
      const header = dateHeader(view.context.book, day);
      if (!header) return [];
      const wanted = String(dayOfMonth(isoDay));
      const here = view.placements.filter((p) => p.page === header.page && intersect(footprint(p), header));
      const said = here.flatMap((p) => {
        const piece = view.pieceOf(p);
        if (piece?.kind === 'date-dot') return [{ p, number: piece.words.trim() }];
        return piece?.kind === 'date-cover' && p.text ? [{ p, number: p.text.trim() }] : [];
      });
      const wrong = said.filter((s) => s.number !== wanted);
      const findings: Finding[] = wrong.map(({ p, number }) => ({
        rule: 'B5',
        severity: 'stop',
        ...at(p),
        placements: [p.id],
        message: `${dayName(view, day)} is the ${wanted}, but its date says ${number || 'nothing'}.`,
        remedy: `Use the dot with ${wanted}, or write it.`,
      }));
      if (said.length > 1 && !wrong.length) {
        findings.push({
          rule: 'B5',
          severity: 'fix',
          page: header.page,
          x: header.x,
          y: header.y,
          placements: said.map((s) => s.p.id),
          message: `${dayName(view, day)} shows its date ${said.length} times.`,
          remedy: 'Take one of them off.',
        });
      }
      const bareHeader = view.context.book.dated && here.length === 0;
      if (said.length === 0 && !bareHeader && view.placements.length > 0) {
        findings.push({
          rule: 'B5',
          severity: 'fix',
          page: header.page,
          x: header.x,
          y: header.y,
          placements: here.map((p) => p.id),
          message: `${dayName(view, day)} has no date; it is the ${wanted}.`,
          remedy: `Lay a date dot with ${wanted} on its header, or write the number.`,
        });
      }
      return findings;
    }),
};
