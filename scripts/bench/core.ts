import { writeFileSync } from 'node:fs';
import { arrange } from '../../src/core/arrange/arrange';
import { assignBoxes } from '../../src/core/arrange/exact/box-assignment';
import { completeSpread } from '../../src/core/format/spread-file';
import type { Calendar } from '../../src/core/week/calendar';
import { readCalendar } from '../../src/core/format/calendar';
import type { Kit } from '../../src/core/kit/kit';
import { viewOf } from '../../src/core/review/review';
import { demandsOfWeek } from '../../src/core/week/demands';
import { weekAfter } from '../../src/core/week/week';
import { demoKit, demoSpread } from '../../tests/fixtures';
import { growthSvg } from '../growth-svg';
import { say, timed, ms } from './report';
import { weekOf } from './weeks';

/** Arranging, calendars, and what follows from a spread. */
export function core(): void {
  for (const count of [15, 30, 45, 60, 100, 200]) {
    const c = weekOf(count);
    const { median } = timed(9, () => arrange(c));
    const placed = count - viewOf(c, arrange(c)).unplaced.length;
    say(
      `a whole week arranged, ${count} items, 287 stickers and the stash`,
      count === 45 ? 'median under 300 ms' : '',
      `median ${ms(median)}, ${placed} of ${count} items placed`,
    );
  }
  growth();
  const onDay = Array.from({ length: 8 }, (_, b) => Array.from({ length: 7 }, (_, d) => (b * 7 + d * 5) % 11));
  say(
    'full-box assignment, 8 boxes on 7 days, exact',
    'equal to brute force (src/core/arrange/exact.test.ts)',
    `median ${ms(
      timed(50, () =>
        assignBoxes(
          onDay.map((d) => ({ onDay: d })),
          7,
          { without: () => 9, beside: () => 1 },
        ),
      ).median,
    )}`,
  );
  const { context, placements } = demoSpread();
  say(
    'white-out, cuts, order of work, stock of that spread',
    '',
    `median ${ms(timed(15, () => completeSpread(context, placements)).median)}`,
  );
  const events = Array.from(
    { length: 5000 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART;VALUE=DATE:2026${String(1 + (i % 12)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}\r\nSUMMARY:errand ${i}\r\n${i % 5 ? '' : 'RRULE:FREQ=WEEKLY\r\n'}END:VEVENT`,
  ).join('\r\n');
  const ics = `BEGIN:VCALENDAR\r\n${events}\r\nEND:VCALENDAR`;
  say(
    'a calendar file of 5,000 events (1,000 of them weekly) read',
    '',
    `median ${ms(timed(5, () => readCalendar(ics, 'bench.ics')).median)}`,
  );
  const large = Array.from(
    { length: 45_000 },
    (_, i) =>
      `BEGIN:VEVENT\r\nUID:${i}\r\nDTSTART;TZID=America/Halifax:2027${String(1 + (i % 12)).padStart(2, '0')}${String(1 + (i % 28)).padStart(2, '0')}T100000\r\nSUMMARY:errand ${i}\r\nDESCRIPTION:${'words '.repeat(170)}\r\nEND:VEVENT`,
  ).join('\r\n');
  say(
    'a calendar file of 50 MB, 45,000 events, its zone not described, read',
    '',
    `median ${ms(timed(1, () => readCalendar(`BEGIN:VCALENDAR\r\n${large}\r\nEND:VCALENDAR`, 'large.ics')).median)}`,
  );
  const fresh = Array.from({ length: 7 }, () => readCalendar(ics, 'bench.ics'));
  say(
    'the first week after reading it, 1,000 items',
    '',
    `median ${ms(timed(5, (i) => demandsOfWeek([fresh[i + 2] as Calendar], '2027-W06')).median)}`,
  );
  const calendar = fresh[0] as Calendar;
  say(
    'any other week of it, 1,000 items',
    'under 100 ms',
    `median ${ms(timed(25, (i) => demandsOfWeek([calendar], weekAfter('2027-W06', i))).median)}`,
  );
}

/** Time against items, with two, four and eight kits of stickers to choose from; drawn in docs/growth.svg. */
function growth(): void {
  const stash = (n: number): Kit[] => [
    demoKit('stash'),
    ...Array.from({ length: n }, (_, i) => ({
      name: `kit ${i}`,
      pieces: demoKit(i % 2 ? 'rockpool' : 'night-almanac').pieces.map((p) => ({ ...p, kit: `kit ${i}` })),
    })),
  ];
  const lines = [0, 2, 6].map((n) => {
    const kits = stash(n);
    const pieces = kits.reduce(
      (sum, k) => sum + k.pieces.reduce((m, p) => m + p.count, 0),
      demoKit('rockpool').pieces.reduce((m, p) => m + p.count, 0),
    );
    return {
      name: `${pieces} stickers`,
      points: [15, 45, 75, 100, 150, 200].map((items) => ({
        items,
        ms: timed(3, () => arrange(weekOf(items, kits))).median,
      })),
    };
  });
  writeFileSync('docs/growth.svg', growthSvg(lines));
  const [few, many] = [lines[0], lines.at(-1)] as [(typeof lines)[number], (typeof lines)[number]];
  const ratio = (a: number, b: number): string => (a / b).toFixed(1);
  const at = (line: typeof few, items: number): number => line.points.find((p) => p.items === items)?.ms as number;
  say(
    'growth, drawn in [growth.svg](growth.svg)',
    'no faster than items × pieces to 200 items',
    `from 45 to 200 items (× 4.4): time × ${ratio(at(few, 200), at(few, 45))}; from ${few.name} to ${many.name}: × ${ratio(at(many, 45), at(few, 45))}; both: × ${ratio(at(many, 200), at(few, 45))}`,
  );
}
