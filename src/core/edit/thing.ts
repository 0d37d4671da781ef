import type { Kind } from '../kit/kinds';
import { traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { looksName } from '../spread/looks-name';

/** A sticker as an edit speaks of it. Kept with the edit, since it may be gone when its undo is offered. */
export interface Thing {
  /** null: its kit is not at hand */
  readonly kind: Kind | null;
  readonly code: string;
  /** what is written or printed on it, or pictured */
  readonly words: string;
  /** its design by what it looks like; edits that were kept before this was have none */
  readonly looks?: string;
}

export function thingOf(context: Pick<Context, 'kit' | 'stash'> & Partial<Pick<Context, 'week'>>, p: Placement): Thing {
  const piece = pieceIndex(context).get(pieceKey(p));
  const words = titleBeside(context, p) ?? p.text?.split('\n')[0];
  return { ...thingOfPiece(piece, p.code), words: words || piece?.words || piece?.motif || '' };
}

/** The title of the one item on a base of which a script says a part, so that its own text does not name it. */
function titleBeside({ week }: Partial<Pick<Context, 'week'>>, { items, day, text }: Placement): string | null {
  const [uid, another] = items;
  if (uid === undefined || another !== undefined || text === null) return null;
  const demand = week?.demands.find((d) => d.uid === uid && (day === null || (d.day <= day && d.lastDay >= day)));
  const isPart = (word: string): boolean => /^\d/.test(word) || demand?.title.includes(word) === true;
  return demand && !text.replaceAll('\n', ' ').includes(demand.title) && text.split(/[\s,]+/).every(isPart)
    ? demand.title
    : null;
}

/** A sticker on its sheet. */
export const thingOfPiece = (piece: Piece | undefined, code = piece?.code ?? ''): Thing => ({
  kind: piece?.kind ?? null,
  code,
  words: '',
  ...(piece && { looks: looksName(piece) }),
});

const MOST = 28;

/** `quarter box “vet, Juniper”`; without words, its looks: `full box with waves`. */
export const sayThing = ({ kind, code, words, looks }: Thing): string =>
  words ? `${plain(kind, code)} “${words.slice(0, MOST)}”` : (looks ?? plain(kind, code));

/** `dark teal header “today”` */
export const sayDesign = ({ kind, code, looks }: Thing): string =>
  looks ?? (kind ? `${traits(kind).label} ${code}` : code);

const plain = (kind: Kind | null, code: string): string => (kind ? traits(kind).label : code || 'writing');
