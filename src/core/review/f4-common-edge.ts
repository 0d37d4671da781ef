import { alignX } from '../spread/align';
import { footprint } from '../spread/placement';
import { dayColumn } from '../book/columns';
import { hoursOf } from '../book/hours';
import { bottom } from '../measure/rect';
import type { Finding, Rule, View } from './finding';
import { at, dayName, mm, pieceName, sentence } from './say';

/** What the eye forgives, mm: aside of the edge, and between the gap above a label and the one below. From memory. */
const ASIDE = 0.7;
const UNEVEN = 1;
/** Gaps wider than this are open places, not gaps between labels, mm. From memory. */
const OPEN = 8;

/**
 * F4: pieces sit flush left, or centered, on one common edge all over the spread; equal gaps above and below a label.
 */
export const f4CommonEdge: Rule = {
  code: 'F4',
  title: 'One common edge, equal gaps',
  check: (view) => [0, 1, 2, 3, 4, 5, 6].flatMap((day) => [...aside(view, day), ...uneven(view, day)]),
};

const standing = (view: View, day: number) =>
  view.placements
    .filter(
      (p) =>
        p.day === day &&
        p.layer === 0 &&
        p.role === 'day' &&
        p.items.length > 0 &&
        !view.context.week.demands.some((d) => d.kind === 'band' && p.items.includes(d.uid)),
    )
    .sort((a, b) => a.y - b.y);

function aside(view: View, day: number): Finding[] {
  const column = dayColumn(view.context.book, day);
  if (!column) return [];
  return standing(view, day).flatMap((p): Finding[] => {
    const f = footprint(p);
    const off = Math.abs(f.x - alignX(view.context, column, f.w));
    if (f.w > column.w || off <= ASIDE) return [];
    return [
      {
        rule: 'F4',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        message: `${sentence(pieceName(view, p))} stands ${mm(view, off)} aside of where all others are ${view.context.ways.align}.`,
        remedy: `Move it ${mm(view, off)}.`,
      },
    ];
  });
}

/** Not in a book with hour lines, where pieces stand at their hours. */
function uneven(view: View, day: number): Finding[] {
  if (hoursOf(view.context.book, day)) return [];
  const items = standing(view, day);
  return items.slice(1, -1).flatMap((p, i): Finding[] => {
    const [above, below] = [items[i], items[i + 2]] as [typeof p, typeof p];
    const [over, under] = [footprint(p).y - bottom(footprint(above)), footprint(below).y - bottom(footprint(p))];
    if (
      over < 0 ||
      under < 0 ||
      over > OPEN ||
      under > OPEN ||
      Math.abs(over - under) <= UNEVEN ||
      isStack(view, above, p, below)
    )
      return [];
    return [
      {
        rule: 'F4',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        message:
          `${dayName(view, day)}: ${mm(view, over)} are free above the ${view.pieceOf(p)?.words || 'label'} and ${mm(view, under)} below.`.replace(
            'the label',
            'a label',
          ),
        remedy: `Move it ${mm(view, Math.abs(over - under) / 2)} ${over > under ? 'up' : 'down'}.`,
      },
    ];
  });
}

/** Littles stacked as one block, and lists joined of two, stand closer on purpose. */
const isStack = (view: View, ...three: readonly View['placements'][number][]): boolean =>
  (view.context.options.littles === 'stacked' && three.some((p) => view.pieceOf(p)?.kind === 'little')) ||
  three.filter((p) => view.pieceOf(p)?.kind === 'checklist').length > 1;
