import { at } from './where';
import type { Finish } from '../kit/kinds';
import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { pieceName, sentence } from '../spread/voice';
import { footprint } from '../spread/placement';
import { intersect } from '../measure/rect';

/** R1: permanent paper and vinyl can't be moved again: nothing that may still move should wait on top of them. */
export const r1PermanentLast: Rule<Case> = {
  code: 'R1',
  title: 'What cannot be lifted goes last',
  say,
  check: (view) =>
    view.placements
      .filter((p) => ['matte-permanent', 'vinyl', 'clear'].includes(view.pieceOf(p)?.finish ?? ''))
      .flatMap((p): Found[] => {
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
            about: { is: 'under others', finish: view.pieceOf(p)?.finish ?? 'vinyl' },
          },
        ];
      }),
};

type Found = Finding<Case>;

interface Case extends About {
  readonly finish: Finish;
}

function say({ about, placements: [id, ...over] }: Found, voice: Voice): Said {
  return {
    message: `${sentence(pieceName(voice, id))} can’t be lifted again (${about.finish}), and ${over.length === 1 ? pieceName(voice, over[0]) : `${over.length} pieces`} must go down after it.`,
    remedy: 'Be sure of its place first, or swap it for removable paper.',
  };
}
