'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { sayDeed } from '../../core/edit/say-deed';
import { sayScore } from '../../core/review/say-score';
import type { Score } from '../../core/review/score';
import { spokenWeek } from '../../core/week/day-names';
import { TopBar } from '../TopBar';
import { UndoRedo } from '../UndoRedo';
import { SAID } from '../patient-queue';
import { useVoice } from './review-context';
import { useSpread } from './store';
import { Hint } from '../Hint';

/** The week, whether it is saved, what can be taken back, and the two acts of the main job. */
export function Head({ score }: { score: Score | null }) {
  const id = useSpread((s) => s.data.id);
  const days = useSpread((s) => s.context.week.days);
  const history = useSpread((s) => s.history);
  const saving = useSpread((s) => s.saving);
  const travel = useSpread((s) => s.travel);
  const arrange = useSpread((s) => s.arrange);
  const busy = useSpread((s) => s.busy);
  const any = useSpread((s) => s.placements.length > 0);
  const voice = useVoice();
  return (
    <TopBar
      title={
        <>
          <Typography variant="h3" component="h1" noWrap sx={{ fontSize: 17 }}>
            {spokenWeek(days)}
          </Typography>
          <Typography variant="caption" aria-live="polite" data-testid="saved" sx={{ opacity: 0.9 }}>
            {busy ?? SAID[saving]}
          </Typography>
          {score !== null && (
            <Hint title={sayScore(score)}>
              <Typography variant="caption" sx={{ opacity: 0.9, display: { xs: 'none', sm: 'inline' } }}>
                score {Math.round(score.total)}
              </Typography>
            </Hint>
          )}
        </>
      }
    >
      <UndoRedo
        undo={history.undo && sayDeed(history.undo, voice)}
        redo={history.redo && sayDeed(history.redo, voice)}
        onStep={travel}
      />
      <Button
        variant={any ? 'outlined' : 'contained'}
        color={any ? 'inherit' : 'secondary'}
        sx={any ? { background: 'transparent', borderColor: '#ffffff66' } : {}}
        onClick={() => arrange('rest')}
        disabled={!!busy}
      >
        {any ? 'Arrange the rest' : 'Arrange the week'}
      </Button>
      {any && (
        <Button component={Link} href={`/spreads/${id}/bench`} variant="contained" color="secondary">
          To the bench
        </Button>
      )}
    </TopBar>
  );
}
