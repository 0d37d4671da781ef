import { memo } from 'react';
import { num } from '../../core/art/svg';
import { handSvg, marksSvg } from '../../core/format/spread-svg';
import { pieceKey } from '../../core/kit/kit';
import type { Context, Placement } from '../../core/spread/placement';
import { footprint, isWriting, pieceIndex } from '../../core/spread/placement';
import { LaidFaces } from '../sticker/Face';
import { GLASS } from '../theme';

interface WeekPictureProps {
  /** as it is laid out there: its book is fitted to the manner */
  readonly context: Context;
  readonly placements: readonly Placement[];
  /** what it shows; left out: what stands beside it says it */
  readonly label?: string;
  /** too small for writing */
  readonly tiny?: boolean;
  /** ids of what is marked */
  readonly marked?: readonly string[];
}

const NONE: readonly string[] = [];

/** The spread in small, from the stickers' own drawings on the screen. */
export const WeekPicture = memo(function WeekPicture({
  context,
  placements,
  label,
  tiny,
  marked = NONE,
}: WeekPictureProps) {
  const { pages } = context.book;
  const pieces = pieceIndex(context);
  const offsets = pages.map((_, i) => pages.slice(0, i).reduce((sum, p) => sum + p.width, 0));
  const width = pages.reduce((sum, p) => sum + p.width, 0);
  const height = Math.max(...pages.map((p) => p.height));
  const ids = new Set(marked);
  return (
    <svg
      viewBox={`0 0 ${num(width)} ${num(height)}`}
      style={{ width: '100%', display: 'block', boxShadow: '0 1px 4px #0002' }}
      {...(label === undefined ? { 'aria-hidden': true } : { role: 'img', 'aria-label': label })}
    >
      {pages.map((page, i) => {
        const here = placements.filter((p) => p.page === i);
        return (
          <g key={i} transform={`translate(${num(offsets[i] ?? 0)} 0)`}>
            <rect width={page.width} height={page.height} fill={GLASS.paper} />
            <g dangerouslySetInnerHTML={{ __html: marksSvg(context.book, i) }} opacity={0.5} />
            <LaidFaces
              placements={here}
              pieceOf={(p) => pieces.get(pieceKey(p))}
              over={(p) =>
                tiny && !isWriting(p) ? null : (
                  <g dangerouslySetInnerHTML={{ __html: handSvg(context, p, placements) }} />
                )
              }
            />
            {here
              .filter((p) => ids.has(p.id))
              .map((p) => {
                const { x, y, w, h } = footprint(p);
                return (
                  <rect
                    key={p.id}
                    x={x - 0.6}
                    y={y - 0.6}
                    width={w + 1.2}
                    height={h + 1.2}
                    rx={1.2}
                    fill="none"
                    stroke={GLASS.cobalt}
                    strokeWidth={1}
                  />
                );
              })}
          </g>
        );
      })}
    </svg>
  );
});
