'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPrinter } from '../icons';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { CAUTIONS } from '../../core/bench/cautions';
import type { OwnPace } from '../../core/bench/pace';
import { sayGroup } from '../../core/bench/say-group';
import { measuresOf } from '../../core/bench/measures';
import { sayAlike, sayNumbers } from '../../core/bench/alike';
import { sayLacking } from '../../core/format/say-lacking';
import { spokenWeek } from '../../core/week/day-names';
import type { TypingHabits } from '../../core/week/typed/habits';
import type { SpreadData } from '../../server/spread-data';
import { Dots } from '../Dots';
import { hasItsOwnKey, isCovered } from '../keys/free';
import { later } from '../later';
import { GLASS, PHONE } from '../theme';
import { SAID } from '../patient-queue';
import { Messages } from '../screen/Messages';
import { SavedNote, Screen } from '../screen/Screen';
import { RunList } from './RunList';
import { RunPicture } from './RunPicture';
import { StepPicture } from './StepPicture';
import { useAwake } from './use-awake';
import type { AtBench } from './use-bench';
import { useBench } from './use-bench';
import { WrongMenu } from './WrongMenu';

/** Drawn in the browser only: sending every sticker's drawing with the page would triple its weight. */
const PieceDefs = dynamic(() => import('../sticker/PieceDefs').then((m) => m.PieceDefs), { ssr: false });
const TotalsDialog = later(() => import('./TotalsDialog').then((m) => m.TotalsDialog));
const EndCard = later(() => import('./EndCard').then((m) => m.EndCard));

const TENTHS = 10;

interface BenchProps {
  readonly spread: SpreadData;
  readonly ticked: readonly string[];
  readonly pace: OwnPace;
  /** correction tape in the house, m; null: nobody counts it */
  readonly tape: number | null;
  readonly next: { readonly week: string; readonly spreadId: number | null };
  readonly today: string;
  /** how a typed line is read */
  readonly typing: TypingHabits;
  /** letters of its texts that no font here has */
  readonly lacking: readonly string[];
}

const CameUpDialog = later(() => import('./CameUpDialog').then((m) => m.CameUpDialog));

/** One step at a time, big, or a whole group, beside the list of all; what is done is ticked and stays ticked. */
export function BenchScreen({ spread, ticked, pace, tape, next, today, typing, lacking }: BenchProps) {
  const at = useBench(spread, ticked);
  const { context, bench, said, message } = at;
  const pieces = [context.kit, ...context.stash].flatMap((k) => k.pieces);
  const [totals, setTotals] = useState(false);
  const [came, setCame] = useState(false);
  const inches = context.book.unit === 'in'; // who measures in inches mostly has such paper
  useAwake();
  useBenchKeys(at);
  const count = bench.steps.filter((s) => at.done.has(s.key)).length;
  return (
    <Screen
      fill
      title={<>Bench · {spokenWeek(context.week.days)}</>}
      note={
        <>
          <Typography
            variant="caption"
            data-testid="progress"
            sx={(theme) => ({
              opacity: 0.85,
              // where there is no room for it the dots say it
              [theme.breakpoints.down('lg')]: {
                position: 'absolute',
                width: '1px',
                height: '1px',
                clipPath: 'inset(50%)',
              },
            })}
          >
            {count} of {bench.steps.length} steps done
          </Typography>
          <SavedNote testId="saved">{SAID[at.saveStatus]}</SavedNote>
        </>
      }
      acts={
        <>
          {bench.steps.length > 0 && (
            <Button color="inherit" onClick={() => setTotals(true)}>
              Before the knife
            </Button>
          )}
          {bench.steps.length > 0 && (
            <Button color="inherit" onClick={() => setCame(true)}>
              It came up
            </Button>
          )}
          <Button color="inherit" component={Link} href={`/make?spread=${spread.id}`}>
            Make pieces
          </Button>
          <Button color="inherit" component={Link} href={`/spreads/${spread.id}`}>
            Back to the spread
          </Button>
          <Button
            color="inherit"
            variant="outlined"
            sx={{ background: 'transparent', borderColor: '#ffffff66' }}
            startIcon={<IconPrinter size={18} />}
            href={`/spreads/${spread.id}/print?paper=${inches ? 'Letter' : 'A4'}`}
            target="_blank"
          >
            Print at 100 %
          </Button>
          <Button
            color="inherit"
            sx={{ minWidth: 0, px: 1 }}
            href={`/spreads/${spread.id}/print?paper=${inches ? 'A4' : 'Letter'}`}
            target="_blank"
          >
            on {inches ? 'A4' : 'Letter'}
          </Button>
        </>
      }
    >
      <PieceDefs pieces={pieces} />
      {came && (
        <CameUpDialog
          spreadId={spread.id}
          from={context.week.days.includes(today) ? today : (context.week.days[0] as string)}
          typing={typing}
          onClose={() => setCame(false)}
        />
      )}
      {lacking.length > 0 && <Messages of={[sayLacking(lacking)]} severity="info" across />}
      {said && (
        <Alert severity="success" onClose={at.hush} sx={{ borderRadius: 0 }}>
          {said}
        </Alert>
      )}
      {message && (
        <Alert severity="error" onClose={at.hush} sx={{ borderRadius: 0 }}>
          {message}
        </Alert>
      )}
      {bench.steps.length === 0 ? (
        <Box sx={{ p: 6 }}>
          <Typography variant="h1">Nothing to do yet</Typography>
          <Typography sx={{ my: 2 }}>
            Lay the week out first; then the bench says what to white out, cut, place and write.
          </Typography>
          <Button component={Link} href={`/spreads/${spread.id}`} variant="contained" color="secondary">
            To the spread
          </Button>
        </Box>
      ) : (
        <Box
          sx={{
            flex: 1,
            minHeight: 0,
            display: 'flex',
            flexDirection: { xs: 'column-reverse', md: 'row' },
            '@media (orientation: portrait)': { flexDirection: 'column-reverse' },
            // on a phone they are one page: the step, then the list of all
            [PHONE]: { flexDirection: 'column', overflowY: 'auto' },
          }}
        >
          <RunList at={at} />
          <Box
            component="main"
            sx={{
              flex: 1,
              minWidth: 0,
              p: { xs: 2, md: 3 },
              display: 'flex',
              flexDirection: 'column',
              gap: 1.5,
              minHeight: 0,
              overflow: 'auto',
              [PHONE]: { flex: '0 0 auto', overflow: 'visible' },
            }}
          >
            {at.step ? <AtHand at={at} count={count} /> : <EndCard at={at} spread={spread} next={next} />}
          </Box>
        </Box>
      )}
      {totals && <TotalsDialog at={at} pace={pace} tape={tape} onClose={() => setTotals(false)} />}
    </Screen>
  );
}

