import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useMemo } from 'react';
import { contextFrom } from '../../../core/spread/context';
import type { Placement } from '../../../core/spread/placement';
import { GLASS } from '../../theme';
import { useSpread } from '../store';
import { mannerParts } from '../store/manner-parts';
import { WeekPicture } from '../WeekPicture';

interface SchoolProps {
  readonly name: string;
  readonly says: string;
  readonly chosen: boolean;
  /** this week in it */
  readonly children?: React.ReactNode;
  readonly onChoose: () => void;
}

/** A manner to be chosen. */
export function School({ name, says, chosen, children, onChoose }: SchoolProps) {
  return (
    <ButtonBase
      role="radio"
      aria-checked={chosen}
      onClick={onChoose}
      sx={{
        width: '100%',
        display: 'block',
        textAlign: 'left',
        borderRadius: 2,
        px: 1.25,
        py: 1,
        border: `1.5px solid ${chosen ? GLASS.bottle : GLASS.edge}`,
        background: chosen ? GLASS.bottleSoft : 'transparent',
      }}
    >
      {children}
      <Typography sx={{ fontWeight: 600, fontSize: 14.5 }}>{name}</Typography>
      <Typography
        variant="caption"
        color="text.secondary"
        sx={{ display: { xs: 'none', sm: 'block' }, lineHeight: 1.3 }}
      >
        {says}
      </Typography>
    </ButtonBase>
  );
}

/** This week in a school, with its own habits. */
export function InSchool({ school, placements }: { school: string; placements: readonly Placement[] | undefined }) {
  const data = useSpread((s) => s.data);
  const context = useMemo(
    () => contextFrom({ ...data.context, ...mannerParts(data, { school, options: {}, ways: {} }) }),
    [data, school],
  );
  return (
    <Box sx={{ mb: 0.75 }}>
      {placements ? (
        <WeekPicture context={context} placements={placements} tiny />
      ) : (
        <Skeleton variant="rounded" animation={false} sx={{ width: 1, height: 'auto', aspectRatio: '1.55' }} />
      )}
    </Box>
  );
}
