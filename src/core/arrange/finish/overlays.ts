import type { Piece } from '../../kit/kit';
import { bottom, intersect } from '../../measure/rect';
import { FOREIGN, byCost, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import { foilCost, foilOfDay } from '../../spread/foil';
import type { Context, Placement } from '../../spread/placement';
import { footprint } from '../../spread/placement';

/** What still counts as fitting, mm. From memory. */
const NEARLY = 0.6;

/**
 * Foil lines and confetti on clear film, laid over full boxes that nothing is written on, as many as there are, evenly
 * over the week (handbook 3, overlay; K3); in the day's metal, or all in one where none was chosen (C6). One that is
 * lower than its box lies along the foot.
 */
export const overlays: Stage = (before, context) => {
  const draft = before.clone();
  if (context.ways.deco === 'none') return draft;
  const boxes = draft.placements.filter((p) => isOpenBox(draft, p));
  const one = context.options.foils.length ? null : mainFoil(context);
  for (const box of evenly(boxes, copiesLeft(draft, context))) {
    const day = box.day ?? 0;
    const fitting = byCost(piecesOf(context, 'overlay'), (p) =>
      fits(p, box) && suits(p, one, foilOfDay(context, day)) && isThere(draft, context, p)
        ? foilCost(context, p, day) + (box.h - p.height) / 10 + tasteCost(p, context)
        : Infinity,
    )[0];
    const taken = fitting && draft.ledger.take(fitting);
    if (!fitting || !taken) continue;
    draft.add(fitting, taken, {
      page: box.page,
      day: box.day,
      x: box.x + (box.w - fitting.width) / 2,
      y: box.h - fitting.height <= NEARLY ? box.y : bottom(box) - fitting.height,
      role: 'finish',
      layer: box.layer + 1,
    });
  }
  return draft;
};

/** A whole full box, upright, with no text and nothing on it. */
function isOpenBox(draft: Draft, p: Placement): boolean {
  if (p.role !== 'box' || p.turn !== 0 || p.cut || p.text || p.items.length || draft.pieceOf(p)?.kind !== 'full-box')
    return false;
  return !draft.placements.some((q) => q.page === p.page && q.layer > p.layer && intersect(footprint(q), footprint(p)));
}

const fits = (p: Piece, box: Placement): boolean => p.width <= box.w + NEARLY && p.height <= box.h + NEARLY;

const suits = ({ foil }: Piece, one: string | null, ofDay: string | null): boolean =>
  foil === 'none' || foil === (ofDay ?? one);

const isThere = (draft: Draft, context: Context, p: Piece): boolean =>
  draft.ledger.untouched(p) > 0 && strangeness(p, context) <= FOREIGN;

const copiesLeft = (draft: Draft, context: Context): number =>
  piecesOf(context, 'overlay').reduce((n, p) => n + (isThere(draft, context, p) ? draft.ledger.untouched(p) : 0), 0);

/** The foil that most pieces of the kit have; null where none has. */
function mainFoil({ kit }: Context): string | null {
  const counts = new Map<string, number>();
  for (const p of kit.pieces) if (p.foil !== 'none') counts.set(p.foil, (counts.get(p.foil) ?? 0) + p.count);
  const [most] = [...counts].sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return most?.[0] ?? null;
}

/** So many of a list, evenly over it. */
const evenly = <T>(list: readonly T[], count: number): T[] =>
  count >= list.length
    ? [...list]
    : Array.from({ length: count }, (_, i) => list[Math.floor(((i + 0.5) * list.length) / count)] as T);
