'use client';

import { footprint } from '../../../core/spread/placement';
import { intersect } from '../../../core/measure/rect';
import type { Rect } from '../../../core/measure/rect';
import { ruled } from '../../../core/measure/fraction';
import { longDay } from '../../../core/week/day-names';
import { GLASS } from '../../theme';
import { useSpread } from '../store';
import { lookAt } from './camera';

/** A stud stands for ten millimeters of column. */
const STUD = 10;
const PITCH = 3.9;

/** Over each column its gauge: studs raised for what is used, hollow for what is free. */
export function Studs({ page, whole, offset }: { page: number; whole: Rect; offset: number }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const camera = useSpread((s) => s.camera);
  const setCamera = useSpread((s) => s.setCamera);
  return (
    <g>
      <defs>
        <radialGradient id="stud" cx=".35" cy=".3" r=".8">
          <stop offset="0" stopColor="#ffffff" />
          <stop offset=".25" stopColor="#6d918b" />
          <stop offset=".75" stopColor={GLASS.bottle} />
        </radialGradient>
      </defs>
      {context.book.regions
        .filter((r) => r.kind === 'day' && r.page === page)
        .map((column) => {
          const used = usedHeight(
            placements
              .filter((p) => p.page === page && p.layer === 0)
              .flatMap((p) => intersect(footprint(p), column) ?? []),
          );
          const count = Math.max(1, Math.round(column.h / STUD));
          const raised = Math.min(count, Math.round((used / column.h) * count));
          const perRow = Math.max(1, Math.floor(column.w / PITCH));
          const start = column.x + (column.w - (Math.min(count, perRow) - 1) * PITCH) / 2;
          const label = `${longDay(context.week.days[column.day ?? 0] as string)}: ${ruled(used, context.book.unit)} of ${ruled(column.h, context.book.unit)} used`;
          return (
            <g
              key={column.id}
              role="img"
              aria-label={label}
              style={{ cursor: 'zoom-in' }}
              onClick={() =>
                setCamera(
                  camera ? null : lookAt({ ...column, x: column.x + offset, y: 0, h: column.y + column.h }, whole),
                )
              }
            >
              <title>{label}</title>
              <rect x={column.x} y={-10} width={column.w} height={9} fill="transparent" />
              {Array.from({ length: count }, (_, i) => {
                const [cx, cy] = [start + (i % perRow) * PITCH, -8 + Math.floor(i / perRow) * PITCH];
                return i < raised ? (
                  <circle key={i} cx={cx} cy={cy} r="1.45" fill="url(#stud)" />
                ) : (
                  <circle key={i} cx={cx} cy={cy} r="1.3" fill={GLASS.milk} stroke="#b9b3a4" strokeWidth=".35" />
                );
              })}
            </g>
          );
        })}
    </g>
  );
}

/** mm of column that something stands on, overlaps counted once. */
function usedHeight(blocks: readonly { y: number; h: number }[]): number {
  let [sum, end] = [0, -Infinity];
  for (const { y, h } of [...blocks].sort((a, b) => a.y - b.y)) {
    sum += Math.max(0, y + h - Math.max(end, y));
    end = Math.max(end, y + h);
  }
  return sum;
}
