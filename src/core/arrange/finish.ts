import { dayColumn } from '../book/columns';
import { area, intersect, unionArea } from '../measure/rect';
import { byCost, piecesOf } from './choose';
import type { Stage } from './draft';
import { freeStretches, keptFree, lengthOf } from './room';
import { footprint } from './spread';

/** Pictures in the widest open places, while a day is emptier than wanted; room for what comes up stays (handbook W1, D3). */
export const finish: Stage = (before, context) => {
  const draft = before.clone();
  for (let day = 0; day < 7; day++) {
    const column = dayColumn(context.book, day);
    if (!column || draft.placements.some((p) => p.role === 'finish' && p.day === day)) continue;
    const covered = unionArea(draft.lyingIn(column.page, column).flatMap((p) => intersect(footprint(p), column) ?? []));
    if (1 - covered / area(column) <= context.options.whiteSpace) continue;
    const stretch = [...freeStretches(draft, context, day)].sort((a, b) => lengthOf(b) - lengthOf(a))[0];
    if (!stretch) continue;
    const room = lengthOf(stretch) - keptFree(context, day) - context.options.gap;
    const piece = byCost(piecesOf(context, 'deco'), (p) => {
      const used = draft.placements.filter((q) => q.code === p.code && q.kit === p.kit).length;
      return p.kit === context.kit.name && p.height <= room && p.width <= column.w && draft.ledger.untouched(p) > 0 ? used * 30 - p.height : Infinity;
    })[0];
    const taken = piece && draft.ledger.take(piece);
    if (!piece || !taken) continue;
    draft.add(piece, taken, { page: column.page, day, x: column.x + (column.w - piece.width) / 2, y: stretch.to - piece.height, role: 'finish' });
  }
  return draft;
};
