import type { Piece } from '../kit/kit';
import type { Context } from './placement';

/** The metal of a day: one for the whole week, or two in turn by day (handbook C6); null where none was chosen. */
export function foilOfDay({ options: { foils } }: Pick<Context, 'options'>, day: number): string | null {
  return foils.length ? (foils[day % foils.length] as string) : null;
}

/** What a piece's metal costs on a day: the other metal's day costs most, a day's own metal is liked. */
export function foilCost(context: Pick<Context, 'options'>, piece: Pick<Piece, 'foil'>, day: number): number {
  const wanted = foilOfDay(context, day);
  if (wanted === null) return 0;
  return piece.foil === wanted ? -4 : piece.foil === 'none' ? 0 : 20;
}
