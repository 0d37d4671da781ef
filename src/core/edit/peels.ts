import { copyKey } from '../kit/ledger';
import type { Placement } from '../spread/placement';
import type { Change } from './change';

/** One physical sticker. */
export type Copy = Pick<Placement, 'kit' | 'code' | 'copy'>;

/** What an edit does to stickers that are stuck down: those it sticks down, frees again, and peels off. */
export interface Sticking {
  readonly down: readonly Copy[];
  readonly freed: readonly Copy[];
  readonly peeled: readonly Copy[];
}

/**
 * What an edit says of stickers stuck down (handbook R3). To free one that was said to be stuck by mistake is no peel;
 * to unlock one that is stuck is.
 * @param isDown whether a sticker was stuck down before the edit
 */
export function stickingOf({ deed, before, after }: Change, isDown: (copy: Copy) => boolean): Sticking {
  if (deed.do === 'stick down') return { down: copiesOf(after), freed: [], peeled: [] };
  const locked = new Set(before.filter((p) => p.locked).map((p) => p.id));
  const freed = copiesOf(after.filter((p) => !p.locked && locked.has(p.id))).filter(isDown);
  return { down: [], freed, peeled: deed.do === 'unlock' ? freed : [] };
}

/** The stickers that some placements are cut from, each once. */
const copiesOf = (placements: readonly Placement[]): Copy[] =>
  [...new Map(placements.map((p) => [copyKey(p), p])).values()].map(({ kit, code, copy }) => ({ kit, code, copy }));
