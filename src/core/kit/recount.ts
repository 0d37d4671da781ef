import type { PieceStock, StockEvent } from './stock';

/** What lies before its owner of a design, counted: whole stickers only. */
export interface Counted {
  readonly code: string;
  readonly whole: number;
}

const WHY = 'counted anew';

/**
 * The changes of the stock that bring it to what was counted: more were found, or fewer are there, the last copies
 * first. What is not counted stays.
 */
export function recount(stock: readonly PieceStock[], counted: readonly Counted[]): StockEvent[] {
  const told = new Map(counted.map((c) => [c.code, c.whole]));
  return stock.flatMap(({ piece: { kit, code }, copies }) => {
    const wanted = told.get(code);
    if (wanted === undefined) return [];
    // what is planned lies there still; it is missed last
    const whole = [...copies.filter((c) => c.state === 'planned'), ...copies.filter((c) => c.state === 'whole')];
    const event = (what: StockEvent['what'], copy: number): StockEvent => ({
      what,
      kit,
      code,
      copy,
      reason: WHY,
      cut: null,
    });
    return wanted >= whole.length
      ? Array.from({ length: wanted - whole.length }, (_, i) => event('found', copies.length + 1 + i))
      : whole.slice(wanted).map((c) => event('used', c.copy));
  });
}
