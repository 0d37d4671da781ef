import type { Piece } from '../kit/kit';
import { atHand } from '../spread/at-hand';
import { piecesOf } from '../spread/choose';
import type { Need } from '../arrange/counting/needs';
import { isRoll } from '../kit/kit';
import type { View } from './finding';

/** Copies of what a need asks for, in the kit and in the stash; `covered` when both together, or a roll, will do. */
export interface Count {
  readonly inKit: number;
  readonly inStash: number;
  readonly rolls: number;
  readonly covered: boolean;
}

/** Copies that are untouched after all other weeks, as "is it enough" counts them. */
export function countOf({ context }: View, { kind, needed, fits = () => true }: Need): Count {
  const ledger = atHand(context);
  const there = (pieces: readonly Piece[]): number => pieces.reduce((n, p) => n + Math.max(0, ledger.untouched(p)), 0);
  const usable = piecesOf(context, kind).filter(fits);
  const inKit = there(usable.filter((p) => p.kit === context.kit.name));
  const inStash = there(usable.filter((p) => p.kit !== context.kit.name));
  const rolls = kind === 'bottom-washi' ? piecesOf(context, 'washi').filter(isRoll).length : 0;
  return { inKit, inStash, rolls, covered: inKit + inStash >= needed || rolls > 0 };
}
