import type { DayRecord } from '../src/core/keep/day-record';
import { plus, weekdayOf } from '../src/core/week/typed/calendar-days';

/** What its owner writes down of each day. */
export const DEMO_HABITS = {
  habits: ['scales', 'hounds out early', 'water', 'bed by ten'],
  hours: ['ferry', 'allotment'],
  spending: ['food', 'hounds', 'house', 'other'],
  currency: '$',
} as const;

const DINNERS = [
  ['fish soup', 5],
  ['bean stew', 4],
  ['potato pancakes', 4],
  ['leek tart', 3],
  ['lentils and rice', 3],
  ['mussels', 2],
  ['beet soup', 2],
  ['noodles with kale', 3],
  ['pea soup', 2],
  ['baked cod', 2],
  ['omelet', 3],
  ['squash curry', 1],
  ['chard dumplings', 1],
  ['choir supper', 1],
] as const;

const MOMENTS = [
  'Seals on the breakwater, all of them asleep.',
  'Moth slept on the stairs and would not be moved.',
  'We held the last chord until the lamp went out.',
  'First frost on the beans; picked what was left.',
  'A passenger left a jar of quinces for the crew.',
  'Juniper found the neighbor’s slipper and kept it.',
  'The late boat ran empty, with a moon like a plate.',
  'Odile sang the alto line alone and got it right.',
  'Rain all day, mended two gloves and a bridle.',
  'The compost steamed like a kettle.',
  'Traded leeks for a tin of varnish.',
  'Fog so thick that we rang the bell by hand.',
] as const;

/** Habits, and how likely a day keeps each. */
const LIKELY = [0.62, 0.8, 0.55, 0.45] as const;

/**
 * A life, day by day, that looks like one: dinners that come again, habits that come and go, hours by the ferry's rota,
 * money by the week.
 * @param onShift whether a day has a shift on the ferry
 */
export function lifeOf(
  first: string,
  last: string,
  onShift: (day: string) => boolean,
  random: () => number,
): DayRecord[] {
  const records: DayRecord[] = [];
  const add = (day: string, what: DayRecord['what'], name: string, amount: number, text = '') =>
    records.push({ day, what, name, amount, text });
  let mood = 1;
  let eaten = '';
  for (let day = first; day <= last; day = plus(day, 1)) {
    if (weekdayOf(day) === 0) mood = 0.65 + 0.6 * random();
    if (random() < 0.94) {
      for (let was = eaten; was === eaten;) eaten = picked(random);
      add(day, 'dinner', '', 0, eaten);
    }
    DEMO_HABITS.habits.forEach((name, i) => {
      if (random() < Math.min(0.97, (LIKELY[i] as number) * mood)) add(day, 'habit', name, 1);
    });
    if (onShift(day)) add(day, 'hours', 'ferry', 8 + (random() < 0.2 ? 0.5 : 0));
    else if (random() < 0.4) add(day, 'hours', 'allotment', 1 + Math.round(random() * 4) / 2);
    if ([1, 4].includes(weekdayOf(day))) add(day, 'spending', 'food', money(18 + 30 * random()));
    if (weekdayOf(day) === 5) add(day, 'spending', 'hounds', money(9 + 14 * random()));
    if (random() < 0.1) add(day, 'spending', 'house', money(6 + 60 * random()));
    if (random() < 0.12) add(day, 'spending', 'other', money(3 + 22 * random()));
    if (random() < 0.3) add(day, 'moment', '', 0, MOMENTS[Math.floor(random() * MOMENTS.length)]);
  }
  return records;
}

const money = (amount: number): number => Math.round(amount * 100) / 100;

function picked(random: () => number): string {
  const all = DINNERS.reduce((sum, [, weight]) => sum + weight, 0);
  let at = random() * all;
  for (const [name, weight] of DINNERS) {
    at -= weight;
    if (at < 0) return name;
  }
  return DINNERS[0][0];
}
