import { difference } from '../../../color/color';
import type { Piece } from '../../../kit/kit';
import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import type { Draft } from '../../../spread/draft';
import type { Stretch } from '../../../spread/free-room';
import { clearOfHours, keptFree, lengthOf } from '../../../spread/free-room';
import { withPicture } from './with-picture';
import type { Placement } from '../../../spread/placement';
import { fitBox } from '../../boxes/box-fit';
import { ALIKE } from '../../boxes/boxes';
import { fewOfEachSize, isLeft, standsIn } from './filler';
import type { Fill, Filler, OpenDay } from './filler';

/** What a box costs that could have carried an item, in the eye's points, by its height in mm. From memory. */
const PER_MM = 0.04;

/**
 * A half, third or quarter box of the kit at the top of an open place, on its floor or in its middle; a full one for a
 * day without.
 */
export const boxesToWriteOn: Fill = (open) => {
  const { draft, context, day, free } = open;
  const beside = fullBoxesBeside(draft, day);
  const full = mayHaveBox(open) ? piecesOf(context, 'full-box').filter((p) => !beside.some((b) => isAlike(b, p))) : [];
  const boxes = [...piecesOf(context, 'half-box', 'third-box', 'quarter-box'), ...full].filter(isLeft(open));
  const pieces = fewOfEachSize(open, boxes);
  return clearOfHours(context, day, free).flatMap((s) =>
    pieces.flatMap((piece) => standing(open, piece, s)).flatMap((box) => [[box], ...withPicture(open, box, s)]),
  );
};

/** As many full boxes as are wanted, one a day. */
function mayHaveBox({ draft, context: { ways }, day }: OpenDay): boolean {
  const isBox = (p: Placement): boolean => p.role === 'box' || draft.pieceOf(p)?.kind === 'full-box';
  const boxed = new Set(draft.placements.flatMap((p) => (p.day !== null && isBox(p) ? [p.day] : [])));
  return boxed.size < ways.boxes && !boxed.has(day);
}

function standing({ context, day, column }: OpenDay, piece: Piece, s: Stretch): Filler[] {
  // whole, or shortened so that there is room beside it for what comes up
  const beside = lengthOf(s) - keptFree(context, day) - context.options.gap;
  const heights = piece.height <= beside ? [piece.height] : [lengthOf(s), beside];
  // where rows are kept the first one is the box's; in another it is there for its looks
  const role = piece.kind === 'full-box' && !context.ways.keepsRows ? 'box' : 'finish';
  return heights.flatMap((height): Filler[] => {
    const fit = fitBox(piece, column.w, height);
    if (!fit) return [];
    const { w, h, parts } = fit;
    const cost = h * PER_MM + fit.harm + tasteCost(piece, context);
    const at = { piece, parts, page: column.page, layer: 0, role, cost, x: alignX(context, column, w), w, h } as const;
    return standsIn(s, h).map((y) => ({ ...at, y }));
  });
}

/** The full boxes of a day and its neighbors. */
const fullBoxesBeside = (draft: Draft, day: number): Piece[] =>
  draft.placements.flatMap((p) => {
    const piece = draft.pieceOf(p);
    return piece?.kind === 'full-box' && p.day !== null && Math.abs(p.day - day) <= 1 ? [piece] : [];
  });

/** Too like each other to stand side by side (handbook C3). */
const isAlike = (a: Piece, b: Piece): boolean =>
  difference(a.color, b.color) < ALIKE || (a.motif !== '' && a.motif === b.motif);
