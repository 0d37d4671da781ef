import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useMemo, useState } from 'react';
import { movedSince, sayLooked } from '../../../core/compare/looked';
import { contextFrom } from '../../../core/spread/context';
import { GLASS } from '../../theme';
import { useSpread } from '../store';
import { mannerParts } from '../store/manner-parts';
import { WeekPicture } from '../WeekPicture';
import type { Looks } from './use-looks';

/** The week as it would be, what is otherwise marked, and what that costs or wins; held, a button shows it as it is. */
export function LivePicture({ looks: { before, now: shown, waiting, trouble } }: { looks: Looks }) {
  const data = useSpread((s) => s.data);
  const asIs = useSpread((s) => s.context);
  const [back, setBack] = useState(false);
  const now = shown?.looked ?? null;
  const context = useMemo(
    () => shown && contextFrom({ ...data.context, ...mannerParts(data, shown.of) }),
    [data, shown],
  );
  const marked = useMemo(() => (before && now ? movedSince(before.placements, now.placements) : []), [before, now]);
  const said = before && now ? sayLooked(before, now) : [];
  const hold = (held: boolean) => () => setBack(held);
  return (
    <Box sx={{ position: 'sticky', top: 0, zIndex: 1, background: GLASS.paper, pb: 1, minWidth: 0 }}>
      <Box sx={{ background: '#EFEBE1', borderRadius: 1.5, p: 0.75, maxWidth: 560, mx: 'auto' }}>
        {!now && (
          <Skeleton variant="rounded" animation={false} sx={{ width: 1, height: 'auto', aspectRatio: '1.55' }} />
        )}
        {context &&
          now &&
          (back && before ? (
            <WeekPicture context={asIs} placements={before.placements} label="The week as it is" />
          ) : (
            <WeekPicture
              context={context}
              placements={now.placements}
              label="The week as it would be"
              marked={marked}
            />
          ))}
      </Box>
      <LinearProgress
        aria-label="Laying the week out"
        sx={{ visibility: waiting ? 'visible' : 'hidden', height: 2, maxWidth: 560, mx: 'auto' }}
      />
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 34 }}>
        <Typography variant="body2" role="status" sx={{ flex: 1 }} data-testid="looked">
          {trouble ?? (now ? (said.length ? `${capital(said.join(', '))}.` : 'The week as it is.') : '')}
        </Typography>
        <Button
          size="small"
          disabled={!said.length}
          onPointerDown={hold(true)}
          onPointerUp={hold(false)}
          onPointerLeave={hold(false)}
          onBlur={hold(false)}
          onKeyDown={(e) => (e.key === ' ' || e.key === 'Enter') && setBack(true)}
          onKeyUp={hold(false)}
        >
          Hold to see it as it is
        </Button>
      </Box>
    </Box>
  );
}

const capital = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);
