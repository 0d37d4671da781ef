import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, pieceName } from '../spread/voice';
import { at } from './where';
import { TICK_WIDTH, laidOn, writingRoom } from '../spread/writing';
import { linesIn, textFits, writeLines } from '../measure/hand';

/** P4: every text fits at the writer's own hand. */
export const p4TextFits: Rule<Case> = {
  code: 'P4',
  title: 'Texts fit at your hand',
  say,
  check(view) {
    const over = view.placements.filter((p) => p.layer > 0);
    return view.placements
      .filter((p) => p.text && p.role === 'day')
      .flatMap((p): Found[] => {
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
        const there = linesIn(hand, room.h);
        return [
          {
            rule: 'P4',
            severity: 'fix',
            ...at(p),
            placements: [p.id],
            about: { is: needed <= there ? 'word too long' : 'too many lines', text: first, needed, there },
          },
        ];
      });
  },
};

type Found = Finding<Case>;

interface Case extends About {
  readonly is: 'word too long' | 'too many lines';
  readonly text: string;
  /** lines that it takes, and that there are */
  readonly needed: number;
  readonly there: number;
}

function say({ about, placements: [id] }: Found, voice: Voice): Said {
  return {
    message: `“${about.text.slice(0, 40)}” takes ${counted(about.needed, 'line')} at your hand, and ${pieceName(voice, id)} has ${about.there}${about.is === 'word too long' ? ', with a word too long for one' : ''}.`,
    remedy: 'Shorten the text, or swap for a roomier base.',
  };
}
