import type { Kind } from '../../kit/kinds';
import { isStrip } from '../../kit/kinds';
import type { Piece } from '../../kit/kit';
import { isRoll } from '../../kit/kit';
import type { Ledger } from '../../kit/ledger';
import { piecesOf } from '../../spread/choose';
import type { Context } from '../../spread/placement';

/** Something made in the stead of a piece that lacks (handbook K2). */
export interface Makeshift {
  readonly of: Kind;
  /** code of the piece it is made from; null: it is written */
  readonly from: string | null;
}

/** What serves for a kind at a week's kit and stash as they are; null where nothing does. */
export const makeshiftIn = (context: Context, kind: Kind, ledger: Ledger): Makeshift | null =>
  makeshiftFor(kind, (k) => piecesOf(context, k).filter((p) => ledger.untouched(p) > 0 || isStrip(k)), ledger);

/** Heights of washi that serve in a piece's stead, mm. Common practice. */
const STRIPS: Partial<Record<Kind, { readonly least: number; readonly most: number }>> = {
  header: { least: 4.5, most: 9 },
  'date-cover': { least: 10, most: 16 },
  'quarter-box': { least: 10, most: 16 },
};

/** The least length of washi that makes a piece the width of a column, mm (handbook 3). */
const COLUMN = 38;

/**
 * What can be made of something else (handbook K2, 3). Common practice.
 * @param of the pieces of a kind that may be used
 */
export function makeshiftFor(kind: Kind, of: (k: Kind) => readonly Piece[], ledger: Ledger): Makeshift | null {
  if (kind === 'date-dot') return { of: kind, from: null };
  const from = materialFor(kind, of, ledger);
  return from ? { of: kind, from: from.code } : null;
}

function materialFor(kind: Kind, of: (k: Kind) => readonly Piece[], ledger: Ledger): Piece | undefined {
  const strip = STRIPS[kind];
  if (strip) {
    return of('washi').find((p) => p.height >= strip.least && p.height <= strip.most && ledger.longest(p) >= COLUMN);
  }
  switch (kind) {
    case 'bottom-washi':
      return of('washi').find((p) => isRoll(p) && p.height >= 8);
    case 'checklist':
      return of('checklist').find((p) => ledger.mostRows(p) > 0 && ledger.untouched(p) < p.count);
    case 'week-tracker':
    case 'habit-tracker':
      return of('checklist').find((p) => p.rows >= 6 && ledger.untouched(p) > 0);
    default:
      return undefined;
  }
}
