import { isOf } from '../kit/is-of';
import type { Piece } from '../kit/kit';
import { atHand } from '../spread/at-hand';
import { piecesOf } from '../spread/choose';
import type { Need } from '../arrange/counting/needs';
import { isRoll } from '../kit/kit';
import { plannedCopies } from '../kit/planned';
import type { WeekName } from '../week/week';
import type { View } from './finding';

/** Copies of what a need asks for, in the kit and in the stash; `covered` when both together, or a roll, will do. */
export interface Count {
  readonly inKit: number;
  readonly inStash: number;
  /** more of the kind in the kit, of a size that does not fit */
  readonly unfit: number;
  readonly rolls: number;
  readonly covered: boolean;
  /** of the kit's own, the weeks that have one planned, one entry a copy */
  readonly planned: readonly WeekName[];
}

/** Copies that are untouched after all other weeks, as "is it enough" counts them. */
export function countOf({ context }: View, { kind, needed, fits = () => true }: Need): Count {
  const ledger = atHand(context);
  const there = (pieces: readonly Piece[]): number => pieces.reduce((n, p) => n + Math.max(0, ledger.untouched(p)), 0);
  const usable = piecesOf(context, kind).filter(fits);
  const inKit = there(usable.filter((p) => isOf(context.kit, p)));
  const unfit = there(piecesOf(context, kind).filter((p) => isOf(context.kit, p) && !fits(p)));
  const inStash = there(usable.filter((p) => !isOf(context.kit, p)));
  const rolls = kind === 'bottom-washi' ? piecesOf(context, 'washi').filter(isRoll).length : 0;
  const codes = new Set(usable.map((p) => `${p.kit}/${p.code}`));
  const planned = plannedCopies(
    context.usedElsewhere.filter((u) => isOf(context.kit, u) && codes.has(`${u.kit}/${u.code}`)),
  );
  return { planned, inKit, inStash, unfit, rolls, covered: inKit + inStash >= needed || rolls > 0 };
}
