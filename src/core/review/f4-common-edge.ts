import type { About, Finding, Rule, Said, View } from './finding';
import type { Voice } from '../spread/voice';
import { dayName, mm, pieceName, sentence, twoLengths } from '../spread/voice';
import { at } from './where';
import { alignX } from '../spread/align';
import { footprint } from '../spread/placement';
import { dayColumn } from '../book/columns';
import { hoursOf } from '../book/hours';
import { bottom } from '../measure/rect';
import { isList } from '../spread/is-list';

/** What the eye forgives, mm: aside of the edge, and between the gap above a label and the one below. From memory. */
const ASIDE = 0.7;
const UNEVEN = 1;
/** Gaps wider than this are open places, not gaps between labels, mm. From memory. */
const OPEN = 8;

/**
 * F4: pieces sit flush left, or centered, on one common edge all over the spread; equal gaps above and below a label.
 */
export const f4CommonEdge: Rule<Case> = {
  code: 'F4',
  title: 'One common edge, equal gaps',
  say,
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

function aside(view: View, day: number): Found[] {
  const column = dayColumn(view.context.book, day);
  if (!column) return [];
  return standing(view, day).flatMap((p): Found[] => {
    const f = footprint(p);
    const off = Math.abs(f.x - alignX(view.context, column, f.w));
    if (f.w > column.w || off <= ASIDE) return [];
    return [
      {
        rule: 'F4',
        severity: 'look',
        ...at(p),
        placements: [p.id],
        about: { is: 'aside', mm: off },
      },
    ];
  });
}

/** Not in a book with hour lines, where pieces stand at their hours. */
function uneven(view: View, day: number): Found[] {
  if (hoursOf(view.context.book, day)) return [];
  const items = standing(view, day);
  return items.slice(1, -1).flatMap((p, i): Found[] => {
    const [above, below] = [items[i], items[i + 2]] as [typeof p, typeof p];
    const [over, under] = [
      topOfPiece(view, p) - bottom(footprint(above)),
      topOfPiece(view, below) - bottom(footprint(p)),
    ];
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
        about: {
          is: 'uneven',
          days: [day],
          demands: demandsOn(view, p),
          mm: Math.abs(over - under) / 2,
          over,
          under,
          words: view.pieceOf(p)?.words ?? '',
        },
      },
    ];
  });
}

/** A name over a list stands this close to it, mm. From memory. */
const NAME = 1;

/** Where a piece begins, with the name that stands over it. */
function topOfPiece(view: View, p: View['placements'][number]): number {
  const { y } = footprint(p);
  const names = view.placements.filter(
    (q) =>
      q.day === p.day &&
      q.page === p.page &&
      q.role === 'day' &&
      q.layer === 0 &&
      q.items.length === 0 &&
      Math.abs(bottom(footprint(q)) - y) <= NAME,
  );
  return Math.min(y, ...names.map((q) => footprint(q).y));
}

/** Littles stacked as one block, and lists joined of two, stand closer on purpose. */
const isStack = (view: View, ...three: readonly View['placements'][number][]): boolean =>
  (view.context.options.littles === 'stacked' && three.some((p) => view.pieceOf(p)?.kind === 'little')) ||
  three.filter((p) => isList(view.pieceOf(p), p)).length > 1;

type Found = Finding<Case>;

interface Uneven extends About {
  readonly is: 'uneven';
  readonly days: readonly [number];
  /** mm to move it */
  readonly mm: number;
  /** mm free above it and below it */
  readonly over: number;
  readonly under: number;
  readonly words: string;
}
type Case = { readonly is: 'aside'; readonly mm: number } | Uneven;

const demandsOn = (view: View, p: View['placements'][number]): string[] =>
  view.context.week.demands.filter((d) => view.carriers.get(d.key) === p).map((d) => d.key);

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  if (about.is === 'aside') {
    return {
      message: `${sentence(pieceName(voice, id))} is ${mm(voice, about.mm)} off: all others are ${voice.context.ways.align}.`,
      remedy: `Move it ${mm(voice, about.mm)}.`,
    };
  }
  const piece = about.words ? `the ${about.words}` : 'a label';
  const [over, under] = twoLengths(voice, about.over, about.under);
  return {
    message: `${dayName(voice, about.days[0])}: ${over} are free above ${piece} and ${under} below.`,
    remedy: `Move it ${mm(voice, about.mm)} ${about.over > about.under ? 'up' : 'down'}.`,
  };
}
