import { dayColumn } from '../book/columns';
import { ruled } from '../measure/fraction';
import { writtenText } from '../week/demand';
import type { Demand } from '../week/demand';
import { longDay } from '../week/day-names';
import { isPlannedAhead } from '../spread/ahead';
import { Draft } from '../spread/draft';
import { formCost, formsFor } from '../arrange/days/forms';
import { freeStretches, lengthOf } from '../spread/free-room';
import type { Context, Placement, Unplaced } from '../spread/placement';
import { matchDemands } from '../spread/placement';

/** Every item of the week without a place on the spread, why, and what could be done about it (handbook D5). */
export function unplacedOf(
  context: Context,
  placements: readonly Placement[],
): (Unplaced & { readonly demand: Demand })[] {
  const matched = matchDemands(placements, context.week.demands);
  const missing = context.week.demands.filter((d) => !matched.has(d.key));
  if (!missing.length) return [];
  const draft = Draft.begin(context, placements);
  return missing.map((demand) => ({
    uid: demand.uid,
    demand,
    reason: reason(draft, context, demand),
    waysOut: waysOut(draft, context, demand),
  }));
}

const freeOn = (draft: Draft, context: Context, day: number): number =>
  Math.max(0, ...freeStretches(draft, context, day).map(lengthOf));

function reason(draft: Draft, context: Context, d: Demand): string {
  if (!isPlannedAhead(d, context))
    return `“${short(d.title)}” on ${longDay(context.week.days[d.day] as string)} stays open for writing in later, as set.`;
  const unit = context.book.unit;
  const day = longDay(context.week.days[d.day] as string);
  const heights = formsFor(draft, context, dayColumn(context.book, d.day)?.w ?? 0)
    .filter((f) => formCost(d, f, context) < Infinity)
    .map((f) => f.h);
  if (!heights.length) {
    return `No base that is left takes the ${[...writtenText(d)].length} letters of “${short(d.title)}” at your hand.`;
  }
  const least = Math.min(...heights);
  const free = freeOn(draft, context, d.day);
  return free < least
    ? `${day}’s longest free place is ${ruled(free, unit)}; “${short(d.title)}” needs ${ruled(least, unit)}.`
    : `“${short(d.title)}” has no place on ${day} yet; ${ruled(free, unit)} are free there and it needs ${ruled(least, unit)}.`;
}

function waysOut(draft: Draft, context: Context, d: Demand): string[] {
  if (!isPlannedAhead(d, context)) return ['Plan everything ahead to place it now'];
  const ways: string[] = [];
  const box = draft.placements.find((p) => p.role === 'box' && p.day === d.day);
  if (box)
    ways.push(
      `Take the full box out of ${longDay(context.week.days[d.day] as string)}: that frees ${ruled(box.h, context.book.unit)}`,
    );
  if (d.start === null && d.kind !== 'band') {
    const beside = [d.day - 1, d.day + 1]
      .filter((n) => n >= 0 && n < 7)
      .sort((a, b) => freeOn(draft, context, b) - freeOn(draft, context, a));
    if (beside[0] !== undefined)
      ways.push(
        `Move it to ${longDay(context.week.days[beside[0]] as string)}, where ${ruled(freeOn(draft, context, beside[0]), context.book.unit)} are free in one place`,
      );
  }
  const sameDay = context.week.demands.filter(
    (o) => o.day === d.day && !o.list && o.start === null && o.kind !== 'band',
  );
  if (sameDay.length >= 3)
    ways.push(
      `Make ${sameDay
        .slice(0, 3)
        .map((o) => `“${short(o.title)}”`)
        .join(', ')} one list`,
    );
  ways.push('Shorten its text, or note it on the bottom strip');
  return ways;
}

const short = (title: string): string => (title.length > 48 ? `${title.slice(0, 47)}…` : title);
