import { dayColumn } from '../../book/columns';
import type { Hours } from '../../book/hours';
import { hoursOf, yOfMinute } from '../../book/hours';
import type { Demand } from '../../week/demand';
import { atTheirHours } from './at-their-hours';
import type { Candidate, Choice } from './candidates';
import { candidatesOf } from './candidates';
import type { Block } from './day-blocks';
import { blocksOfDay } from './day-blocks';
import { packColumn } from '../exact/day-packing';
import type { Draft, Stage } from '../../spread/draft';
import { dressBase, dressList } from './dressing';
import type { Form } from './forms';
import { scarcityPrices } from './prices';
import type { Reserved } from './reserved';
import { reserve } from './reserved';
import type { Stretch } from '../../spread/free-room';
import { freeStretches, keptFree, lengthOf } from '../../spread/free-room';
import { TIGHT, spaceOut } from './spacing';
import type { Context } from '../../spread/placement';

/**
 * Every item of the week in its day, in time order, on a base that is in stock and wide enough for its text (handbook
 * D2, D3, D5).
 */
export const days: Stage = (before, context) => {
  let draft = before.clone();
  const prices = scarcityPrices(draft, context);
  const order = [0, 1, 2, 3, 4, 5, 6].sort((a, b) => slack(draft, context, a) - slack(draft, context, b) || a - b);
  const reserved = reserve(draft, context);
  const tight = { ...context, options: { ...context.options, gap: Math.min(TIGHT, context.options.gap) } };
  for (const day of order) draft = dressDay(draft, context, day, { prices, reserved, tight });
  return draft;
};

/** What all days of the week share: prices of scarce bases, icons and scripts kept for where they matter most. */
interface Shared {
  readonly prices: ReadonlyMap<string, number>;
  readonly reserved: Reserved;
  /** the context with smaller gaps, for days that are overfull */
  readonly tight: Context;
}

/** mm of column a day has beside what its items want; the tightest day is dressed first. */
function slack(draft: Draft, context: Context, day: number): number {
  return (
    freeStretches(draft, context, day).reduce((n, s) => n + lengthOf(s), 0) -
    blocksOfDay(draft, context, day).length * 14
  );
}

/**
 * The day as it should be; where that leaves something out, without its box, closer together, and without the headers
 * of its lower rows.
 */
