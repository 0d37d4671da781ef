'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import { IconPrinter } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useCallback, useMemo, useState } from 'react';
import { useRouter } from 'next/navigation';
import { mend } from '../../server/repair-actions';
import { useHotkeys } from 'react-hotkeys-hook';
import { contextFrom } from '../../core/spread/context';
import { CAUTIONS } from '../../core/bench/cautions';
import { benchOf } from '../../core/bench/bench';
import { sayStep } from '../../core/bench/say-step';
import { voiceOf } from '../../core/spread/voice';
import { sayMended } from '../spread/store/messages';
import { tapeLength } from '../../core/bench/white-out';
import { spokenWeek } from '../../core/week/day-names';
import { tickSteps } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { hasItsOwnKey } from '../keys/free';
import { Dots } from '../Dots';
import { GLASS } from '../theme';
import { TopBar } from '../TopBar';
import { StepList } from './StepList';
import { StepPicture } from './StepPicture';

/** Drawn in the browser only: sending every sticker's drawing with the page would triple its weight. */
const PieceDefs = dynamic(() => import('../sticker/PieceDefs').then((m) => m.PieceDefs), { ssr: false });

const TENTHS = 10;

/** One step at a time, big, beside the list of all; what is done is ticked and stays ticked. */
export function BenchScreen({ spread, ticked }: { spread: SpreadData; ticked: readonly string[] }) {
  const context = useMemo(() => contextFrom(spread.context), [spread]);
  const bench = useMemo(() => benchOf(context, spread.placements), [context, spread]);
  const voice = useMemo(() => voiceOf(context, spread.placements), [context, spread]);
  const pieces = useMemo(() => [context.kit, ...context.stash].flatMap((k) => k.pieces), [context]);
  const [done, setDone] = useState<ReadonlySet<string>>(() => new Set(ticked));
  const router = useRouter();
  const [mending, setMending] = useState(false);
  const [said, setSaid] = useState<string | null>(null);
  const [message, setMessage] = useState<string | null>(null);
  const [at, setAt] = useState(() =>
    Math.max(
      0,
      bench.steps.findIndex((s) => !ticked.includes(s.key)),
    ),
  );
  const step = bench.steps[at];
  const count = bench.steps.filter((s) => done.has(s.key)).length;

  const tick = useCallback(
    async (key: string, on: boolean) => {
      const set = (value: boolean) =>
        setDone((before) => {
          const next = new Set(before);
          if (value) next.add(key);
          else next.delete(key);
          return next;
        });
      set(on);
      const saved = await tickSteps({ spreadId: spread.id, steps: [key], done: on }).catch(() => null);
      if (saved?.ok) return setMessage(null);
      set(!on);
      setMessage(saved ? saved.messages.join(' ') : 'The server could not be reached; the tick was not kept.');
    },
    [spread.id],
  );

  const sticker = step && (step.do === 'place' || step.do === 'stack') ? step.refs[0] : undefined;
  const mishap = async (what: 'spoiled' | 'out') => {
    setMending(true);
    const made = await mend({ spreadId: spread.id, placement: sticker, what }).catch(() => null);
    setMending(false);
    if (!made?.ok)
      return setMessage(made ? made.messages.join(' ') : 'The server could not be reached; nothing was changed.');
    setMessage(null);
    setSaid(sayMended(made.value.repair, voice));
    router.refresh();
  };

  const next = () => {
    if (!step) return;
    void tick(step.key, true);
    setAt(Math.min(at + 1, bench.steps.length - 1));
  };
  useHotkeys(
    'space, enter',
    (e) => {
      // a button that has the focus does its own act
      if (hasItsOwnKey(e)) return;
      e.preventDefault();
      next();
    },
    [step, at],
  );
  useHotkeys('up, left', (e) => {
    e.preventDefault();
    setAt((n) => Math.max(0, n - 1));
  });
  useHotkeys(
    'down, right',
    (e) => {
      e.preventDefault();
      setAt((n) => Math.min(bench.steps.length - 1, n + 1));
    },
    [bench],
  );

  return (
    <Box sx={{ height: '100vh', display: 'flex', flexDirection: 'column' }}>
      <PieceDefs pieces={pieces} />
      <TopBar
        title={
          <>
            <Typography variant="h3" component="h1" sx={{ fontSize: 17 }}>
              Bench · {spokenWeek(context.week.days)}
            </Typography>
            <Typography variant="caption" data-testid="progress" sx={{ opacity: 0.85 }}>
              {count} of {bench.steps.length} steps done
            </Typography>
          </>
        }
      >
        <Button color="inherit" component={Link} href={`/spreads/${spread.id}`}>
          Back to the spread
        </Button>
        <Button
          color="inherit"
          variant="outlined"
          sx={{ background: 'transparent', borderColor: '#ffffff66' }}
          startIcon={<IconPrinter size={18} />}
          href={`/spreads/${spread.id}/print`}
          target="_blank"
        >
          Print at 100 %
        </Button>
      </TopBar>
      {said && (
        <Alert severity="success" onClose={() => setSaid(null)} sx={{ borderRadius: 0 }}>
          {said} The steps are counted anew.
        </Alert>
      )}
      {message && (
        <Alert severity="error" onClose={() => setMessage(null)}>
          {message}
        </Alert>
      )}
      {!step ? (
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
        <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
          <StepList
            steps={bench.steps}
            done={done}
            at={at}
            onGo={setAt}
            onTick={tick}
            say={(s) => sayStep(s, voice)}
            facts={{ tape: tapeLength(bench.whiteOut), cuts: bench.cuts.length, unit: context.book.unit }}
          />
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
            }}
          >
            <Box sx={{ display: 'flex', gap: 3, alignItems: 'flex-start' }}>
              <Box sx={{ flex: 1 }}>
                <Dots
                  raised={Math.floor((count / bench.steps.length) * TENTHS)}
                  hollow={TENTHS - Math.floor((count / bench.steps.length) * TENTHS)}
                  size={11}
                  label={`${count} of ${bench.steps.length} steps done`}
                />
                <Typography
                  variant="h1"
                  component="h2"
                  sx={{ mt: 1, fontSize: 24, lineHeight: 1.3, maxWidth: 760 }}
                  data-testid="say"
                >
                  {sayStep(step, voice)}
                </Typography>
              </Box>
              <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1, alignItems: 'stretch' }}>
                <Button variant="contained" color="secondary" size="large" onClick={next}>
                  {done.has(step.key) ? 'Next' : 'Done, next'}
                </Button>
                <Button onClick={() => setAt(Math.max(0, at - 1))} disabled={at === 0}>
                  Step before
                </Button>
                {sticker && (
                  <Button
                    disabled={mending}
                    onClick={() => {
                      void mishap('spoiled');
                    }}
                  >
                    Spoiled it
                  </Button>
                )}
                {sticker && (
                  <Button
                    disabled={mending}
                    onClick={() => {
                      void mishap('out');
                    }}
                  >
                    Out of it
                  </Button>
                )}
              </Box>
            </Box>
            {CAUTIONS[step.do] && (step.do !== 'place' || at === bench.steps.findIndex((s) => s.do === 'place')) && (
              <Typography
                role="note"
                sx={{ color: GLASS.cranberry, borderLeft: `4px solid ${GLASS.cranberry}`, pl: 1.5, maxWidth: 820 }}
              >
                {CAUTIONS[step.do]}
              </Typography>
            )}
            <StepPicture context={context} bench={bench} step={step} />
          </Box>
        </Box>
      )}
    </Box>
  );
}
