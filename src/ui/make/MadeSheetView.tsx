import { drawPiece } from '../../core/art/draw-piece';
import type { MadeSheet } from '../../core/make/lay-out';
import { marksOf } from '../../core/make/lay-out';
import { GLASS } from '../theme';

/** A sheet as it is printed, with its cuts: kiss-cut round each sticker, the dashes are where it may be folded. */
export function MadeSheetView({ sheet }: { sheet: MadeSheet }) {
  const { width, height, items, folds } = sheet;
  return (
    <svg
      viewBox={`0 0 ${width} ${height}`}
      style={{ width: '100%', maxHeight: 560, display: 'block' }}
      role="img"
      aria-label={`A sheet of ${items.length} stickers`}
      data-testid="made-sheet"
    >
      <rect width={width} height={height} fill="#fff" stroke={GLASS.edge} strokeWidth=".6" />
      {marksOf(sheet).map((m) => (
        <rect key={`${m.x} ${m.y}`} x={m.x} y={m.y} width={m.w} height={m.h} fill="#000" />
      ))}
      {items.map((i) => (
        <g
          key={`${i.piece.code} ${i.copy}`}
          transform={`translate(${i.x} ${i.y})`}
          dangerouslySetInnerHTML={{ __html: drawPiece(i.piece, `m-${i.piece.code}-${i.copy}`) }}
        />
      ))}
      {folds.map((y) => (
        <path key={y} d={`M8 ${y}H${width - 8}`} stroke={GLASS.cobalt} strokeWidth=".3" strokeDasharray="2 1.5" />
      ))}
    </svg>
  );
}
