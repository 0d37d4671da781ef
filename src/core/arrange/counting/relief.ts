import { dayColumn } from '../../book/columns';
import type { Demand } from '../../week/demand';
import { leastHeight } from '../days/least-height';
import { Draft } from '../../spread/draft';
import type { Context } from '../../spread/placement';

/** mm of a day's column that its items want, and that the book has there. */
export interface Fill {
  readonly wanted: number;
  readonly there: number;
}

/** A way to make an overfull day hold (handbook D5), with what it would come to. */
export interface Relief {
  readonly way: 'list' | 'move' | 'carry';
  /** keys of the demands it touches */
  readonly keys: readonly string[];
  /** the day of this week it moves to; null for the other ways */
  readonly to: number | null;
  /** mm the day wants afterwards */
  readonly wanted: number;
  readonly holds: boolean;
}

/** The name of the list that chores are gathered on. */
export const GATHERED = 'chores';
/** Ways out of one sort that are offered for a full day, at most. */
const MOST_OF_A_WAY = 2;
/** Fewer loose chores make no list. From memory. */
const FEWEST_FOR_A_LIST = 2;

/** How each day's column would fill, before a sticker is chosen. */
export function fillOfDays(context: Context): Fill[] {
  const draft = Draft.begin(context, []);
  return context.week.days.map((_, day) => ({
    wanted: leastHeight(draft, context, day),
    there: dayColumn(context.book, day)?.h ?? 0,
  }));
}

/**
 * The cheapest ways out for a day whose items want more than there is: first those that make it hold, then those that
 * touch the fewest items. Nothing with a fixed hour, and no deadline, is moved.
 */
export function reliefOf(context: Context, day: number, fills: readonly Fill[]): Relief[] {
  const { wanted, there } = fills[day] as Fill;
  if (there === 0 || wanted <= there) return [];
  const here = context.week.demands.filter(
    (d) => d.day === day && d.kind !== 'band' && d.aspect === 'item' && !d.tentative,
  );
  const loose = here.filter((d) => d.start === null && ['chore', 'to-do', 'reminder'].includes(d.kind));
  const after = (change: (d: Demand) => Demand | null): number => wantedAfter(context, day, change);
  const ways: Relief[] = [];
  const alone = loose.filter((d) => d.list === null && d.kind !== 'reminder');
  if (alone.length >= FEWEST_FOR_A_LIST) {
    const keys = alone.map((d) => d.key);
    ways.push(
      made(
        'list',
        keys,
        null,
        after((d) => (keys.includes(d.key) ? { ...d, list: GATHERED } : d)),
        there,
      ),
    );
  }
  const room = fills.map((f, d) => (d === day ? -Infinity : f.there - f.wanted));
  for (const d of loose) {
    const keys = d.list ? loose.filter((x) => x.list === d.list).map((x) => x.key) : [d.key];
    if (ways.some((w) => w.way === 'move' && w.keys.join() === keys.join())) continue;
    const rest = after((x) => (keys.includes(x.key) ? null : x));
    const to = nearest(day, room, wanted - rest);
    if (to !== null) ways.push(made('move', keys, to, rest, there));
    ways.push(made('carry', keys, null, rest, there));
  }
  const order: readonly Relief['way'][] = ['list', 'move', 'carry'];
  return ways
    .filter((w) => w.wanted < wanted - 0.5)
    .sort(
      (a, b) =>
        Number(b.holds) - Number(a.holds) ||
        order.indexOf(a.way) - order.indexOf(b.way) ||
        a.keys.length - b.keys.length ||
        a.wanted - b.wanted,
    )
    .filter((w, i, all) => all.slice(0, i).filter((x) => x.way === w.way).length < MOST_OF_A_WAY);
}

const made = (
  way: Relief['way'],
  keys: readonly string[],
  to: number | null,
  wanted: number,
  there: number,
): Relief => ({ way, keys, to, wanted, holds: wanted <= there });

function wantedAfter(context: Context, day: number, change: (d: Demand) => Demand | null): number {
  const demands = context.week.demands.flatMap((d) => (d.day === day ? (change(d) ?? []) : d));
  const changed = { ...context, week: { ...context.week, demands } };
  return leastHeight(Draft.begin(changed, []), changed, day);
}

/** The nearest other day with that many mm to spare; null when there is none. */
function nearest(day: number, room: readonly number[], needed: number): number | null {
  const fitting = room.flatMap((mm, d) => (mm >= needed ? [d] : []));
  return (
    fitting.sort((a, b) => Math.abs(a - day) - Math.abs(b - day) || (room[b] as number) - (room[a] as number))[0] ??
    null
  );
}
