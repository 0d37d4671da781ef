import { candidatesFor, supplyOf } from '../arrange/days/candidates';
import { blocksOfDay } from '../arrange/days/day-blocks';
import { UNRESERVED } from '../arrange/days/reserved';
import { TIGHT } from '../arrange/days/spacing';
import type { Choice } from '../arrange/ladder/choice';
import { Draft } from '../spread/draft';
import type { Context, Placement } from '../spread/placement';
import { matchDemands } from '../spread/placement';
import type { Region } from '../book/book';
import { dayColumn } from '../book/columns';
import type { Change } from '../edit/change';
import { tidy } from '../measure/length';
import { bottom } from '../measure/rect';
import type { Demand } from '../week/demand';
import { sortMinute } from '../week/demand';
import { fewestMoves } from './fewest-moves';
import type { Unit } from './units';
import { unitsOf } from './units';

/** A repair: the edit, and how many pieces that lay there had to move for it. */
export interface Repair {
  readonly change: Change;
  readonly moved: number;
  /** the day it is about */
  readonly day: number | null;
}

/** mm under a header. From memory. */
const UNDER_HEADER = 1;
/** Bases tried, the best suited first. */
const MOST_BASES = 8;

/**
 * Lets an item into its day with the fewest moves of what is already down (handbook D4): in its place by time, on the
 * best suited base that needs no more moves than any other. What is locked, headers, bands and banners never move.
 * @returns null when it does not fit
 * @param key of the demand that has no place
 * @example letIn(context, placements, 'plumber')?.moved // pieces that make way
 */
export function letIn(context: Context, placements: readonly Placement[], key: string): Repair | null {
  const demand = context.week.demands.find((d) => d.key === key);
  if (!demand || matchDemands(placements, context.week.demands).has(key)) return null;
  return letInAs(context, placements, [demand]);
}

/** The same for one item, or several as the rows of one list; on the day and with the list name that they bear here. */
export function letInAs(context: Context, placements: readonly Placement[], demands: readonly Demand[]): Repair | null {
  for (const way of tried(context, placements, demands).sort((a, b) => a.moved - b.moved || a.rank - b.rank)) {
    const repair = way.carryOut(); // none where what it would be cut from is in too many bits
    if (repair) return repair;
  }
  return null;
}

/** One of several ways to let an item in: what it would stand on, and what that moves. */
export interface Way extends Repair {
  /** mm of column that it takes */
  readonly height: number;
  /** the piece that it stands on; what is written on the paper or beside another has none */
  readonly base: Placement | null;
}

/**
 * Every way an item can go into the day that it bears here, best suited base first, each size of base once, with the
 * fewest moves that it needs.
 * @param most as many of them
 */
export function waysIn(context: Context, placements: readonly Placement[], demand: Demand, most: number): Way[] {
  const there = new Set(placements.map((p) => p.id));
  const fewest = new Map<number, Tried>();
  for (const t of tried(context, placements, [demand]))
    if (t.moved < (fewest.get(t.rank)?.moved ?? Infinity)) fewest.set(t.rank, t);
  return [...fewest.values()]
    .sort((a, b) => a.moved - b.moved || a.rank - b.rank)
    .slice(0, most)
    .flatMap(({ height, carryOut }): Way[] => {
      const repair = carryOut();
      const base = repair?.change.after.find((p) => !there.has(p.id) && p.items.includes(demand.uid)) ?? null;
      return repair ? [{ ...repair, height, base }] : [];
    });
}

/** One base, tried at one place of the column. */
interface Tried {
  readonly moved: number;
  /** 0 for the best suited base */
  readonly rank: number;
  readonly height: number;
  readonly carryOut: () => Repair | null;
}

/** At the usual gaps; closer together where a day is too full for them, as it is when a week is arranged. */
function tried(context: Context, placements: readonly Placement[], demands: readonly Demand[]): Tried[] {
  const { gap } = context.options;
  const usual = triedAt(context, placements, demands);
  if (usual.length || gap <= TIGHT) return usual;
  return triedAt({ ...context, options: { ...context.options, gap: TIGHT } }, placements, demands);
}

