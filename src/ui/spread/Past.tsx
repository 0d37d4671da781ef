'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import IconButton from '@mui/material/IconButton';
import Popover from '@mui/material/Popover';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Change } from '../../core/edit/change';
import { sayDeed } from '../../core/edit/say-deed';
import { statesBack } from '../../core/edit/states-back';
import { changesToUndo } from '../../server/actions';
import { Hint } from '../Hint';
import { IconHistory } from '../icons';
import { reached } from '../reached';
import { GLASS } from '../theme';
import { useVoice } from './review-context';
import { useSpread } from './store';
import { useGlimpse } from './use-glimpse';
import { WeekPicture } from './WeekPicture';

/** The past of the spread as a strip of pictures: one is seen in the book while it is pointed at, and gone back to. */
export function Past() {
  const id = useSpread((s) => s.data.id);
  const any = useSpread((s) => s.history.undo !== null);
  const setGlimpse = useSpread((s) => s.setGlimpse);
  const [at, setAt] = useState<HTMLElement | null>(null);
  const [changes, setChanges] = useState<readonly Change[] | null>(null);
  const [messages, setMessages] = useState<readonly string[]>([]);
  const open = (from: HTMLElement) => {
    setAt(from);
    setChanges(null);
    void reached(() => changesToUndo({ spreadId: id })).then((answer) => {
      setMessages(answer.ok ? [] : answer.messages);
      if (answer.ok) setChanges(answer.value);
    });
  };
  const close = () => {
    setGlimpse(null);
    setAt(null);
  };
  return (
    <>
      <Hint title={any ? 'The past, as pictures' : 'Nothing to go back to'}>
        <span>
          <IconButton
            color="inherit"
            aria-label="The past, as pictures"
            aria-haspopup="dialog"
            disabled={!any}
            onClick={(e) => open(e.currentTarget)}
          >
            <IconHistory size={20} />
          </IconButton>
        </span>
      </Hint>
      <Popover
        open={at !== null}
        anchorEl={at}
        onClose={close}
        anchorOrigin={{ vertical: 'bottom', horizontal: 'left' }}
        slotProps={{
          paper: { role: 'dialog', 'aria-label': 'The past', sx: { maxWidth: 'min(900px, 94vw)' } },
          backdrop: { invisible: true },
        }}
      >
        {changes ? (
          <Strip changes={changes} onGone={close} />
        ) : (
          <Typography sx={{ p: 2 }} role="status">
            {messages[0] ?? 'Looking back…'}
          </Typography>
        )}
      </Popover>
    </>
  );
}

function Strip({ changes, onGone }: { changes: readonly Change[]; onGone: () => void }) {
  const context = useSpread((s) => s.context);
  const now = useSpread((s) => s.placements);
  const travel = useSpread((s) => s.travel);
  const voice = useVoice();
  const glimpse = useGlimpse();
  const goBack = (steps: number) => {
    for (let n = 0; n < steps; n++) travel('undo');
    onGone();
  };
  return (
    <Box component="ol" sx={{ display: 'flex', gap: 1, m: 0, p: 1.5, listStyle: 'none', overflowX: 'auto' }}>
      {statesBack(now, changes).map(({ before, placements, change }, n) => (
        <Box component="li" key={n} sx={{ flex: '0 0 176px' }}>
          <ButtonBase
            {...glimpse(change)}
            onClick={() => goBack(n + 1)}
            aria-label={`Go back ${n + 1}, to before: ${sayDeed(before, voice)}`}
            sx={{
              width: 1,
              display: 'block',
              textAlign: 'left',
              p: 0.75,
              borderRadius: 1,
              border: `1px solid ${GLASS.edge}`,
              '&:hover': { background: GLASS.bottleSoft },
            }}
          >
            <Box aria-hidden>
              <WeekPicture context={context} placements={placements} tiny />
              <Typography variant="caption" component="p" sx={{ lineHeight: 1.3, mt: 0.5 }}>
                Before: {sayDeed(before, voice)}
              </Typography>
            </Box>
          </ButtonBase>
        </Box>
      ))}
    </Box>
  );
}
