import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import type { Alternative } from '../../../core/compare/alternatives';
import type { Context } from '../../../core/spread/placement';
import { shortDay } from '../../../core/week/day-names';
import { GLASS } from '../../theme';
import { WeekPicture } from '../WeekPicture';

interface WayCardProps {
  readonly n: number;
  readonly way: Alternative;
  readonly context: Context;
  /** of each day the number of the way it is taken from */
  readonly from: readonly number[];
  readonly onFrom: (from: readonly number[]) => void;
  /** it is pointed at, or no more */
  readonly onPoint: (at: boolean) => void;
  readonly onLike: () => void;
  readonly onUnlike: () => void;
}

/** One way to lay the week out: taken whole, or some of its days. */
export function WayCard({ n, way, context, from, onFrom, onPoint, onLike, onUnlike }: WayCardProps) {
  const isWhole = from.every((f) => f === n);
  return (
    <Box
      component="section"
      aria-label={`Way ${n + 1}`}
      onPointerEnter={() => onPoint(true)}
      onPointerLeave={() => onPoint(false)}
      onFocus={() => onPoint(true)}
      onBlur={() => onPoint(false)}
      sx={{
        display: 'flex',
        flexDirection: 'column',
        gap: 0.5,
        p: 1,
        borderRadius: 2,
        border: `1.5px solid ${from.includes(n) ? GLASS.bottle : GLASS.edge}`,
        background: isWhole ? GLASS.bottleSoft : 'transparent',
        minWidth: 0,
      }}
    >
      <Box sx={{ position: 'relative' }}>
        <WeekPicture context={context} placements={way.placements} tiny />
        <ButtonBase
          aria-pressed={isWhole}
          aria-label={`The whole week as way ${n + 1}`}
          onClick={() => onFrom(from.map(() => n))}
          sx={{ position: 'absolute', inset: 0, borderRadius: 1 }}
        />
      </Box>
      <Typography variant="caption" sx={{ lineHeight: 1.3 }}>
        {way.says}
      </Typography>
      <Box role="group" aria-label={`Days from way ${n + 1}`} sx={{ display: 'flex', mt: 'auto' }}>
        {context.week.days.map((iso, day) => (
          <ButtonBase
            key={iso}
            aria-pressed={from[day] === n}
            aria-label={`${shortDay(iso)}, way ${n + 1}`}
            onClick={() => onFrom(from.map((f, d) => (d === day ? n : f)))}
            sx={{
              flex: 1,
              py: 0.5,
              borderRadius: 0.75,
              fontSize: 11,
              background: from[day] === n ? GLASS.bottle : GLASS.bottleSoft,
              color: from[day] === n ? '#fff' : GLASS.ink,
            }}
          >
            {shortDay(iso)}
          </ButtonBase>
        ))}
      </Box>
      <Box sx={{ display: 'flex', justifyContent: 'space-between' }}>
        <Button size="small" aria-label={`More like this, way ${n + 1}`} onClick={onLike} sx={{ px: 0.75 }}>
          More like this
        </Button>
        <Button size="small" aria-label={`Less like this, way ${n + 1}`} onClick={onUnlike} sx={{ px: 0.75 }}>
          Less
        </Button>
      </Box>
    </Box>
  );
}
