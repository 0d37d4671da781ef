import { difference } from '../color/color';
import type { Change } from '../edit/change';
import type { Spot } from '../edit/spots';
import { placeAt, spotsFor } from '../edit/spots';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { Draft } from '../spread/draft';
import { fitText } from '../spread/fit-text';
import { inkFor } from '../spread/ink';
import type { Context, Placement } from '../spread/placement';
import { kitsOf, pieceIndex } from '../spread/placement';
import { baseOf, writingRoom } from '../spread/writing';
import { pieceKey } from '../kit/kit';

/** What a piece that is laid afterwards is for: a moment told by a picture, a word, a small picture stuck in. */
export const MEMORY_SORTS = ['moment', 'word', 'picture'] as const;
export type MemorySort = (typeof MEMORY_SORTS)[number];

/** An empty place of a day, and a leftover that suits it. */
export interface MemoryOffer {
  readonly sort: MemorySort;
  readonly day: number;
  readonly kit: string;
  readonly code: string;
  readonly kind: Kind;
  /** mm, as it would lie */
  readonly w: number;
  readonly h: number;
}

const KINDS_OF: { readonly [S in MemorySort]: readonly Kind[] } = {
  moment: ['deco'],
  word: ['label', 'quarter-box', 'flag', 'circle', 'third-box'],
  picture: ['square', 'half-box'],
};

/** A design is not tried on more days than have an empty place; so many designs of a sort are looked at. */
const MOST_DESIGNS = 24;

/**
 * Leftovers for the empty places of days that are over: of each sort at most one a day, what suits the colors of its
 * day best, larger before smaller; each sticker is offered once.
 * @param days 0-6
 */
export function memoryPieces(
  context: Context,
  placements: readonly Placement[],
  days: readonly number[],
): MemoryOffer[] {
  const draft = Draft.begin(context, placements);
  const offers: MemoryOffer[] = [];
  const taken = new Map<string, number>();
  for (const sort of MEMORY_SORTS) {
    const pieces = kitsOf(context)
      .flatMap((k) => k.pieces)
      .filter((p) => KINDS_OF[sort].includes(p.kind) && suits(sort, p) && draft.ledger.untouched(p) > 0)
      .sort((a, b) => b.width * b.height - a.width * a.height || (a.code < b.code ? -1 : 1))
      .slice(0, MOST_DESIGNS);
    const spots = new Map(
      pieces.map((p) => [p, spotsFor(context, placements, p).filter((s) => s.day !== null && !s.rows)]),
    );
    for (const day of days) {
      const [best] = pieces
        .flatMap((piece) => {
          const spot = spots.get(piece)?.find((s) => s.day === day);
          const left = draft.ledger.untouched(piece) - (taken.get(pieceKey(piece)) ?? 0);
          return spot && left > 0 ? [{ piece, spot, cost: strangeTo(context, placements, day, piece) }] : [];
        })
        .sort((a, b) => a.cost - b.cost || (a.piece.code < b.piece.code ? -1 : 1));
      if (!best) continue;
      const { piece, spot } = best;
      taken.set(pieceKey(piece), (taken.get(pieceKey(piece)) ?? 0) + 1);
      offers.push({ sort, day, kit: piece.kit, code: piece.code, kind: piece.kind, w: spot.w, h: spot.h });
    }
  }
  return offers.sort((a, b) => a.day - b.day);
}

const suits = (sort: MemorySort, piece: Piece): boolean =>
  sort === 'moment' ? piece.words === '' : piece.words === '' && piece.writable !== 'no';

/** How far its color is from those that its day has (CIEDE2000); what a day without any has suits. */
function strangeTo(context: Context, placements: readonly Placement[], day: number, piece: Piece): number {
  const pieces = pieceIndex(context);
  const colors = new Set(
    placements.flatMap((p) => (p.day === day && p.layer === 0 ? (pieces.get(pieceKey(p))?.color ?? []) : [])),
  );
  return colors.size ? Math.min(...[...colors].map((c) => difference(c, piece.color))) : 0;
}

/**
 * Lays a leftover in an empty place of a day, with a word where it is for one.
 * @returns why it cannot be: there is no place or none is left; or the word has no room on it
 */
export function layMemory(
  context: Context,
  placements: readonly Placement[],
  offer: Pick<MemoryOffer, 'kit' | 'code' | 'day' | 'sort'>,
  text: string,
): Change | 'no place' | 'no room' {
  const piece = pieceIndex(context).get(pieceKey(offer));
  const spot = piece && spotsFor(context, placements, piece).find((s: Spot) => s.day === offer.day && !s.rows);
  const change = piece && spot ? placeAt(context, placements, piece, spot) : null;
  const [added] = change?.after ?? [];
  if (!piece || !change || !added) return 'no place';
  const word = offer.sort === 'word' ? text.trim() : '';
  const fitted = word ? fitText(word, writingRoom(baseOf(piece, added)), context.options) : null;
  if (word && !fitted) return 'no room';
  return { ...change, after: [{ ...added, ...(fitted ? { ...fitted, ink: inkFor(piece) } : {}) }] };
}
