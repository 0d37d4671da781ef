import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import { dayColumn } from '../book/columns';
import { boldness } from '../color/boldness';
import type { Hex } from '../color/color';
import { colorName } from '../color/color-name';
import { ONE_COLOR, difference } from '../color/color';
import { area, intersect, unionArea } from '../measure/rect';
import type { View } from './finding';

/** A color with the square millimeters it covers. */
export interface ColorArea {
  readonly color: Hex;
  readonly area: number;
  readonly pieces: number;
}

/** The colors of some placements, near-equal ones together, the largest first. Pieces on others are left out. */
export function colorAreas(view: View, placements: readonly Placement[]): ColorArea[] {
  const own = new Map<Hex, { area: number; pieces: number }>();
  for (const p of placements) {
    const color = p.layer > 0 ? undefined : view.pieceOf(p)?.color;
    if (!color) continue;
    const sum = own.get(color) ?? { area: 0, pieces: 0 };
    own.set(color, { area: sum.area + p.w * p.h, pieces: sum.pieces + 1 });
  }
  const groups: { color: Hex; area: number; pieces: number }[] = [];
  for (const [color, sum] of [...own].sort(([a], [b]) => (a < b ? -1 : 1))) {
    const group = groups.find((g) => difference(g.color, color) < ONE_COLOR);
    if (group) {
      group.area += sum.area;
      group.pieces += sum.pieces;
    } else groups.push({ color, ...sum });
  }
  return groups.sort((a, b) => b.area - a.area || (a.color < b.color ? -1 : 1));
}

/** A color of the week with the square millimeters that it covers on each day; its near-equals count with it. */
export interface ColorOfDays extends ColorArea {
  readonly areas: readonly number[];
}

/**
 * The colors of all days, each once by what people call it, the largest first. Pieces on others, and what lies on no
 * day, are left out.
 */
export function colorsByDay(view: View): ColorOfDays[] {
  const ofDays = view.placements.filter((p) => p.day !== null);
  const byDay = view.context.week.days.map((_, day) =>
    colorAreas(
      view,
      ofDays.filter((p) => p.day === day),
    ),
  );
  const named = new Map<string, ColorOfDays>();
  for (const group of colorAreas(view, ofDays)) {
    const areas = byDay.map((colors) =>
      colors.reduce((sum, c) => (difference(c.color, group.color) < ONE_COLOR ? sum + c.area : sum), 0),
    );
    const name = colorName(group.color);
    const same = named.get(name);
    named.set(
      name,
      same
        ? {
            ...same,
            area: same.area + group.area,
            pieces: same.pieces + group.pieces,
            areas: same.areas.map((a, d) => a + (areas[d] as number)),
          }
        : { ...group, areas },
    );
  }
  return [...named.values()];
}

/**
 * The share of a day's column that nothing covers, 0-1: by the union of what lies there, not by its sum (handbook
 * W1).
 */
export function whiteSpace(view: Pick<View, 'context' | 'placements'>, day: number): number {
  const column = dayColumn(view.context.book, day);
  if (!column) return 1;
  return (
    1 -
    unionArea(view.placements.flatMap((p) => (p.page === column.page ? (intersect(footprint(p), column) ?? []) : []))) /
      area(column)
  );
}

/** Which half of the open book a page is in: of four pages the first two are the left half. */
export const sideOf = (view: View, page: number): 'left' | 'right' =>
  page < view.context.book.pages.length / 2 ? 'left' : 'right';

/** How heavy a side looks: square millimeters times boldness of what lies lowest (handbook W3). */
export function weightOf(view: View, side: 'left' | 'right'): number {
  return view.placements.reduce((sum, p) => {
    const color = view.pieceOf(p)?.color;
    return p.layer > 0 || !color || sideOf(view, p.page) !== side ? sum : sum + p.w * p.h * boldness(color);
  }, 0);
}
