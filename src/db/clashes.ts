import type { Rect } from '../core/measure/rect';
import { intersect } from '../core/measure/rect';
import { wholeOf } from '../core/kit/ledger';
import { takenOf, pieceWithFound } from './available';
import type { Database } from './database';

/** One design of a kit. */
export interface Design {
  readonly kit: string;
  readonly code: string;
}

/** A change of the stock after which a sticker would be in two places, or lie on a spread and not be there. */
export class StockClash extends Error {
  constructor(
    readonly design: Design,
    readonly copy: number,
  ) {
    super(`${design.kit}/${design.code}, copy ${copy}`);
  }
}

/**
 * Does something that changes the stock of some designs, and refuses it for what it brings about: a sticker that two
 * things claim. What was wrong before is left as it is.
 * @throws StockClash
 */
export async function withoutClash<T>(trx: Database, designs: readonly Design[], work: () => Promise<T>): Promise<T> {
  const before = await Promise.all(designs.map((d) => clashesOf(trx, d)));
  const made = await work();
  for (const [i, design] of designs.entries())
    for (const [copy, count] of await clashesOf(trx, design))
      if (count > (before[i]?.get(copy) ?? 0)) throw new StockClash(design, copy);
  return made;
}

/** How many claims of each copy do not go together: overlapping parts, and parts of copies that are not there. */
async function clashesOf(trx: Database, { kit, code }: Design): Promise<Map<number, number>> {
  const clashes = new Map<number, number>();
  const piece = await pieceWithFound(trx, kit, code);
  if (!piece) return clashes;
  const claimed = new Map<number, Rect[]>();
  for (const { copy, cut } of await takenOf(trx, kit, code)) {
    const part = cut ?? wholeOf(piece);
    const others = claimed.get(copy) ?? [];
    const count = others.filter((o) => intersect(o, part)).length + (copy > piece.count ? 1 : 0);
    if (count) clashes.set(copy, (clashes.get(copy) ?? 0) + count);
    claimed.set(copy, [...others, part]);
  }
  return clashes;
}
