import type { Piece } from './kit';
import { freshCode } from './correction';
import type { PieceStock, StockEvent } from './stock';

/** So many whole copies of a design. */
export interface Share {
  readonly code: string;
  readonly count: number;
}

/** What goes to another kit, and what the first one's stock says of it. */
export interface Split {
  readonly pieces: readonly Piece[];
  readonly events: readonly StockEvent[];
  /** shares that there is not enough of, with the whole copies there are; null: no such line */
  readonly lacking: readonly (Share & { readonly whole: number | null })[];
}

/**
 * Takes whole stickers out of a kit for another, the last copies first.
 * @param into the other's name
 * @param taken codes that the other has already; what comes gets others where they meet
 */
export function splitOff(
  stock: readonly PieceStock[],
  shares: readonly Share[],
  into: string,
  taken: readonly string[],
): Split {
  const byCode = new Map(stock.map((s) => [s.piece.code, s]));
  const codes = [...taken];
  const pieces: Piece[] = [];
  const events: StockEvent[] = [];
  const lacking: (Share & { whole: number | null })[] = [];
  for (const { code, count } of shares) {
    const line = byCode.get(code);
    const whole = line?.copies.filter((c) => c.state === 'whole') ?? [];
    if (!line || whole.length < count) {
      lacking.push({ code, count, whole: line ? whole.length : null });
      continue;
    }
    const own = codes.includes(code) ? freshCode(codes, code) : code;
    codes.push(own);
    pieces.push({ ...line.piece, kit: into, code: own, count });
    for (const { copy } of whole.slice(whole.length - count))
      events.push({ what: 'used', kit: line.piece.kit, code, copy, reason: `gone to ${into}`, cut: null });
  }
  return { pieces, events, lacking };
}
