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

export function countOf({ context }: View, { kind, needed, fits = () => true }: Need): Count {
  const usable = piecesOf(context, kind).filter(fits);
  const inKit = usable.filter((p) => p.kit === context.kit.name).reduce((n, p) => n + p.count, 0);
  const inStash = usable.filter((p) => p.kit !== context.kit.name).reduce((n, p) => n + p.count, 0);
  const rolls = kind === 'bottom-washi' ? piecesOf(context, 'washi').filter(isRoll).length : 0;
  return { inKit, inStash, rolls, covered: inKit + inStash >= needed || rolls > 0 };
}
