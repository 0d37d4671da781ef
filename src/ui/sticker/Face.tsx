import type { Piece } from '../../core/kit/kit';
import type { LaidSticker } from '../../core/format/laid-sticker';
import { laidSticker } from '../../core/format/laid-sticker';
import { num } from '../../core/art/svg';
import type { Placement } from '../../core/spread/placement';
import { isWriting } from '../../core/spread/placement';
import { symbolId } from './symbol-id';

/** A placed sticker's printed face, from the drawing that `PieceDefs` holds; to be put where `transform` says. */
export function Face({ piece, placement: p, laid }: { piece: Piece; placement: Placement; laid: LaidSticker }) {
  return (
    <svg width={p.w} height={p.h} viewBox={laid.viewBox} overflow={laid.overflow} aria-hidden>
      <use href={`#${symbolId(piece)}`} />
    </svg>
  );
}

/** A placed sticker on its page, with what lies on it; all views but the one where it is taken in hand draw this. */
export function LaidFace({
  piece,
  placement,
  children,
}: {
  piece: Piece;
  placement: Placement;
  children?: React.ReactNode;
}) {
  const laid = laidSticker(piece, placement);
  return (
    <g transform={laid.transform}>
      <Face piece={piece} placement={placement} laid={laid} />
      {children}
    </g>
  );
}

/** Some placements of one page, lower layers first. */
export function LaidFaces({
  placements,
  pieceOf,
  over,
}: {
  placements: readonly Placement[];
  pieceOf: (p: Placement) => Piece | undefined;
  /** what is drawn over a sticker, such as its writing */
  over?: (p: Placement) => React.ReactNode;
}) {
  return [...placements]
    .sort((a, b) => a.layer - b.layer)
    .map((p) => {
      const piece = pieceOf(p);
      if (isWriting(p))
        return (
          <g key={p.id} transform={`translate(${num(p.x)} ${num(p.y)})`}>
            {over?.(p)}
          </g>
        );
      return piece ? (
        <LaidFace key={p.id} piece={piece} placement={p}>
          {over?.(p)}
        </LaidFace>
      ) : null;
    });
}
