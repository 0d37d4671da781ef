import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import type { Change } from '../../../core/edit/change';
import { GLASS } from '../../theme';
import { useGlimpse } from '../use-glimpse';

/** One of several ways on, which the book shows while the pointer or the focus is on it. */
export function Choice(props: {
  onTake: () => void;
  change: Change | null;
  testId?: string;
  label?: string;
  children: ReactNode;
}) {
  const { onTake, change, testId, label, children } = props;
  const glimpse = useGlimpse();
  return (
    <ButtonBase
      onClick={onTake}
      {...glimpse(change)}
      {...(testId ? { 'data-testid': testId } : {})}
      {...(label ? { 'aria-label': label } : {})}
      sx={{
        display: 'flex',
        width: '100%',
        justifyContent: 'flex-start',
        textAlign: 'left',
        gap: 1,
        fontSize: 12.5,
        px: 1,
        py: 0.5,
        mb: 0.5,
        borderRadius: 1.5,
        border: `1px solid ${GLASS.edge}`,
        '&:hover, &.Mui-focusVisible': { borderColor: GLASS.amber, background: GLASS.milk },
      }}
    >
      {children}
    </ButtonBase>
  );
}
