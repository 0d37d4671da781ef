import { candidatesFor, supplyOf } from '../arrange/days/candidates';
import { formsOf, roomOn } from '../arrange/days/forms';
import type { Ground } from '../arrange/ladder/rung';
import { dayColumn } from '../book/columns';
import { isPlannedAhead } from '../spread/ahead';
import { Draft } from '../spread/draft';
import { freeStretches, lengthOf } from '../spread/free-room';
import type { Context, Placement } from '../spread/placement';
import { matchDemands } from '../spread/placement';
import { handAt, lettersOn, linesIn } from '../measure/hand';
import type { Demand } from '../week/demand';
import { writtenText } from '../week/demand';

/** Why an item has no place; lengths in mm. */
export type Reason =
  | { readonly is: 'later' }
  /** of its letters the roomiest base that is left takes so many */
  | { readonly is: 'no base'; readonly letters: number; readonly room: number }
  | { readonly is: 'no room' | 'not yet'; readonly free: number; readonly needs: number };

/** What could be done about it (handbook D5); lengths in mm, days 0-6, items by their demands' keys. */
export type WayOut =
  | { readonly by: 'planning ahead' | 'writing on paper' | 'the notes' }
  /** to so many letters; null: where no base is left at all */
  | { readonly by: 'shortening'; readonly letters: number | null }
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
  const ground = { draft, context, width: dayColumn(context.book, d.day)?.w ?? 0 };
  const heights = heightsFor(ground, d);
  if (!heights.length) return { is: 'no base', letters: [...writtenText(d)].length, room: roomiest(ground) };
  const needs = Math.min(...heights);
  const free = freeOn(draft, context, d.day);
  return { is: free < needs ? 'no room' : 'not yet', free, needs };
}

/** mm of all that is left to carry an item, by every rung of the ladder. */
function heightsFor(ground: Ground, d: Demand): number[] {
  const supply = supplyOf(ground);
  const [candidate] = candidatesFor([{ demands: [d], list: null, minute: 0 }], ground);
  return (candidate?.choices ?? [])
    .filter((c) => c.uses === null || c.uses.amount <= (supply.get(c.uses.key) ?? 0))
    .map((c) => c.height);
}

/** Letters that the roomiest base still there takes, written small. */
function roomiest(ground: Ground): number {
  const { hand, smallest } = ground.context.options;
  const small = handAt(hand, smallest);
  const letters = formsOf(ground).map((form) => {
    const room = roomOn(form);
    return lettersOn(small, room.w) * linesIn(small, room.h);
  });
  return Math.max(0, ...letters);
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
  if (!context.options.onPaper) ways.push({ by: 'writing on paper' });
  if (!context.options.notes && d.kind !== 'band') ways.push({ by: 'the notes' });
  const letters = roomiest({ draft, context, width: dayColumn(context.book, d.day)?.w ?? 0 });
  return [...ways, { by: 'shortening', letters: letters > 0 && letters < [...writtenText(d)].length ? letters : null }];
}
