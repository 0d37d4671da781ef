'use client';

import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { sayReason } from '../../../core/review/say-missing';
import type { Demand } from '../../../core/week/demand';
import { writtenText } from '../../../core/week/demand';
import { longDay } from '../../../core/week/day-names';
import { useReview, useVoice } from '../review-context';
import { useSayOffer } from '../say-offer';
import { useSpread } from '../store';
import type { Way } from '../../../core/repair/let-in';
import { Choice } from './Choice';
import { Picture } from './Picture';

/** Places that are said alike are one choice. */
const isFirstOfItsWords =
  (say: (way: Way) => string) =>
  (way: Way, i: number, all: readonly Way[]): boolean =>
    all.findIndex((other) => say(other) === say(way)) === i;

/** An item without a place: where it could go, and on what, best first. */
export function ItemInHand({ demand }: { demand: Demand }) {
  const days = useSpread((s) => s.context.week.days);
  const offers = useSpread((s) => s.offers);
  const edit = useSpread((s) => s.edit);
  const select = useSpread((s) => s.select);
  const { view } = useReview();
  const voice = useVoice();
  const sayOffer = useSayOffer();
  const missing = view.unplaced.find((u) => u.demand.key === demand.key);
  return (
    <>
      <Typography variant="h3" sx={{ pr: 3, overflowWrap: 'anywhere' }}>
        {writtenText(demand).slice(0, 120)}
      </Typography>
      <Typography variant="caption" color="text.secondary" component="p" sx={{ mb: 0.75 }}>
        {longDay(days[demand.day] as string)}
        {demand.kind === 'band' ? '; a band is laid by “Place what’s left”' : ''}
      </Typography>
      {demand.kind !== 'band' && offers === null && (
        <Typography variant="caption" color="text.secondary" sx={{ display: 'flex', gap: 1, alignItems: 'center' }}>
          <CircularProgress size={12} /> looking for places…
        </Typography>
      )}
      {offers?.length === 0 && (
        <Typography variant="body2" color="text.secondary">
          {missing && view.placements.length > 0 ? sayReason(missing, voice) : 'It fits nowhere in the week.'}
        </Typography>
      )}
      {offers?.filter(isFirstOfItsWords(sayOffer)).map((o) => {
        const piece = o.base && view.pieceOf(o.base);
        return (
          <Choice
            key={`${o.day}-${o.height}`}
            testId="offer"
            onTake={() => {
              edit(o.change);
              select(o.base?.id ?? null);
            }}
            change={o.change}
          >
            {piece && <Picture piece={piece} size={38} />}
            <span>{sayOffer(o)}</span>
          </Choice>
        );
      })}
    </>
  );
}