function triedAt(context: Context, placements: readonly Placement[], demands: readonly Demand[]): Tried[] {
  const [demand] = demands;
  const column = demand && dayColumn(context.book, demand.day);
  if (!demand || !column || demand.kind === 'band') return [];
  const units = unitsOf(context, placements, column);
  const one: Context = {
    ...context,
    options: { ...context.options, ahead: 'all' },
    week: { ...context.week, demands },
  };
  const draft = Draft.begin(context, placements);
  const ground = { draft, context: one, width: column.w };
  const supply = supplyOf(ground);
  const blocks = blocksOfDay(draft, one, demand.day).filter((b) => b.demands.length === demands.length);
  const candidate = candidatesFor(blocks.slice(0, 1), ground)[0];
  const choices = (candidate?.choices ?? [])
    .filter((c) => c.uses === null || c.uses.amount <= (supply.get(c.uses.key) ?? 0))
    .sort((a, b) => a.cost - b.cost)
    .filter((c, i, all) => all.slice(0, i).filter((x) => x.height === c.height).length === 0);
  const lowest = Math.min(...choices.slice(0, MOST_BASES).map((c) => c.height));
  const carried = candidate?.block.demands ?? demands;
  // beyond those only what is lower may go where they do not
  const few = choices.filter((c, rank) => rank < MOST_BASES || c.height < lowest);
  return few.flatMap((choice, rank) =>
    placesByTime(units, sortMinute(demand)).flatMap((at): Tried[] => {
      const order: (Unit | null)[] = [...units.slice(0, at), null, ...units.slice(at)];
      const solved = fewestMoves(
        order.map((u) => (u ? { y: u.y, h: u.h, fixed: u.fixed } : { y: null, h: choice.height, fixed: false })),
        {
          from: column.y,
          to: bottom(column),
          gap: (upper) => gapUnder(context, order[upper] ?? null, upper),
        },
      );
      if (!solved) return [];
      const best = { moved: solved.moved, units: order, tops: solved.tops, choice };
      const { height } = choice;
      const { moved } = solved;
      return [{ moved, rank, height, carryOut: () => carryOut(context, placements, carried, column, best) }];
    }),
  );
}

/** Where among the units an item may stand by its time: after all earlier ones, before all later ones. */
export function placesByTime(units: readonly Unit[], minute: number): number[] {
  const timed = units.map((u, i) => ({ i, minute: u.order }));
  const after = Math.max(0, ...timed.filter((u) => u.minute !== null && u.minute <= minute).map((u) => u.i + 1));
  const before = Math.min(units.length, ...timed.filter((u) => u.minute !== null && u.minute > minute).map((u) => u.i));
  return before < after ? [after] : Array.from({ length: before - after + 1 }, (_, i) => after + i);
}

/** mm to keep under a unit; none over the first. */
export const gapUnder = (context: Context, upper: Unit | null, at: number): number =>
  at < 0
    ? 0
    : upper && upper.parts[0]?.role === 'base' && upper.h < 12
      ? Math.min(UNDER_HEADER, context.options.gap)
      : context.options.gap;

function carryOut(
  context: Context,
  placements: readonly Placement[],
  demands: readonly Demand[],
  column: Region,
  best: { moved: number; units: readonly (Unit | null)[]; tops: readonly number[]; choice: Choice },
): Repair | null {
  const demand = demands[0] as Demand;
  const moves = new Map<string, Placement>();
  best.units.forEach((unit, i) => {
    const by = unit ? (best.tops[i] as number) - unit.y : 0;
    if (unit && Math.abs(by) > 0.01) for (const p of unit.parts) moves.set(p.id, { ...p, y: tidy(p.y + by) });
  });
  const moved = placements.map((p) => moves.get(p.id) ?? p);
  const draft = Draft.begin(context, moved);
  const at = { page: column.page, day: demand.day, column, y: best.tops[best.units.indexOf(null)] as number };
  if (!best.choice.lay(draft, at, UNRESERVED)) return null;
  const added = draft.placements.slice(moved.length);
  return {
    change: {
      deed: { do: 'let in', title: demand.title, moved: best.moved, how: 'as it is' },
      before: placements.filter((p) => moves.has(p.id)),
      after: [...placements.flatMap((p) => moves.get(p.id) ?? []), ...added],
    },
    moved: best.moved,
    day: demand.day,
  };
}
