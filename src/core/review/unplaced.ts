import { candidatesFor, supplyOf } from '../arrange/days/candidates';
import { formsOf, roomOn } from '../arrange/days/forms';
import type { Ground } from '../arrange/ladder/rung';
import { dayColumn } from '../book/columns';
import { isPlannedAhead } from '../spread/ahead';
import { Draft } from '../spread/draft';
import { longestFree } from '../spread/open-places';
import type { Context, Placement } from '../spread/placement';
import { matchDemands } from '../spread/placement';
import type { Hand } from '../measure/hand';
import { handAt, lettersOn, linesIn, shortened } from '../measure/hand';
import type { Demand } from '../week/demand';
import { writtenText } from '../week/demand';

/** Why an item has no place; lengths in mm. */
export type Reason =
  | { readonly is: 'later' }
  /** the roomiest base that is left has so many lines of so many letters; null: none is left */
  | { readonly is: 'no base'; readonly roomiest: Lines | null }
  /** bare paper in the longest free place, and what the item takes of it with its gaps */
  | { readonly is: 'no room'; readonly free: number; readonly needs: number }
  | { readonly is: 'not yet' };

interface Lines {
  readonly lines: number;
  readonly letters: number;
}

/** What could be done about it (handbook D5); lengths in mm, days 0-6, items by their demands' keys. */
export type WayOut =
  | { readonly by: 'planning ahead' | 'writing on paper' | 'the notes' }
  /** to what the roomiest base takes; null: where that is not the trouble */
  | { readonly by: 'shortening'; readonly to: string | null }
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

function reasonOf(draft: Draft, context: Context, d: Demand): Reason {
  if (!isPlannedAhead(d, context)) return { is: 'later' };
  const ground = { draft, context, width: dayColumn(context.book, d.day)?.w ?? 0 };
  const heights = heightsFor(ground, d);
  if (!heights.length) return { is: 'no base', roomiest: roomiest(ground) };
  const least = Math.min(...heights);
  const { usable, bare } = longestFree(draft, context, d.day);
  return usable < least ? { is: 'no room', free: bare, needs: least + bare - usable } : { is: 'not yet' };
}

/** mm of all that is left to carry an item, by every rung of the ladder. */
function heightsFor(ground: Ground, d: Demand): number[] {
  const supply = supplyOf(ground);
  const [candidate] = candidatesFor([{ demands: [d], list: null, minute: 0 }], ground);
  return (candidate?.choices ?? [])
    .filter((c) => c.uses === null || c.uses.amount <= (supply.get(c.uses.key) ?? 0))
    .map((c) => c.height);
}

/** The lines of the roomiest base that is still there, written small. */
function roomiest(ground: Ground): Lines | null {
  const small = smallHand(ground);
  const [best] = formsOf(ground)
    .map((form) => roomOn(form))
    .map((room) => ({ lines: linesIn(small, room.h), letters: lettersOn(small, room.w) }))
    .sort((a, b) => b.lines * b.letters - a.lines * a.letters);
  return best && best.lines * best.letters > 0 ? best : null;
}

/** The longest beginning of a text that a base which is still there takes, written small; null where all of it does. */
function shorterText(ground: Ground, text: string): string | null {
  const small = smallHand(ground);
  const all = formsOf(ground).flatMap((form) => shortened(text, roomOn(form).w, roomOn(form).h, small) ?? []);
  const [longest] = all.sort((a, b) => b.length - a.length);
  return longest && longest !== text ? longest : null;
}

const smallHand = ({ context: { options } }: Ground): Hand => handAt(options.hand, options.smallest);

function waysOut(draft: Draft, context: Context, d: Demand): WayOut[] {
  if (!isPlannedAhead(d, context)) return [{ by: 'planning ahead' }];
  const ways: WayOut[] = [];
  const box = draft.placements.find((p) => p.role === 'box' && p.day === d.day);
  if (box) ways.push({ by: 'taking the box out', day: d.day, frees: box.h });
  if (d.start === null && d.kind !== 'band') {
    const [beside] = [d.day - 1, d.day + 1]
      .filter((n) => n >= 0 && n < 7)
      .map((day) => ({ day, free: longestFree(draft, context, day).bare }))
      .sort((a, b) => b.free - a.free);
    if (beside) ways.push({ by: 'moving to', ...beside });
  }
  const loose = context.week.demands.filter((o) => o.day === d.day && !o.list && o.start === null && o.kind !== 'band');
  if (loose.length >= 3) ways.push({ by: 'one list', demands: loose.slice(0, 3).map((o) => o.key) });
  if (!context.options.onPaper) ways.push({ by: 'writing on paper' });
  if (!context.options.notes && d.kind !== 'band') ways.push({ by: 'the notes' });
  const ground = { draft, context, width: dayColumn(context.book, d.day)?.w ?? 0 };
  return [...ways, { by: 'shortening', to: shorterText(ground, writtenText(d)) }];
}
