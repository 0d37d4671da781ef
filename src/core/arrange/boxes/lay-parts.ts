import type { Piece } from '../../kit/kit';
import type { Draft } from '../../spread/draft';
import type { Role } from '../../spread/placement';
import type { BoxPart } from './box-fit';

interface PartsPlace {
  readonly page: number;
  readonly x: number;
  readonly y: number;
  readonly role: Role;
  readonly layer: number;
  /** the day of each part */
  readonly dayOf: (part: number) => number;
}

/** Lays all parts of a piece, cut from one copy. @returns false where no copy is left */
export function layParts(draft: Draft, piece: Piece, parts: readonly BoxPart[], at: PartsPlace): boolean {
  const first = draft.ledger.take(piece, parts[0]?.cut ?? null);
  if (!first) return false;
  parts.forEach(({ dx, dy, cut, over }, i) => {
    const taken = { copy: first.copy, cut };
    if (i > 0) draft.ledger.note(piece, taken);
    const layer = at.layer + (over ? 1 : 0);
    draft.add(piece, taken, { page: at.page, x: at.x + dx, y: at.y + dy, role: at.role, day: at.dayOf(i), layer });
  });
  return true;
}
