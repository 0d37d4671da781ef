'use client';

import type { DOMAttributes, ReactNode } from 'react';
import type { Piece } from '../../core/kit/kit';
import type { Sheet } from '../../core/kit/sheet-layout';
import type { Rect } from '../../core/measure/rect';
import { GLASS } from '../theme';
import { symbolId } from './symbol-id';
import { looksName } from '../../core/spread/looks-name';
import { ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

/** What is to be seen of one copy on its sheet. */
export interface CopyLook {
  /** whole, and to be taken */
  readonly free: boolean;
  /** what is left of it where it was cut, in its own mm */
  readonly rest: readonly Rect[];
  readonly chosen: boolean;
  /** said beside its name: `used`, `spoiled` */
  readonly state: string;
  /** where it went, said to whom points at it */
  readonly note?: string;
  readonly spoiled?: boolean;
  readonly focusable: boolean;
  readonly testId: string;
}

/** What a pointer does with a sticker on its sheet. */
export type Acts = Pick<DOMAttributes<SVGGElement>, 'onPointerDown'>;

/** A sheet as it lies on the table, true to scale: a sticker that is gone leaves its gap. One component for all. */
export function SheetView({
  sheet,
  width,
  lookOf,
  onChoose,
  acts,
  caption,
}: {
  sheet: Sheet;
  width: number | string;
  lookOf: (piece: Piece, copy: number) => CopyLook;
  /** null: only to be looked at */
  onChoose: ((piece: Piece) => void) | null;
  /** what else a pointer can do with one that is free */
  acts?: (piece: Piece) => Acts;
  caption?: ReactNode;
}) {
  return (
    <>
      {caption}
      <svg
        width={width}
        viewBox={`0 0 ${sheet.width} ${sheet.height}`}
        style={{ display: 'block' }}
        role="group"
        aria-label={`Sheet ${sheet.number}`}
      >
        <rect
          x=".25"
          y=".25"
          width={sheet.width - 0.5}
          height={sheet.height - 0.5}
          rx="2"
          fill="#fff"
          stroke={GLASS.edge}
          strokeWidth=".5"
        />
        {sheet.lying.map(({ piece, copy, x, y, w, h }) => (
          <g key={`${piece.code}-${copy}`} transform={`translate(${x} ${y})`}>
            <OnSheet piece={piece} w={w} h={h} look={lookOf(piece, copy)} onChoose={onChoose} acts={acts} />
          </g>
        ))}
      </svg>
    </>
  );
}

interface OnSheetProps {
  readonly piece: Piece;
  readonly w: number;
  readonly h: number;
  readonly look: CopyLook;
  readonly onChoose: ((piece: Piece) => void) | null;
  readonly acts: ((piece: Piece) => Acts) | undefined;
}

function OnSheet({ piece, w, h, look, onChoose, acts: more }: OnSheetProps) {
  const { unit } = useOwnWays();
  const name = looksName(piece);
  const acts = onChoose
    ? {
        role: 'button',
        tabIndex: look.focusable ? 0 : -1,
        'aria-pressed': look.chosen,
        'aria-label': `${name}${look.state ? `, ${look.state}` : ''}`,
        style: { cursor: look.free && more ? 'grab' : 'pointer' },
        ...(look.free ? more?.(piece) : {}),
        onClick: () => onChoose(piece),
        onKeyDown: (e: React.KeyboardEvent) => {
          if (e.key !== 'Enter' && e.key !== ' ') return;
          e.preventDefault();
          onChoose(piece);
        },
      }
    : { 'aria-hidden': true };
  return (
    <g data-testid={look.testId} data-state={look.state || undefined} {...acts}>
      <title>{`${name}, ${piece.code}, ${ruled(piece.width, unit)} × ${ruled(piece.height, unit)}${look.state ? `, ${look.state}` : ''}${look.note ?? ''}`}</title>
      {look.free ? (
        <use href={`#${symbolId(piece)}`} />
      ) : (
        <rect
          width={w}
          height={h}
          rx="1"
          fill={GLASS.milk}
          stroke={look.spoiled ? GLASS.cranberry : '#cfc8b8'}
          strokeWidth=".5"
          strokeDasharray="1.6 1.2"
        />
      )}
      {look.rest.map((r) => (
        <svg
          key={`${r.x}-${r.y}`}
          x={r.x}
          y={r.y}
          width={r.w}
          height={r.h}
          viewBox={`${r.x} ${r.y} ${r.w} ${r.h}`}
          opacity=".75"
        >
          <use href={`#${symbolId(piece)}`} />
        </svg>
      ))}
      <rect className="ring" width={w} height={h} rx="1" fill="transparent" />
      {look.chosen && (
        <rect
          x="-.9"
          y="-.9"
          width={w + 1.8}
          height={h + 1.8}
          rx="1.5"
          fill="none"
          stroke={GLASS.amber}
          strokeWidth="1.4"
        />
      )}
    </g>
  );
}
