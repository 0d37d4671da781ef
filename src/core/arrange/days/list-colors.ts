import { dayColumn } from '../../book/columns';
import { difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import type { ColorStock } from '../exact/color-sequence';
import { cheapestSequence, habitCost } from '../exact/color-sequence';
import { blocksOfDay } from './day-blocks';
import { listsFor } from './list-forms';
import { Draft } from '../../spread/draft';
import type { Context } from '../../spread/placement';

/** How strongly the habit pulls beside what lies around; CIEDE2000 units a point. From memory. */
const PULL = 5;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * What a list's color costs on a day, by the habit for lists (handbook 5: fanned from the darkest in the middle day,
 * alternating, all alike).
 */
export function listColorCost(context: Context, list: Pick<Piece, 'color'>, day: number): number {
  const wanted = wantedColors(context)[day];
  return wanted ? Math.min(40, difference(wanted, list.color)) / PULL : 0;
}

/**
 * The color wanted for each day's list, from all lists there are; blocked ones keep to one family that the headers
 * leave free.
 */
function wantedColors(context: Context): readonly (string | undefined)[] {
  const known = planned.get(context);
  if (known) return known;
  const draft = Draft.begin(context, []);
  const width = Math.min(...DAYS.map((d) => dayColumn(context.book, d)?.w ?? Infinity));
  const counts = new Map<string, number>();
  for (const p of listsFor(draft, context, width))
    counts.set(p.color, Math.min(7, (counts.get(p.color) ?? 0) + draft.ledger.untouched(p) * 2));
  const colors: ColorStock[] = [...counts]
    .map(([color, stock]) => ({ color, stock }))
    .filter((c) => c.stock > 0)
    .sort((a, b) => b.stock - a.stock)
    .slice(0, 5);
  const days = DAYS.filter((d) => blocksOfDay(draft, context, d).some((b) => b.list !== null));
  const base = habitCost(context.ways.listColors, colors, 7);
  const sequence = cheapestSequence(colors, days.length, (c, i, last, before) =>
    base(c, days[i] as number, last, before),
  );
  const wanted =
    context.ways.listColors === 'blocked'
      ? DAYS.map(() => (colors[1] ?? colors[0])?.color)
      : DAYS.map((d) => colors[sequence[days.indexOf(d)] ?? -1]?.color);
  planned.set(context, wanted);
  return wanted;
}

/** One plan a context; a context never changes. */
const planned = new WeakMap<Context, readonly (string | undefined)[]>();
