'use client';

import type { PointerEvent } from 'react';
import { memo } from 'react';
import { num } from '../../../core/art/svg';
import { laidInk, laidSticker } from '../../../core/format/laid-sticker';
import { isStrip } from '../../../core/kit/kinds';
import type { Piece } from '../../../core/kit/kit';
import type { Rect } from '../../../core/measure/rect';
import type { Placement } from '../../../core/spread/placement';
import { isWriting } from '../../../core/spread/placement';
import { Face } from '../../sticker/Face';
import { GLASS } from '../../theme';

interface LaidProps {
  readonly placement: Placement;
  readonly written: string;
  readonly name: string;
  readonly whole: Piece | undefined;
  readonly chosen: boolean;
  /** the last repair laid or moved it */
  readonly fresh: boolean;
  readonly tab: boolean;
  readonly pale: boolean;
  readonly onBegin: (e: PointerEvent, p: Placement) => void;
  readonly onChoose: (id: string) => void;
}

/** One sticker in the book; it is drawn anew only when it changes. */
export const Laid = memo(function Laid({
  placement: p,
  written,
  name,
  whole,
  chosen,
  fresh,
  tab,
  pale,
  onBegin,
  onChoose,
}: LaidProps) {
  if (!whole && !isWriting(p)) return null;
  const laid = whole ? laidSticker(whole, p) : laidInk(p);
  const f = laid.footprint;
  return (
    <g data-drag={p.id} opacity={pale ? 0.22 : 1}>
      <g
        id={`laid-${p.id}`}
        data-testid="piece"
        data-piece={whole ? `${p.kit}/${p.code}` : 'ink'}
        data-role={p.role}
        role="button"
        tabIndex={tab ? 0 : -1}
        aria-label={`${name}${p.locked ? ', locked' : ''}`}
        aria-pressed={chosen}
        transform={laid.transform}
        style={{ cursor: p.locked ? 'default' : 'grab' }}
        onPointerDown={(e) => onBegin(e, p)}
        onFocus={() => onChoose(p.id)}
      >
        {laid.shadow && (
          <path
            d={laid.shadow}
            transform="translate(.3 .45)"
            fill="#3b2f1e"
            opacity={whole && isStrip(whole.kind) ? 0.04 : 0.13}
          />
        )}
        {whole && <Face piece={whole} placement={p} laid={laid} />}
        <rect className="ring" width={p.w} height={p.h} rx="1" fill="transparent" />
        {p.locked && (
          <g transform={`translate(${num(p.w - 3.4)} .6)`}>
            <circle cx="1.4" cy="1.4" r="1.7" fill="#fff" />
            <path
              d="M.7 1.3h1.4v1.1H.7zM.95 1.3V.9a.45.45 0 0 1 .9 0v.4"
              fill="none"
              stroke={GLASS.bottle}
              strokeWidth=".28"
            />
          </g>
        )}
      </g>
      <g transform={laid.transform} pointerEvents="none" aria-hidden dangerouslySetInnerHTML={{ __html: written }} />
      {fresh && <Frame around={f} color={GLASS.cobalt} dashed testId="fresh" />}
      {chosen && <Frame around={f} color={GLASS.amber} testId="chosen" />}
    </g>
  );
});

/** A line round a piece, a little off its edge. */
function Frame(props: { around: Rect; color: string; dashed?: boolean; testId: string }) {
  const { around: r, color, dashed, testId } = props;
  return (
    <rect
      x={r.x - 0.7}
      y={r.y - 0.7}
      width={r.w + 1.4}
      height={r.h + 1.4}
      rx="1.2"
      fill="none"
      stroke={color}
      strokeWidth={dashed ? 0.7 : 0.9}
      strokeDasharray={dashed ? '1.6 1.2' : undefined}
      pointerEvents="none"
      data-testid={testId}
    />
  );
}
