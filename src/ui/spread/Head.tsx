'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { sayDeed } from '../../core/edit/say-deed';
import { sayScore } from '../../core/review/say-score';
import type { Score } from '../../core/review/score';
import { SavedNote } from '../screen/Screen';
import { UndoRedo } from '../UndoRedo';
import { SAID } from '../patient-queue';
import { Past } from './Past';
import { useVoice } from './review-context';
import { useSpread } from './store';
import { Hint } from '../Hint';

/** Beside the week: whether it is saved, and how it stands. */
export function HeadNote({ score }: { score: Score | null }) {
  const saving = useSpread((s) => s.saving);
  const busy = useSpread((s) => s.busy);
  return (
    <>
      <SavedNote testId="saved">{busy ?? SAID[saving]}</SavedNote>
      {score !== null && (
        <Hint title={sayScore(score)}>
          <Typography variant="caption" sx={{ opacity: 0.9, display: { xs: 'none', sm: 'inline' } }}>
            score {Math.round(score.total)}
          </Typography>
        </Hint>
      )}
    </>
  );
}

/** What can be taken back, and the two acts of the main job. */
export function HeadActs() {
  const id = useSpread((s) => s.data.id);
  const history = useSpread((s) => s.history);
  const travel = useSpread((s) => s.travel);
  const arrange = useSpread((s) => s.arrange);
  const busy = useSpread((s) => s.busy);
  const any = useSpread((s) => s.placements.length > 0);
  const voice = useVoice();
  return (
    <>
      <UndoRedo
        undo={history.undo && sayDeed(history.undo, voice)}
        redo={history.redo && sayDeed(history.redo, voice)}
        onStep={travel}
      />
      <Past />
      <Button
        variant={any ? 'outlined' : 'contained'}
        color={any ? 'inherit' : 'secondary'}
        sx={any ? { background: 'transparent', borderColor: '#ffffff66' } : {}}
        onClick={() => arrange('rest')}
        disabled={!!busy}
      >
        {any ? 'Place what’s left' : 'Arrange the week'}
      </Button>
      {any && (
        <Button component={Link} href={`/spreads/${id}/bench`} variant="contained" color="secondary">
          To the bench
        </Button>
      )}
    </>
  );
}