function dressDay(before: Draft, context: Context, day: number, shared: Shared): Draft {
  let best = layDay(before, context, day, shared);
  let bare = before;
  for (const [give, how] of [
    [withoutBox, context],
    [(d: Draft) => d, shared.tight],
    [withoutLowerHeaders, shared.tight],
  ] as const) {
    if (best.leftOut.length === 0) break;
    bare = give(bare, day) ?? bare;
    const next = layDay(bare, how, day, shared);
    if (next.leftOut.length < best.leftOut.length) best = next;
  }
  return best.draft;
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

function layDay(before: Draft, context: Context, day: number, shared: Shared): { draft: Draft; leftOut: Block[] } {
  const column = dayColumn(context.book, day);
  const draft = before.clone();
  if (!column) return { draft, leftOut: [] };
  const stretches = freeStretches(draft, context, day);
  let candidates = candidatesOf(draft, context, day, shared.prices);
  let packing = packWithin(candidates, stretches, context, day);
  for (let round = 0; round < 40; round++) {
    const over = overdrawn(candidates, packing.chosen);
    if (!over) break;
    candidates = candidates.map((c, i) =>
      i === over.item ? { ...c, choices: c.choices.filter((x) => x.form !== over.form) } : c,
    );
    packing = packWithin(candidates, stretches, context, day);
  }
  const standing = candidates.flatMap((c, i) => {
    const chosen = packing.chosen[i];
    return chosen === null || chosen === undefined
      ? []
      : [{ block: c.block, choice: c.choices[chosen] as Choice, stretch: packing.stretch[i] as number }];
  });
  const hours = hoursOf(context.book, day);
  const tops = hours
    ? atTheirHours(
        standing.map((s) => ({ height: s.choice.height, stretch: s.stretch, ...hourOf(hours, s.block) })),
        stretches,
        context.options.gap,
      )
    : spaceOut(
        standing.map((s) => ({
          height: s.choice.height,
          stretch: s.stretch,
          evening: s.block.minute >= 17 * 60,
          joined: context.options.littles === 'stacked' && s.choice.form?.kind === 'little',
        })),
        stretches,
        context.options.gap,
      );
  const failed = standing.filter((s, i) => {
    if (s.block.open) return false; // nothing is laid there
    const at = { page: column.page, day, column, y: tops[i] as number };
    return !(s.choice.form
      ? dressBase(draft, context, s.block.demands[0] as Demand, s.choice, at, shared.reserved)
      : dressList(draft, context, s.block, at));
  });
  const leftOut = candidates.filter((c, i) => packing.chosen[i] === null && !c.block.open).map((c) => c.block);
  return { draft, leftOut: [...leftOut, ...failed.map((s) => s.block)] };
}

/** What has no hour is drawn to its part of the day this much less than a fixed hour draws. From memory. */
const LIGHTLY = 0.03;

/** Where a block's hour is printed, and how strongly it is drawn there. */
const hourOf = (hours: Hours, block: Block): { wanted: number; pull: number } => ({
  wanted: yOfMinute(hours, block.minute),
  pull: !block.list && typeof block.demands[0]?.start === 'number' ? 1 : LIGHTLY,
});

/** First with room kept for what comes up; when something would be left out, with all the room there is. */
function packWithin(candidates: readonly Candidate[], stretches: readonly Stretch[], context: Context, day: number) {
  const { gap } = context.options;
  const free = keptFree(context, day);
  const items = candidates.map((c) => ({ options: c.choices, leaveOut: c.leaveOut }));
  if (context.ways.keepsRows && stretches.length > 1) {
    const inRows = packColumn(
      items.map((item, i) => (candidates[i]?.block.list ? { ...item, onlyIn: stretches.length - 1 } : item)),
      stretches,
      gap,
    );
    if (!inRows.chosen.includes(null)) return inRows;
  }
  const hours = hoursOf(context.book, day);
  if (hours) {
    const atHours = packColumn(
      items.map((item, i) => ({ ...item, notBefore: stretchOfHour(hours, candidates[i]?.block as Block, stretches) })),
      stretches,
      gap,
    );
    if (!atHours.chosen.includes(null)) return atHours;
  }
  const last = stretches.at(-1);
  const kept =
    last && lengthOf(last) > free ? [...stretches.slice(0, -1), { from: last.from, to: last.to - free }] : stretches;
  const roomy = packColumn(items, kept, gap);
  return roomy.chosen.includes(null) ? packColumn(items, stretches, gap) : roomy;
}

/** The first stretch that reaches down to a block's hour; the first of all for what has none. */
function stretchOfHour(hours: Hours, block: Block, stretches: readonly Stretch[]): number {
  if (block.list || typeof block.demands[0]?.start !== 'number') return 0;
  const y = yOfMinute(hours, block.minute);
  const at = stretches.findIndex((s) => s.to - LEAST_AT_HOUR > y);
  return at < 0 ? Math.max(0, stretches.length - 1) : at;
}

/** mm of a stretch that an item at its hour needs below it. From memory. */
const LEAST_AT_HOUR = 8;

/** The first form that was chosen more often than it is there, and the item that would lose least by another. */
function overdrawn(
  candidates: readonly Candidate[],
  chosen: readonly (number | null)[],
): { form: Form; item: number } | null {
  const users = new Map<Form, number[]>();
  chosen.forEach((o, i) => {
    const form = o === null ? null : candidates[i]?.choices[o]?.form;
    if (form) users.set(form, [...(users.get(form) ?? []), i]);
  });
  for (const [form, items] of users) {
    if (items.length <= form.supply) continue;
    const regret = (i: number): number => {
      const costs = (candidates[i] as Candidate).choices.filter((c) => c.form !== form).map((c) => c.cost);
      const own = (candidates[i] as Candidate).choices.find((c) => c.form === form)?.cost ?? 0;
      return (costs.length ? Math.min(...costs) : 1e4) - own;
    };
    return { form, item: items.reduce((a, b) => (regret(b) < regret(a) ? b : a)) };
  }
  return null;
}
