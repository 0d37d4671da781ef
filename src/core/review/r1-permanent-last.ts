import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';
import type { Finding, Rule } from './finding';
import { at, pieceName, sentence } from './say';

/** R1: permanent paper and vinyl can't be moved again: nothing that may still move should wait on top of them. */
export const r1PermanentLast: Rule = {
  code: 'R1',
  title: 'What cannot be lifted goes last',
  check: (view) =>
    view.placements
      .filter((p) => ['matte-permanent', 'vinyl', 'clear'].includes(view.pieceOf(p)?.finish ?? ''))
      .flatMap((p): Finding[] => {
        const over = view.placements.filter(
          (q) =>
            q.page === p.page &&
            q.layer > p.layer &&
            view.pieceOf(q)?.finish === 'matte-removable' &&
            intersect(footprint(p), footprint(q)),
        );
        const first = over[0];
        if (!first) return [];
        return [
          {
            rule: 'R1',
            severity: 'look',
            ...at(p),
            placements: [p.id, ...over.map((q) => q.id)],
            message: `${sentence(pieceName(view, p))} can’t be lifted again (${view.pieceOf(p)?.finish}), and ${over.length === 1 ? pieceName(view, first) : `${over.length} pieces`} must go down after it.`,
            remedy: 'Be sure of its place first, or swap it for removable paper.',
          },
        ];
      }),
};
