import type { About, Finding, Rule, Said } from './finding';
import type { Voice } from '../spread/voice';
import { counted, pieceName } from '../spread/voice';
import { at } from './where';
import type { Piece } from '../kit/kit';
import type { Rect } from '../measure/rect';
import type { Hand } from '../measure/hand';
import { handAt, linesIn, textFits, writeLines } from '../measure/hand';
import { linesOfRows } from '../spread/list-text';
import type { Placement } from '../spread/placement';
import { isWriting } from '../spread/placement';
import { TICK_WIDTH, baseOf, laidOn, paperRoom, writingRoom } from '../spread/writing';
import { isList, strippedRoom } from '../spread/is-list';

/** P4: every text fits at the writer's own hand. */
export const p4TextFits: Rule<Case> = {
  code: 'P4',
  title: 'Texts fit at your hand',
  say,
  check(view) {
    const over = view.placements.filter((p) => p.layer > 0);
    return view.placements
      .filter((p) => p.text && p.role !== 'base')
      .flatMap((p): Found[] => {
        const piece = view.pieceOf(p);
        if (!piece && !isWriting(p)) return [];
        const hand = handAt(view.context.options.hand, p.size);
        const parts = partsOf(p, p.text as string, piece, laidOn(p, over), hand);
        const broken = parts.find((part) => !fits(part, hand, isWriting(p)));
        if (!broken) return [];
        const needed = writeLines(broken.text, broken.w, hand).length;
        const there = linesIn(hand, broken.h);
        return [
          {
            rule: 'P4',
            severity: 'fix',
            ...at(p),
            placements: [p.id],
            about: { is: needed <= there ? 'word too long' : 'too many lines', text: broken.text, needed, there },
          },
        ];
      });
  },
};

/** A text with the room it has, mm. */
interface Part {
  readonly text: string;
  readonly w: number;
  readonly h: number;
}

/** What is written on a sticker or the paper, each with its room: a list row by row, all else as one. */
function partsOf(p: Placement, text: string, piece: Piece | undefined, laid: readonly Rect[], hand: Hand): Part[] {
  if (!piece) {
    const { w, h } = paperRoom(p);
    return [{ text, w, h }];
  }
  if (isList(piece, p)) {
    const pitch = piece.height / Math.max(1, piece.rows);
    return linesOfRows(text, pitch >= 2 * hand.linePitch).flatMap((lines) =>
      lines.map((line) => ({ text: line, w: p.w - TICK_WIDTH, h: pitch / lines.length })),
    );
  }
  if (piece.kind === 'checklist') return [{ text, ...strippedRoom(p) }];
  const { w, h } = writingRoom(baseOf(piece, p), laid);
  return [{ text, w, h }];
}

/** On the paper a word too long for a line goes on on the next; on a sticker it would look broken. */
const fits = ({ text, w, h }: Part, hand: Hand, onPaper: boolean): boolean =>
  textFits(text, w, h, hand) || (onPaper && writeLines(text, w, hand).length <= linesIn(hand, h));

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
