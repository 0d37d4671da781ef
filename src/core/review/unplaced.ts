import { formCost, formsFor } from '../arrange/days/forms';
import { dayColumn } from '../book/columns';
import { isPlannedAhead } from '../spread/ahead';
import { Draft } from '../spread/draft';
import { freeStretches, lengthOf } from '../spread/free-room';
import type { Context, Placement } from '../spread/placement';
import { matchDemands } from '../spread/placement';
import type { Demand } from '../week/demand';
import { writtenText } from '../week/demand';

/** Why an item has no place; lengths in mm. */
export type Reason =
  | { readonly is: 'later' }
  | { readonly is: 'no base'; readonly letters: number }
  | { readonly is: 'no room' | 'not yet'; readonly free: number; readonly needs: number };

/** What could be done about it (handbook D5); lengths in mm, days 0-6, items by their demands' keys. */
export type WayOut =
  | { readonly by: 'planning ahead' | 'shortening' }
  | { readonly by: 'taking the box out'; readonly day: number; readonly frees: number }
  | { readonly by: 'moving to'; readonly day: number; readonly free: number }
  | { readonly by: 'one list'; readonly demands: readonly string[] };

/** An item without a place. */
export interface Missing {
  readonly demand: Demand;
  readonly reason: Reason;
  readonly waysOut: readonly WayOut[];
}

/** Every item of the week without a place on the spread, why, and what could be done about it (handbook D5). */
export function unplacedOf(context: Context, placements: readonly Placement[]): Missing[] {
  const matched = matchDemands(placements, context.week.demands);
  const missing = context.week.demands.filter((d) => !matched.has(d.key));
  if (!missing.length) return [];
  const draft = Draft.begin(context, placements);
  return missing.map((demand) => ({
    demand,
    reason: reasonOf(draft, context, demand),
    waysOut: waysOut(draft, context, demand),
  }));
}

const freeOn = (draft: Draft, context: Context, day: number): number =>
  Math.max(0, ...freeStretches(draft, context, day).map(lengthOf));

function reasonOf(draft: Draft, context: Context, d: Demand): Reason {
  if (!isPlannedAhead(d, context)) return { is: 'later' };
  const heights = formsFor(draft, context, dayColumn(context.book, d.day)?.w ?? 0)
    .filter((f) => formCost(d, f, context) < Infinity)
    .map((f) => f.h);
  if (!heights.length) return { is: 'no base', letters: [...writtenText(d)].length };
  const needs = Math.min(...heights);
  const free = freeOn(draft, context, d.day);
  return { is: free < needs ? 'no room' : 'not yet', free, needs };
}

function waysOut(draft: Draft, context: Context, d: Demand): WayOut[] {
  if (!isPlannedAhead(d, context)) return [{ by: 'planning ahead' }];
  const ways: WayOut[] = [];
  const box = draft.placements.find((p) => p.role === 'box' && p.day === d.day);
  if (box) ways.push({ by: 'taking the box out', day: d.day, frees: box.h });
  if (d.start === null && d.kind !== 'band') {
    const [beside] = [d.day - 1, d.day + 1]
      .filter((n) => n >= 0 && n < 7)
      .map((day) => ({ day, free: freeOn(draft, context, day) }))
      .sort((a, b) => b.free - a.free);
    if (beside) ways.push({ by: 'moving to', ...beside });
  }
  const loose = context.week.demands.filter((o) => o.day === d.day && !o.list && o.start === null && o.kind !== 'band');
  if (loose.length >= 3) ways.push({ by: 'one list', demands: loose.slice(0, 3).map((o) => o.key) });
  return [...ways, { by: 'shortening' }];
}
