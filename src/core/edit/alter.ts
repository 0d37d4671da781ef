import type { Deed } from './deed';
import { inkFor } from '../spread/ink';
import type { Context, Placement } from '../spread/placement';
import { isWriting, pieceIndex } from '../spread/placement';
import { paperHeight } from '../spread/writing';
import { handAt } from '../measure/hand';
import { tidy } from '../measure/length';
import { pieceKey } from '../kit/kit';
import type { Change } from './change';
import { thingOf } from './thing';

const alter = (deed: Deed, before: Placement, after: Partial<Placement>): Change => ({
  deed,
  before: [before],
  after: [{ ...before, ...after }],
});

/** Turns a piece by a quarter, clockwise, about its center. */
export const turnPiece = (context: Context, p: Placement): Change | null =>
  p.locked ? null : alter({ do: 'turn', thing: thingOf(context, p) }, p, { turn: (p.turn + 90) % 360 });

/** Locks what is stuck down already, or frees it again; a locked piece is never moved. */
export const lockPiece = (context: Context, p: Placement): Change =>
  alter({ do: p.locked ? 'unlock' : 'lock', thing: thingOf(context, p) }, p, { locked: !p.locked });

/** Writes on a piece, or something else on the paper; an empty text takes the writing off a piece. */
export function writeOn(context: Context, p: Placement, text: string): Change | null {
  const wanted = text.trim() === '' ? null : text;
  if (isWriting(p)) {
    if (wanted === null || wanted === p.text) return null; // what is nothing but ink is taken off instead
    const h = tidy(paperHeight(wanted.split('\n'), p.w, handAt(context.options.hand, p.size)));
    return alter({ do: 'write on', thing: thingOf(context, p) }, p, { text: wanted, h });
  }
  const piece = pieceIndex(context).get(pieceKey(p));
  if (wanted === p.text || !piece) return null;
  return alter({ do: 'write on', thing: thingOf(context, p) }, p, { text: wanted, ink: wanted ? inkFor(piece) : null });
}
