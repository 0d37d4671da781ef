import { dayColumn } from '../../../book/columns';
import type { Region } from '../../../book/book';
import { difference } from '../../../color/color';
import type { Piece } from '../../../kit/kit';
import { alignX } from '../../../spread/align';
import { piecesOf, tasteCost } from '../../../spread/choose';
import type { Draft } from '../../../spread/draft';
import type { Stretch } from '../../../spread/free-room';
import { clearOfHours, keptFree, lengthOf } from '../../../spread/free-room';
import { fitBox } from '../../boxes/box-fit';
import { ALIKE } from '../../boxes/boxes';
import type { Fill, Filler, OpenDay } from './filler';

/** What a box costs that could have carried an item, in the eye's points, by its height in mm. From memory. */
const COST = 1;
const PER_MM = 0.05;

/** A half, third or full box of the kit in an open place, from its top or on its floor. */
export const boxesToWriteOn: Fill = (open) => {
  const { draft, context, day, free } = open;
  const column = dayColumn(context.book, day);
  if (!column) return [];
  const beside = fullBoxesBeside(draft, day);
  const pieces = piecesOf(context, 'half-box', 'third-box', 'full-box').filter(
    (p) =>
      p.kit === context.kit.name &&
      draft.ledger.untouched(p) > 0 &&
      !(p.kind === 'full-box' && beside.some((b) => isAlike(b, p))),
  );
  return clearOfHours(context, day, free).flatMap((s) => pieces.flatMap((piece) => standing(open, column, piece, s)));
};

function standing({ draft, context, day }: OpenDay, column: Region, piece: Piece, s: Stretch): Filler[] {
  // whole, or shortened so that there is room beside it for what comes up
  const beside = lengthOf(s) - keptFree(context, day) - context.options.gap;
  const heights = piece.height <= beside ? [piece.height] : [lengthOf(s), beside];
  const isDaysOwn =
    !context.ways.keepsRows &&
    piece.kind === 'full-box' &&
    !draft.placements.some((p) => p.day === day && p.role === 'box');
  const role = isDaysOwn ? 'box' : 'finish';
  return heights.flatMap((height): Filler[] => {
    const fit = fitBox(piece, column.w, height);
    if (!fit) return [];
    const { w, h, parts } = fit;
    const cost = COST + h * PER_MM + fit.harm + tasteCost(piece, context);
    const at = { piece, parts, page: column.page, layer: 0, role, cost, x: alignX(context, column, w), w, h } as const;
    return [
      { ...at, y: s.from },
      { ...at, y: s.to - h },
    ];
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
