'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import { spokenName } from '../../core/kit/kit';
import { longDay } from '../../core/week/day-names';
import { later } from '../later';
import { useSpread } from './store';
import { Messages } from '../screen/Messages';

const LinearProgress = later(() => import('@mui/material/LinearProgress').then((m) => m.default));

/** What is said of what was done, is being done, or was refused, over the book. */
export function Notices() {
  const context = useSpread((s) => s.context);
  const busy = useSpread((s) => s.busy);
  const cancel = useSpread((s) => s.cancel);
  const messages = useSpread((s) => s.messages);
  const said = useSpread((s) => s.said);
  const before = useSpread((s) => s.mannerBefore);
  const astray = useSpread((s) => s.astray);
  const dismiss = useSpread((s) => s.dismiss);
  const setManner = useSpread((s) => s.setManner);
  const followSticker = useSpread((s) => s.followSticker);
  const stray = astray && context.week.demands.find((d) => d.key === astray.key);
  const plain = { borderRadius: 0, py: 0 } as const;
  return (
    <>
      {busy && (
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, px: 1.5, py: 0.25 }}>
          <LinearProgress color="secondary" aria-label={busy} sx={{ flex: 1 }} />
          <Button size="small" onClick={cancel}>
            Cancel
          </Button>
        </Box>
      )}
      <Messages across severity="warning" of={messages} onClose={dismiss} />
      {said && (
        <Alert severity="success" onClose={dismiss} sx={plain}>
          {said}
        </Alert>
      )}
      {stray && (
        <Alert
          severity="info"
          sx={plain}
          data-testid="astray"
          action={
            <>
              <Button color="inherit" size="small" onClick={followSticker}>
                Move it in the agenda too
              </Button>
              <Button color="inherit" size="small" onClick={dismiss}>
                Only the sticker
              </Button>
            </>
          }
        >
          “{stray.title.slice(0, 60)}” lies on {longDay(context.week.days[astray.day] as string)} now; the agenda has it
          on {longDay(context.week.days[stray.day] as string)}.
        </Alert>
      )}
      {before && !said && (
        <Alert
          severity="info"
          action={
            <>
              <Button
                color="inherit"
                size="small"
                onClick={() => {
                  setManner(before);
                  dismiss();
                }}
              >
                Back to {spokenName(before.school)}
              </Button>
              <Button color="inherit" size="small" onClick={dismiss}>
                OK
              </Button>
            </>
          }
          sx={plain}
        >
          Laid out in {spokenName(context.manner.name)} from here on.
        </Alert>
      )}
    </>
  );
}
