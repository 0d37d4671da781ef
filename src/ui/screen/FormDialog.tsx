import Button from '@mui/material/Button';
import type { Breakpoint } from '@mui/material/styles';
import type { SxProps, Theme } from '@mui/material/styles';
import Dialog from '@mui/material/Dialog';
import DialogActions from '@mui/material/DialogActions';
import DialogContent from '@mui/material/DialogContent';
import DialogTitle from '@mui/material/DialogTitle';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useRef, useState } from 'react';
import { Messages } from './Messages';

/** What a dialog is there for. */
interface Act {
  readonly label: ReactNode;
  readonly run: () => void | Promise<void>;
  readonly disabled?: boolean;
  /** it takes something away */
  readonly removes?: boolean;
}

interface FormDialogProps {
  readonly title: ReactNode;
  readonly size?: Breakpoint;
  readonly act?: Act;
  /** what leads back without it; null where the main act does */
  readonly cancel?: string | null;
  /** at the foot, on the left: what else can be done, or how far it is */
  readonly aside?: ReactNode;
  /** at the foot, before the main act */
  readonly others?: ReactNode;
  readonly messages?: readonly string[];
  readonly onClose: () => void;
  /** nothing is lost when it is closed: it closes at once */
  readonly plain?: boolean;
  /** what was brought in and is not stored, beside what was typed; left out: nothing */
  readonly unsaved?: boolean;
  /** it cannot be closed now */
  readonly held?: boolean;
  /** of what it holds; left out: one below the other */
  readonly sx?: SxProps<Theme>;
  readonly children: ReactNode;
}

/**
 * Every dialog: what it is, what is filled in, what went wrong, the way back and the one main act. Escape, or a click
 * beside it, asks before what was written is thrown away.
 */
export function FormDialog(props: FormDialogProps) {
  const { title, size = 'sm', act, cancel = act ? 'Cancel' : 'Close', aside, others, messages = [], onClose } = props;
  const { plain = false, unsaved = false, held = false, sx = {}, children } = props;
  const touched = useRef(false);
  const [asking, setAsking] = useState(false);
  const touch = () => (touched.current = !plain);
  const close = () => {
    if (held) return;
    if (unsaved || touched.current) setAsking(true);
    else onClose();
  };
  return (
    <Dialog open onClose={close} onInput={touch} onChange={touch} maxWidth={size} fullWidth>
      <DialogTitle>{title}</DialogTitle>
      <DialogContent
        sx={
          [{ display: 'flex', flexDirection: 'column', gap: 2, pt: '8px !important' }, ...[sx].flat()] as SxProps<Theme>
        }
      >
        {children}
        <Messages of={messages} />
      </DialogContent>
      <DialogActions sx={{ px: 3, pb: 2.5, flexWrap: 'wrap', gap: 1 }}>
        {aside !== undefined && <span style={{ marginRight: 'auto' }}>{aside}</span>}
        {cancel !== null && (
          <Button onClick={onClose} disabled={held} autoFocus={!act || act.removes === true}>
            {cancel}
          </Button>
        )}
        {others}
        {act && (
          <Button
            variant="contained"
            color={act.removes ? 'error' : 'secondary'}
            disabled={act.disabled ?? false}
            onClick={() => void act.run()}
          >
            {act.label}
          </Button>
        )}
      </DialogActions>
      {asking && (
        <FormDialog
          plain
          size="xs"
          title="Close without saving?"
          cancel="Go on writing"
          onClose={() => setAsking(false)}
          act={{ label: 'Close, and lose it', removes: true, run: onClose }}
        >
          <Typography>What you wrote here is not saved yet.</Typography>
        </FormDialog>
      )}
    </Dialog>
  );
}
