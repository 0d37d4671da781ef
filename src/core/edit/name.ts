import type { Context, Placement } from '../spread/placement';
import { pieceIndex } from '../spread/placement';
import { traits } from '../kit/kinds';
import { pieceKey } from '../kit/kit';

/** How an edit's label calls a placement: `quarter box “vet, Juniper”`, `header “today”`. */
export function nameOf(context: Context, p: Placement): string {
  const piece = pieceIndex(context).get(pieceKey(p));
  const said = p.text?.split('\n')[0] || piece?.words || piece?.motif || '';
  return `${piece ? traits(piece.kind).label : p.code}${said ? ` “${said.slice(0, 28)}”` : ''}`;
}
