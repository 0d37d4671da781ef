import ButtonBase from '@mui/material/ButtonBase';
import type { ReactNode } from 'react';
import { GLASS } from '../../theme';

/** One of several ways on, which the book shows while the pointer or the focus is on it. */
export function Choice(props: {
  onTake: () => void;
  onLook: (on: boolean) => void;
  testId?: string;
  label?: string;
  children: ReactNode;
}) {
  const { onTake, onLook, testId, label, children } = props;
  return (
    <ButtonBase
      onClick={onTake}
      onMouseEnter={() => onLook(true)}
      onMouseLeave={() => onLook(false)}
      onFocus={() => onLook(true)}
      onBlur={() => onLook(false)}
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