/** The step at hand, or its whole group. */
function AtHand({ at, count }: { at: AtBench; count: number }) {
  const { bench, voice, step, run, together, whole, done } = at;
  if (!step || !run) return null;
  const open = run.steps.filter((s) => !done.has(s.key)).length;
  const caution = CAUTIONS[step.do];
  const many = run.steps.length > 1;
  const all = count === bench.steps.length;
  const left = whole ? open : together.filter((s) => !done.has(s.key)).length;
  const mainAct = all ? 'Every step is done' : left === 0 ? 'Next' : left > 1 ? `All ${left} done, next` : 'Done, next';
  return (
    <>
      <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', flexWrap: { xs: 'wrap', sm: 'nowrap' } }}>
        <Box sx={{ flex: { xs: '1 1 100%', sm: 1 }, minWidth: 0 }}>
          <Dots
            raised={Math.floor((count / bench.steps.length) * TENTHS)}
            hollow={TENTHS - Math.floor((count / bench.steps.length) * TENTHS)}
            size={11}
            label={`${count} of ${bench.steps.length} steps done`}
          />
          <Typography color="text.secondary" sx={{ mt: 0.5 }}>
            {whole
              ? `${run.steps.length} steps`
              : `${sayGroup(voice, run.group)} · ${together.length > 1 ? 'steps' : 'step'} ${sayNumbers(together)} of ${bench.steps.length}`}
          </Typography>
          <Typography
            variant="h1"
            component="h2"
            sx={{ fontSize: { xs: 24, lg: 29 }, lineHeight: 1.25, maxWidth: 900 }}
            data-testid="say"
          >
            {whole ? sayGroup(voice, run.group) : sayAlike(together, voice, measuresOf(voice.context, bench))}
          </Typography>
        </Box>
        <Box
          sx={{
            display: 'flex',
            flexDirection: 'column',
            gap: 1,
            alignItems: 'stretch',
            flexShrink: 0,
            width: { xs: '100%', sm: 'auto' },
          }}
        >
          <Button
            variant="contained"
            color="secondary"
            size="large"
            onClick={all ? () => at.go(bench.steps.length) : at.next}
            sx={{ fontSize: 18, py: 1.25 }}
          >
            {mainAct}
          </Button>
          <Box sx={{ display: 'flex', gap: 0.5, justifyContent: 'flex-end', flexWrap: 'wrap', maxWidth: 330 }}>
            <Button onClick={at.back} disabled={at.at === 0}>
              Step before
            </Button>
            {many && (
              <Button onClick={() => at.showWhole(!whole)}>{whole ? 'One at a time' : 'The whole group'}</Button>
            )}
            {!whole && done.has(step.key) && <Button onClick={() => void at.tick([step.key], false)}>Not done</Button>}
            {!whole && <WrongMenu at={at} />}
          </Box>
        </Box>
      </Box>
      {caution && (step.do !== 'place' || bench.steps.find((s) => s.do === 'place') === step) && (
        <Typography
          role="note"
          sx={{ color: GLASS.cranberry, borderLeft: `4px solid ${GLASS.cranberry}`, pl: 1.5, maxWidth: 900 }}
        >
          {caution}
        </Typography>
      )}
      {whole ? <RunPicture at={at} run={run} /> : <StepPicture context={at.context} bench={bench} step={step} />}
    </>
  );
}

/** A box to tick that has the focus has no use for these keys. */
const TICKS_TOO = { enableOnFormTags: ['input'] } as const;

function useBenchKeys(at: AtBench): void {
  const step = (e: KeyboardEvent, act: () => void) => {
    if (isCovered() || e.altKey || (e.target as HTMLElement).matches('[role="combobox"]')) return;
    e.preventDefault();
    act();
  };
  const free = (e: KeyboardEvent, act: () => void) => {
    // a button that has the focus does its own act
    if (hasItsOwnKey(e) || isCovered()) return;
    e.preventDefault();
    act();
  };
  useHotkeys('space, enter', (e) => free(e, at.next), [at]);
  useHotkeys('up, left', (e) => step(e, at.back), TICKS_TOO, [at]);
  useHotkeys('down, right', (e) => step(e, () => at.go(at.at + 1)), TICKS_TOO, [at]);
  useHotkeys('g', (e) => step(e, () => at.showWhole(!at.whole)), TICKS_TOO, [at]);
  useHotkeys('backspace, delete', (e) => free(e, () => at.step && void at.tick([at.step.key], false)), [at]);
  useHotkeys('w', (e) => step(e, () => document.getElementById('wrong')?.click()), TICKS_TOO, [at]);
}
