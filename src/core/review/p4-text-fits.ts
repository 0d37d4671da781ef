import { TICK_WIDTH, laidOn, writingRoom } from '../spread/writing';
import { linesIn, textFits, writeLines } from '../measure/hand';
import type { Finding, Rule } from './finding';
import { at, counted, pieceName } from './say';

/** P4: every text fits at the writer's own hand. */
export const p4TextFits: Rule = {
  code: 'P4',
  title: 'Texts fit at your hand',
  check(view) {
    const over = view.placements.filter((p) => p.layer > 0);
    return view.placements
      .filter((p) => p.text && p.role === 'day')
      .flatMap((p): Finding[] => {
        const piece = view.pieceOf(p);
        const text = p.text as string;
        const { hand } = view.context.options;
        if (!piece) return [];
        const list = piece.kind === 'checklist';
        const room = list
          ? { w: p.w - TICK_WIDTH, h: piece.height / Math.max(1, piece.rows) }
          : writingRoom({ kind: piece.kind, shape: piece.shape, w: p.w, h: p.h, turn: p.turn }, laidOn(p, over));
        const broken = (list ? text.split('\n') : [text]).filter((t) => !textFits(t, room.w, room.h, hand));
        const first = broken[0];
        if (first === undefined) return [];
        const needed = writeLines(first, room.w, hand).length;
        return [
          {
            rule: 'P4',
            severity: 'fix',
            ...at(p),
            placements: [p.id],
            message: `“${first.slice(0, 40)}” takes ${counted(needed, 'line')} at your hand, and ${pieceName(view, p)} has ${linesIn(hand, room.h)}${needed <= linesIn(hand, room.h) ? ', with a word too long for one' : ''}.`,
            remedy: 'Shorten the text, or swap for a roomier base.',
          },
        ];
      });
  },
};
