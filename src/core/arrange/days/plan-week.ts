import { dayColumn } from '../../book/columns';
import type { Draft } from '../../spread/draft';
import type { Stretch } from '../../spread/free-room';
import { freeStretches, keptFree, lengthOf } from '../../spread/free-room';
import type { Context } from '../../spread/placement';
import type { Alternative, SharedDay } from '../exact/shared-day';
import { leftBeside, packDay, shareWeek } from '../exact/share-week';
import type { Choice } from '../ladder/choice';
import { LADDER } from '../ladder/registry';
import type { Ground, Rung } from '../ladder/rung';
import type { Candidate } from './candidates';
import { candidatesFor, supplyOf } from './candidates';
import type { Block } from './day-blocks';
import { LIST_PARTS, blocksOfDay, inParts, waysToSee } from './day-blocks';
import { PER_MM } from './forms';
import { packWithin } from './pack-within';
import { TIGHT } from './spacing';

/** A block that has its place: what it stands on, in which stretch of the column. */
export interface Standing {
  readonly block: Block;
  readonly choice: Choice;
  readonly stretch: number;
}

/** What becomes of a day. */
export interface PlannedDay {
  readonly day: number;
  readonly stretches: readonly Stretch[];
  readonly standing: readonly Standing[];
  readonly leftOut: readonly Block[];
  /** the context it was planned with: closer together where it is overfull */
  readonly context: Context;
}

const DAYS = [0, 1, 2, 3, 4, 5, 6];

/** A day as the sharing sees it, with what its numbers stand for. */
interface Seen extends SharedDay {
  readonly day: number;
  readonly context: Context;
  readonly stretches: readonly Stretch[];
  readonly candidates: readonly (readonly Candidate[])[];
}

/**
 * Every item of the week on the best rung that the week can spare, all days at once (handbook K7). A day that cannot
 * hold all of its items gives up its box, its gaps, the headers of its lower rows.
 * @returns the draft without what was given up, and the days
 */
export function planWeek(
  before: Draft,
  context: Context,
  rungsOf: (day: number) => readonly Rung[] = () => LADDER,
): { draft: Draft; days: PlannedDay[] } {
  let draft = before;
  const seen = DAYS.map((day) => see(draft, context, day, rungsOf(day)));
  const supply = supplyOf(groundOf(draft, context, widest(context)));
  const plans = shareWeek(seen, supply);
  const days = seen.map((s, day) => {
    const plan = plans[day];
    if (!plan || !s.candidates.length) return { day, stretches: s.stretches, standing: [], leftOut: [], context };
    let best = planned(s, plan);
    let bare = draft;
    const tight = { ...context, options: { ...context.options, gap: Math.min(TIGHT, context.options.gap) } };
    for (const [give, how] of [
      [withoutBox, context],
      [(d: Draft) => d, tight],
      [withoutLowerHeaders, tight],
    ] as const) {
      if (best.leftOut.length === 0) break;
      bare = give(bare, day) ?? bare;
      const other = see(bare, how, day, rungsOf(day));
      const next = packDay(other, FREE, leftBeside(seen, plans, supply, [day]));
      const made = planned(other, next);
      if (itemsOf(made.leftOut) >= itemsOf(best.leftOut)) continue;
      best = made;
      draft = bare;
      seen[day] = other;
      plans[day] = next;
    }
    return best;
  });
  return { draft, days };
}

const itemsOf = (blocks: readonly Block[]): number => blocks.reduce((n, b) => n + b.demands.length, 0);

const widest = (context: Context): number => Math.max(0, ...DAYS.map((d) => dayColumn(context.book, d)?.w ?? 0));

const groundOf = (draft: Draft, context: Context, width: number): Ground => ({ draft, context, width });

