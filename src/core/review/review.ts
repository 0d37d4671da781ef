import { isPlannedAhead } from '../spread/ahead';
import { Draft } from '../spread/draft';
import { openPlaces } from '../spread/open-places';
import { unplacedOf } from './unplaced';
import type { Context, Placement } from '../spread/placement';
import { matchDemands, pieceIndex } from '../spread/placement';
import { strokesOf } from '../bench/strokes';
import { stillToWhiteOut } from '../bench/what-is-done';
import { whiteOutOf } from '../bench/white-out';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { tidy } from '../measure/length';
import type { Finding, Severity, View } from './finding';
import { RULES } from './registry';

/** What is said first. */
const RANK: Readonly<Record<Severity, number>> = { stop: 0, fix: 1, look: 2 };

/**
 * Works out once what all rules look at.
 * @example viewOf(context, placements).carriers.size // items that are placed
 */
export function viewOf(context: Context, placements: readonly Placement[]): View {
  const pieces = pieceIndex(context);
  const known = new Map<unknown, Piece | undefined>(placements.map((p) => [p, pieces.get(pieceKey(p))]));
  const demands = new Map(context.week.demands.map((d) => [d.key, d]));
  const { book, ticked } = context;
  const whiteOut = whiteOutOf(context, placements);
  return {
    context,
    placements,
    whiteOut,
    toWhiteOut: book.pages.map((_, page) => {
      const ofPage = whiteOut.filter((w) => w.page === page);
      const list = stillToWhiteOut(ticked, page, ofPage);
      return { list, strokes: strokesOf({ book, placements }, list) };
    }),
    unplaced: unplacedOf(context, placements),
    openPlaces: openPlaces(context, placements),
    carriers: matchDemands(placements, context.week.demands),
    pieceOf: (p) => (known.has(p) ? known.get(p) : pieces.get(pieceKey(p))),
    draft: Draft.begin(context, placements),
    demandOf: (key) => demands.get(key),
  };
}

/**
 * Everything the rules find, what stops the week first.
 * @returns findings as data; `sayFinding` puts one into words
 * @example review(viewOf(context, placements)).filter((f) => f.severity === 'stop')
 */
export function review(view: View): Finding[] {
  return RULES.flatMap((rule) => rule.check(view))
    .map((f) => ({ ...f, x: tidy(f.x), y: tidy(f.y) }))
    .sort(
      (a, b) =>
        RANK[a.severity] - RANK[b.severity] || byCode(a.rule, b.rule) || a.page - b.page || a.x - b.x || a.y - b.y,
    );
}

/** Items that should have a place and have none; what stays open for writing in later is not among them. */
export const withoutPlace = (view: Pick<View, 'unplaced' | 'context'>): number =>
  view.unplaced.filter((u) => isPlannedAhead(u.demand, view.context)).length;

/** Codes in the handbook's order: D2 before D10. */
const byCode = (a: string, b: string): number =>
  a.charCodeAt(0) - b.charCodeAt(0) || Number(a.slice(1)) - Number(b.slice(1));
