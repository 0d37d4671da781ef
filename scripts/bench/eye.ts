import { arrange } from '../../src/core/arrange/arrange';
import type { Kind } from '../../src/core/kit/kinds';
import { exchangedAtRandom } from '../../tests/eye/exchanges';
import { SCHOOLS, eyeWeek, seen } from '../../tests/eye/measure';
import { say } from './report';

const SEEDS = 34;
/** Weeks of each school on which random exchanges are tried, and how many. */
const EXCHANGED = 12;
const TRIES = 2000;
/** A kit of hundreds says nothing of how a kit is used up: so many copies of a kind count at most. */
const MOST = 40;

/** What a decorator sees first, over weeks of thin kits, kits of all sorts and strangers' kits, by rectangles alone. */
export function eye(): void {
  const sum = {
    days: 0,
    blank: 0,
    boxless: 0,
    rows: 0,
    empty: 0,
    headers: 0,
    idle: 0,
    twins: 0,
    meant: 0,
    unmeant: 0,
    white: 0,
    open: 0,
  };
  const [copies, used] = [new Map<Kind, number>(), new Map<Kind, number>()];
  const times: number[] = [];
  let [tried, bettered] = [0, 0];
  for (const school of SCHOOLS)
    for (let seed = 1; seed <= SEEDS; seed++) {
      const context = eyeWeek(seed, school);
      const from = performance.now();
      const placements = arrange(context);
      times.push(performance.now() - from);
      if (seed <= EXCHANGED) {
        const [before, after] = exchangedAtRandom(context, placements, TRIES);
        tried++;
        if (before - after > 0.02 * before) bettered++;
      }
      const week = seen(context, placements);
      for (const key of Object.keys(sum) as (keyof typeof sum)[]) sum[key] += week[key];
      for (const [kind, n] of week.copies) copies.set(kind, (copies.get(kind) ?? 0) + Math.min(n, MOST));
      for (const [kind, n] of week.laid) used.set(kind, (used.get(kind) ?? 0) + Math.min(n, MOST));
    }
  times.sort((a, b) => a - b);
  const ms = (share: number): string => `${Math.round(times[Math.floor(times.length * share)] ?? 0)}`;
  const share = (kind: Kind): string => `${Math.round((100 * (used.get(kind) ?? 0)) / (copies.get(kind) ?? 1))}`;
  say(`days of ${times.length} weeks with a blank over 45 mm that something left would fill`, 'under 1 of 100', `${sum.blank} of ${sum.days}`); // prettier-ignore
  say('days without a full box that could hold one that is left', '0', String(sum.boxless));
  say(
    'rows of three rows’ days with nothing in them, though the kit has something',
    '0',
    `${sum.empty} of ${sum.rows}`,
  );
  say('headers over nothing', '0', `${sum.idle} of ${sum.headers}`);
  say('the same picture twice within 60 mm of a column', '0', String(sum.twins));
  say('items on a base of their own with a picture or word that means them, of those for which one is left and fits', '95 of 100', `${sum.meant} of ${sum.meant + sum.unmeant}`); // prettier-ignore
  say('white beyond what is asked, mean of all kits', '', (sum.white / sum.days).toFixed(2));
  say('white into which something left would go, beyond what is asked, mean of all weeks', 'within 0.10', (sum.open / sum.days).toFixed(3)); // prettier-ignore
  say('used of the kits, of 100: full boxes, half boxes, deco, littles', '', [share('full-box'), share('half-box'), share('deco'), share('little')].join(', ')); // prettier-ignore
  say(`weeks of ${tried} that ${TRIES} random exchanges better by more than 2 of 100 of the eye’s sum`, 'under 5 of 100', String(bettered)); // prettier-ignore
  say('a week of these, median and 95th', '150, 400 ms', `${ms(0.5)}, ${ms(0.95)} ms`);
}
