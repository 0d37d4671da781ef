import type { Kind } from '../kit/kinds';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';

/** A sticker as an edit speaks of it. Kept with the edit, since it may be gone when its undo is offered. */
export interface Thing {
  /** null: its kit is not at hand */
  readonly kind: Kind | null;
  readonly code: string;
  /** what is written or printed on it, or pictured */
  readonly words: string;
}

export function thingOf(context: Pick<Context, 'kit' | 'stash'>, p: Placement): Thing {
  const piece = pieceIndex(context).get(pieceKey(p));
  return { ...thingOfPiece(piece, p.code), words: p.text?.split('\n')[0] || piece?.words || piece?.motif || '' };
}

/** A sticker on its sheet. */
export const thingOfPiece = (piece: Piece | undefined, code = piece?.code ?? ''): Thing => ({
  kind: piece?.kind ?? null,
  code,
  words: '',
});

const MOST = 28;

/** `quarter box “vet, Juniper”`, `header “today”` */
export const sayThing = ({ kind, code, words }: Thing): string =>
  `${kind ? traits(kind).label : code || 'writing'}${words ? ` “${words.slice(0, MOST)}”` : ''}`;

/** `quarter box QB-3` */
export const sayDesign = ({ kind, code }: Thing): string => (kind ? `${traits(kind).label} ${code}` : code);