function see(draft: Draft, context: Context, day: number, rungs: readonly Rung[]): Seen {
  const column = dayColumn(context.book, day);
  if (!column) return { day, context, stretches: [], candidates: [], alternatives: [] };
  const stretches = freeStretches(draft, context, day);
  const blocks = blocksOfDay(draft, context, day);
  const ground: Ground = {
    ...sharedGround(draft, context, column.w),
    perMm: perMm(stretches, blocks.length, keptFree(context, day)),
  };
  const seeAs = (blocks: readonly Block[]) => {
    const candidates = candidatesFor(blocks, ground, rungs);
    const alternative: Alternative = {
      items: candidates.map(({ choices, leaveOut }) => ({ options: choices, leaveOut })),
      pack: packWithin(blocks, stretches, context, day),
    };
    return { candidates, alternative };
  };
  const whole = waysToSee(blocks, context);
  const ways = whole.map(seeAs);
  const alone = (way: (typeof ways)[number]) => packDay({ alternatives: [way.alternative] }, FREE, null);
  const leavesOut = (way: (typeof ways)[number]): boolean => alone(way).packing.chosen.includes(null);
  let tight = ways.every(leavesOut);
  // lists in parts, the larger ones first, until all find room
  for (const most of tight ? LIST_PARTS : []) {
    const parts = whole.flatMap((w) => {
      const part = inParts(w, most);
      return part ? [seeAs(part)] : [];
    });
    ways.push(...parts);
    tight = parts.every(leavesOut);
    if (!tight) break;
  }
  // a day that holds not all of it in any way is looked at in its best way only
  const costs = tight ? ways.map((w) => alone(w).cost) : [];
  const best = ways[costs.indexOf(Math.min(...costs))];
  const looked = best ? [best] : ways;
  return {
    day,
    context,
    stretches,
    candidates: looked.map((w) => w.candidates),
    alternatives: looked.map((w) => w.alternative),
  };
}

/** mm of column an item has in a day that is neither full nor empty. From memory. */
const USUAL = 14;

/** What a mm costs in a day: the fuller, the more; on a light one a higher base is rather better than a hole. */
function perMm(stretches: readonly Stretch[], items: number, kept: number): number {
  const each = (stretches.reduce((n, s) => n + lengthOf(s), 0) - kept) / Math.max(1, items);
  return Math.max(-0.05, Math.min(0.06, PER_MM - (each - USUAL) * 0.0025));
}

const FREE: ReadonlyMap<string, number> = new Map();

const grounds = new WeakMap<Draft, Map<string, Ground>>();

/** One ground for all columns of a width: what stands on it is grouped once. The draft is not changed meanwhile. */
function sharedGround(draft: Draft, context: Context, width: number): Ground {
  const known = grounds.get(draft) ?? new Map<string, Ground>();
  grounds.set(draft, known);
  const key = `${width.toFixed(2)} ${context.options.gap}`;
  const ground = known.get(key) ?? { ...groundOf(draft, context, width), shared: {} };
  known.set(key, ground);
  return ground;
}

function planned(
  s: Seen,
  plan: { alternative: number; packing: { chosen: readonly (number | null)[]; stretch: readonly (number | null)[] } },
): PlannedDay {
  const list = s.candidates[plan.alternative] ?? [];
  const { chosen, stretch } = plan.packing;
  return {
    day: s.day,
    context: s.context,
    stretches: s.stretches,
    standing: list.flatMap(({ block, choices }, i) => {
      const o = chosen[i];
      const choice = o === null || o === undefined ? undefined : choices[o];
      return choice ? [{ block, choice, stretch: stretch[i] as number }] : [];
    }),
    leftOut: list.flatMap(({ block }, i) => (chosen[i] === null && !block.open ? [block] : [])),
  };
}

/** The day without all its headers but the first, where its rows have headers of their own. */
function withoutLowerHeaders(before: Draft, day: number): Draft | null {
  const headers = before.placements
    .filter((p) => p.day === day && p.role === 'base' && before.pieceOf(p)?.kind === 'header' && !before.kept.has(p.id))
    .sort((a, b) => a.y - b.y);
  return headers.length > 1 ? headers.slice(1).reduce((draft, p) => draft.without(p.id), before) : null;
}

/** The day with its full box taken out again, because its items need the room more (handbook D1). */
function withoutBox(before: Draft, day: number): Draft | null {
  const parts = before.placements.filter((p) => p.role === 'box' && p.day === day);
  const double = before.placements.filter((p) =>
    parts.some((q) => q.kit === p.kit && q.code === p.code && q.copy === p.copy),
  );
  const gone = [...new Set([...parts, ...double])];
  if (!gone.length || gone.some((p) => p.locked)) return null;
  return gone.reduce((draft, p) => draft.without(p.id), before);
}
