import fc from 'fast-check';
import { arrange } from '../src/core/arrange/arrange';
import { readCalendar, readKeptCalendar } from '../src/core/format/calendar';
import { entryOf } from '../src/core/format/calendar-edit';
import { BadInput } from '../src/core/format/fault';
import { spreadSvg } from '../src/core/format/spread-svg';
import { review, viewOf } from '../src/core/review/review';
import type { Calendar } from '../src/core/week/calendar';
import { demandsOfWeek } from '../src/core/week/demands';
import { troublesOf } from '../src/core/week/troubles';
import { demoKit, context } from './fixtures';
import { fuzzedCalendar } from './fuzzed-calendars';

const RUNS = Number(process.env.HOBNAIL_FUZZ ?? 120);
const SEED = Number(process.env.HOBNAIL_SEED ?? 41);
/** ms */
const LONG = 60_000 + RUNS * 500;
const kit = demoKit('rockpool');

/** Everything that a week does with a calendar that was taken in. */
function use(calendar: Calendar): void {
  const week = demandsOfWeek([calendar], '2027-W06', 'monday', 'America/Halifax');
  for (const d of week.demands) entryOf(calendar, d.uid);
  expect(troublesOf(calendar).join()).not.toMatch(/undefined|NaN/);
  if (week.demands.length === 0) return;
  const c = context({ kit, week });
  const placements = arrange(c);
  review(viewOf(c, placements));

  expect(spreadSvg(c, placements, [])).not.toMatch(/[\u0000-\u0008\u000b\u000c\u000e-\u001f]/);
}

/** A calendar as read; null where it is refused, which must be said as BadInput. */
function taken(read: () => Calendar): Calendar | null {
  try {
    return read();
  } catch (error) {
    if (error instanceof BadInput) return null;
    throw error;
  }
}

it(
  `what is taken in can be laid out and drawn (${RUNS} calendars, seed ${SEED})`,
  () => {
    let accepted = 0;
    fc.assert(
      fc.property(fuzzedCalendar, (ics) => {
        const calendar = taken(() => readCalendar(ics, 'fuzz.ics'));
        if (!calendar) return;
        accepted++;
        use(calendar);
      }),
      { numRuns: RUNS, seed: SEED },
    );
    expect(accepted).toBeGreaterThan(RUNS / 20);
  },
  LONG,
);

it(
  'what was taken in before costs only what is wrong with it, whatever it is',
  () => {
    fc.assert(
      fc.property(fuzzedCalendar, (ics) => {
        const calendar = taken(() => readKeptCalendar(ics, 'fuzz.ics'));
        if (calendar) use(calendar);
      }),
      { numRuns: RUNS, seed: SEED + 1 },
    );
  },
  LONG,
);
