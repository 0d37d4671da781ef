'use client';

import type { KeyboardEvent } from 'react';
import { useMemo } from 'react';
import type { Change } from '../../../core/edit/change';
import type { Spot } from '../../../core/edit/spots';
import { placeAt, spotsFor } from '../../../core/edit/spots';
import type { Rect } from '../../../core/measure/rect';
import { footprint } from '../../../core/spread/placement';
import { GLASS } from '../../theme';
import { useSayOffer } from '../say-offer';
import { useSpread } from '../store';

/** A place that is offered, with what would be done there. */
interface Offered extends Rect {
  readonly key: string;
  readonly say: string;
  readonly cut: boolean;
  readonly first: boolean;
  readonly take: () => void;
  readonly look: Change | null;
}

/** Where what is in hand may go: a sticker from its sheet, or an item that has no place. */
export function Spots({ page }: { page: number }) {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const picked = useSpread((s) => s.picked);
  const offers = useSpread((s) => s.offers);
  const edit = useSpread((s) => s.edit);
  const select = useSpread((s) => s.select);
  const setGlimpse = useSpread((s) => s.setGlimpse);
  const sayOffer = useSayOffer();
  const spots = useMemo(() => (picked ? spotsFor(context, placements, picked) : []), [picked, context, placements]);
  const lay = (change: Change | null) => {
    edit(change);
    select(change?.after.at(-1)?.id ?? null);
  };
  const offered: Offered[] = picked
    ? spots.flatMap((spot: Spot, i) =>
        spot.page === page
          ? [
              {
                ...spot,
                key: `${spot.x}-${spot.y}`,
                cut: spot.cut !== null,
                first: i === 0,
                take: () => lay(placeAt(context, placements, picked, spot)),
                look: null,
              },
            ]
          : [],
      )
    : (offers ?? []).flatMap((o, i) =>
        o.base?.page === page && (offers ?? []).findIndex((x) => x.day === o.day) === i
          ? [
              {
                ...footprint(o.base),
                key: `offer-${i}`,
                say: sayOffer(o),
                cut: false,
                first: i === 0,
                take: () => lay(o.change),
                look: o.change,
              },
            ]
          : [],
      );
  return offered.map((spot) => (
    <g
      key={spot.key}
      id={spot.first ? 'first-spot' : undefined}
      role="button"
      tabIndex={0}
      aria-label={`Lay it here. ${spot.say}`}
      data-testid="spot"
      style={{ cursor: 'copy' }}
      onClick={spot.take}
      onFocus={() => spot.look && setGlimpse(spot.look)}
      onBlur={() => spot.look && setGlimpse(null)}
      onKeyDown={(e: KeyboardEvent) => {
        if (e.key !== 'Enter' && e.key !== ' ') return;
        e.preventDefault();
        spot.take();
      }}
    >
      <title>{spot.say}</title>
      <rect
        className="ring"
        x={spot.x}
        y={spot.y}
        width={spot.w}
        height={spot.h}
        rx="1"
        fill={GLASS.amber}
        fillOpacity=".16"
        stroke={GLASS.amber}
        strokeWidth=".6"
        strokeDasharray="2 1.2"
      />
      {spot.cut && (
        <text
          x={spot.x + spot.w / 2}
          y={spot.y + spot.h / 2 + 1.2}
          fontSize="3.2"
          textAnchor="middle"
          fill={GLASS.amberDeep}
          fontWeight="600"
        >
          trim
        </text>
      )}
    </g>
  ));
}
