import type { ReactNode } from 'react';
import type { Point } from '../core/scan/homography';
import { useGrip } from './drag/use-grip';
import { GLASS } from './theme';

/** A point on a picture that can be dragged, or moved by arrows. */
export interface Handle {
  readonly name: string;
  /** px of the picture */
  readonly at: Point;
  readonly onMove: (to: Point) => void;
}

/** A picture with points on it that are dragged, or moved by arrows (by more with Shift). */
export function PointsOn({
  url,
  width,
  height,
  label,
  handles,
  children,
}: {
  url: string;
  width: number;
  height: number;
  label: string;
  handles: readonly Handle[];
  /** drawn between the picture and its points */
  children?: ReactNode;
}) {
  const big = Math.max(width, height);
  const move = (handle: Handle | undefined, x: number, y: number) =>
    handle?.onMove({ x: Math.max(0, Math.min(width, x)), y: Math.max(0, Math.min(height, y)) });
  const { hold, drawing } = useGrip<string>({
    onMove: ({ what, at }) =>
      move(
        handles.find((h) => h.name === what),
        at.x,
        at.y,
      ),
  });
  return (
    <svg
      {...drawing}
      viewBox={`0 0 ${width} ${height}`}
      style={{ flex: 1, minWidth: 0, minHeight: 0, maxHeight: '100%', touchAction: 'none' }}
      role="group"
      aria-label={label}
    >
      {url && <image href={url} width={width} height={height} />}
      {children}
      {handles.map((h) => (
        <circle
          key={h.name}
          cx={h.at.x}
          cy={h.at.y}
          r={big / 55}
          fill={GLASS.paper}
          fillOpacity=".6"
          stroke={GLASS.cobalt}
          strokeWidth={big / 260}
          tabIndex={0}
          role="button"
          aria-label={h.name}
          style={{ cursor: 'grab' }}
          onPointerDown={(e) => hold(e, h.name)}
          onKeyDown={(e) => {
            const by = (e.shiftKey ? 10 : 2) * (big / 1500);
            const to = new Map([
              ['ArrowLeft', [-by, 0]],
              ['ArrowRight', [by, 0]],
              ['ArrowUp', [0, -by]],
              ['ArrowDown', [0, by]],
            ]).get(e.key);
            if (!to) return;
            e.preventDefault();
            move(h, h.at.x + (to[0] as number), h.at.y + (to[1] as number));
          }}
        />
      ))}
    </svg>
  );
}
