import { isPattern } from '../art/motifs/registry';
import type { Region } from '../book/book';
import { dayColumn } from '../book/columns';
import type { RowFrame } from '../book/rows';
import { rowFrames } from '../book/rows';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { copyKey } from '../kit/ledger';
import type { Rect } from '../measure/rect';
import { bounds, intersect } from '../measure/rect';
import type { Context, Placement } from '../spread/placement';
import { footprint, pieceIndex } from '../spread/placement';

/** A piece as the eye takes it in: where it lies, what it is, whether something is written on it. mm */
export interface Mark extends Rect {
  /** of its placement; null for one that is only thought of */
  readonly id: string | null;
  /** null: writing on the paper */
  readonly kind: Kind | null;
  /** names its design */
  readonly design: string;
  /** what a picture shows, whatever its color; its design where nobody told */
  readonly shows: string;
  /** a pattern or a plain color, no scene */
  readonly isPlain: boolean;
  readonly layer: number;
  readonly written: boolean;
  /** lies for its looks alone */
  readonly isFinish: boolean;
}

/** What lies on each of the seven columns. Never changed; `with` gives another. */
export interface Sight {
  readonly context: Context;
  readonly columns: readonly (Region | undefined)[];
  /** the rows of each day where each has its job; none in other schools */
  readonly rows: readonly (readonly RowFrame[])[];
  readonly byDay: readonly (readonly Mark[])[];
}

/** A spread as the eye takes it in. */
export function sightOf(context: Context, placements: readonly Placement[]): Sight {
  const columns = context.week.days.map((_, day) => dayColumn(context.book, day));
  const pieces = pieceIndex(context);
  const marks = asOne(placements).map((p) => ({ page: p.page, mark: markOf(p, pieces.get(pieceKey(p)) ?? null) }));
  return {
    context,
    columns,
    rows: context.week.days.map((_, day) => (context.ways.keepsRows ? rowFrames(context.book, day) : [])),
    byDay: columns.map((column) =>
      column ? marks.flatMap(({ page, mark }) => (page === column.page && intersect(mark, column) ? [mark] : [])) : [],
    ),
  };
}

/** Parts of one box that lie one over the other, to shorten it (handbook F2), are seen as one. */
function asOne(placements: readonly Placement[]): readonly Placement[] {
  const cut = placements.filter((p) => p.cut !== null && (p.role === 'finish' || p.role === 'box'));
  if (cut.length < 2) return placements;
  const wholes = new Map<Placement, (Rect & Pick<Placement, 'layer'>) | null>();
  cut.forEach((p, i) => {
    if (wholes.has(p)) return;
    const others = cut.slice(i + 1).filter((q) => copyKey(q) === copyKey(p) && isOver(q, p));
    if (!others.length) return;
    wholes.set(p, { ...bounds([p, ...others]), layer: Math.max(p.layer, ...others.map((q) => q.layer)) });
    for (const q of others) wholes.set(q, null);
  });
  return placements.flatMap((p) => {
    const whole = wholes.get(p);
    return whole === null ? [] : [whole ? { ...p, ...whole } : p];
  });
}

const isOver = (q: Placement, p: Placement): boolean =>
  q.page === p.page && q.day === p.day && q.turn === p.turn && intersect(footprint(q), footprint(p)) !== null;

/** What tells one piece from another at a glance. */
export const looksOf = (
  piece: Pick<Piece, 'kit' | 'code' | 'kind' | 'motif'>,
): Pick<Mark, 'design' | 'shows' | 'isPlain'> => {
  const design = pieceKey(piece);
  const isPlain = !piece.motif || isPattern(piece.motif);
  return { design, isPlain, shows: piece.kind === 'deco' && piece.motif ? piece.motif : design };
};

const markOf = (p: Placement, piece: Piece | null): Mark => ({
  ...footprint(p),
  id: p.id,
  kind: piece?.kind ?? null,
  ...(piece ? looksOf(piece) : { design: pieceKey(p), shows: '', isPlain: true }),
  layer: p.layer,
  written: p.text !== null || p.items.length > 0,
  isFinish: p.role === 'finish',
});

/** The same with more pieces on a day. */
export const withMarks = (sight: Sight, day: number, more: readonly Mark[]): Sight => ({
  ...sight,
  byDay: sight.byDay.map((marks, d) => (d === day ? [...marks, ...more] : marks)),
});

/** Deco pieces of a day that lie for their looks. */
export const picturesOf = (marks: readonly Mark[]): readonly Mark[] =>
  marks.filter((m) => m.kind === 'deco' && m.isFinish);
