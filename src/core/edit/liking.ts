import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { isStrip, traits } from '../kit/kinds';
import { pieceKey } from '../kit/kit';
import type { Change } from './change';

/** What an edit says of a taste: pieces put in another's place gain, pieces swapped away lose. */
export interface Taste {
  readonly kit: string;
  readonly code: string;
  /** +1 or -1 */
  readonly by: number;
}

/** Only what a person takes instead says what they like; what is taken off may be in the way. */
export const saysTaste = ({ deed }: Change): boolean => deed.do === 'swap';

/**
 * What can be learned from an edit (handbook 7: what was liked and what was not). Only from a person's own swaps of
 * pieces that others could stand for; moving, taking off, writing and arranging say nothing of taste.
 */
export function tasteOf(context: Pick<Context, 'kit' | 'stash'>, change: Change): Taste[] {
  if (!saysTaste(change)) return [];
  const index = pieceIndex(context);
  const counts = (p: Placement): boolean => {
    const kind = index.get(pieceKey(p))?.kind;
    return (
      kind !== undefined && !isStrip(kind) && kind !== 'date-dot' && (traits(kind).overlay !== true || kind === 'deco')
    );
  };
  const gone = change.before.filter((p) => counts(p) && !change.after.some((q) => pieceKey(q) === pieceKey(p)));
  const come = change.after.filter((p) => counts(p) && !change.before.some((q) => pieceKey(q) === pieceKey(p)));
  return [...gone.map(taste(-1)), ...come.map(taste(1))];
}

const taste =
  (by: number) =>
  ({ kit, code }: Placement): Taste => ({ kit, code, by });
