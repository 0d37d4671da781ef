'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import LinearProgress from '@mui/material/LinearProgress';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import Tooltip from '@mui/material/Tooltip';
import Typography from '@mui/material/Typography';
import { IconKeyboard, IconListDetails } from '@tabler/icons-react';
import dynamic from 'next/dynamic';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { spokenName } from '../../core/kit/kit';
import { review, viewOf, withoutPlace } from '../../core/review/review';
import { parted } from '../../core/review/wave';
import { scoreOf } from '../../core/review/score';
import { spokenWeek } from '../../core/week/day-names';
import { sayDeed } from '../../core/edit/say-deed';
import { dropSpread } from '../../server/actions';
import type { SpreadData } from '../../server/spread-data';
import { GLASS } from '../theme';
import { TopBar } from '../TopBar';
import { UndoRedo } from '../UndoRedo';
import { Board } from './Board';
import { Findings } from './Findings';
import { Items } from './Items';
import { Rail } from './Rail';
import { ReadingDialog } from './ReadingDialog';
import { ReviewContext, useVoice } from './review-context';
import { Sheets } from './Sheets';
import { SAID } from '../patient-queue';
import type { Zoom } from './store';
import { SpreadStoreContext, createSpreadStore, pagesShown, useSpread } from './store';
import { Tray } from './Tray';
import { useKeys } from './use-keys';

const AlternativesDialog = dynamic(() => import('./AlternativesDialog').then((m) => m.AlternativesDialog), {
  ssr: false,
});
const BeginAnewDialog = dynamic(() => import('./BeginAnewDialog').then((m) => m.BeginAnewDialog), { ssr: false });
const KeysDialog = dynamic(() => import('./KeysDialog').then((m) => m.KeysDialog), { ssr: false });
const MannerDialog = dynamic(() => import('./MannerDialog').then((m) => m.MannerDialog), { ssr: false });

/** Drawn in the browser only: sending every sticker's drawing with the page would triple its weight. */
const PieceDefs = dynamic(() => import('../sticker/PieceDefs').then((m) => m.PieceDefs), { ssr: false });

/** The heart: the open book between the kit's sheets and the week's items. */
export function SpreadScreen({ spread }: { spread: SpreadData }) {
  const [store] = useState(() => createSpreadStore(spread));
  return (
    <SpreadStoreContext.Provider value={store}>
      <Screen />
    </SpreadStoreContext.Provider>
  );
}

function Screen() {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const messages = useSpread((s) => s.messages);
  const dismiss = useSpread((s) => s.dismiss);
  const busy = useSpread((s) => s.busy);
  const zoom = useSpread((s) => s.zoom);
  const setZoom = useSpread((s) => s.setZoom);
  const step = useSpread((s) => s.step);
  const adapted = useSpread((s) => Object.keys(s.data.own.options).length + Object.keys(s.data.own.ways).length > 0);
  const before = useSpread((s) => s.mannerBefore);
  const wavedKeys = useSpread((s) => s.waved);
  const said = useSpread((s) => s.said);
  const setManner = useSpread((s) => s.setManner);
  const [others, setOthers] = useState(false);
  const [manners, setManners] = useState(false);
  const [tab, setTab] = useState<'items' | 'findings'>('items');
  const [lastStep, setLastStep] = useState(step);
  if (step !== lastStep) {
    setLastStep(step);
    if (step) setTab(step === 'Week' ? 'items' : 'findings');
  }
  const reviewed = useMemo(() => {
    const view = viewOf(context, placements);
    const { open, waved } = parted(placements.length ? review(view) : [], wavedKeys);
    return { view, findings: open, waved };
  }, [context, placements, wavedKeys]);
  const four = context.book.pages.length > 2;
  const pieces = useMemo(() => [context.kit, ...context.stash].flatMap((k) => k.pieces), [context]);
  const open = withoutPlace(reviewed.view);
  useKeys();
  return (
    <ReviewContext.Provider value={reviewed}>
      <PieceDefs pieces={pieces} />
      {others && <AlternativesDialog onClose={() => setOthers(false)} />}
      {manners && <MannerDialog onClose={() => setManners(false)} />}
      <Box sx={{ height: '100vh', minWidth: 900, display: 'flex', flexDirection: 'column' }}>
        <Head score={placements.length ? Math.round(scoreOf(reviewed.findings).total) : null} />
        {busy ? <LinearProgress color="secondary" aria-label={busy} /> : null}
        {messages.map((m) => (
          <Alert key={m} severity="warning" onClose={dismiss} sx={{ borderRadius: 0 }}>
            {m}
          </Alert>
        ))}
        {said && (
          <Alert severity="success" onClose={dismiss} sx={{ borderRadius: 0, py: 0 }}>
            {said}
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
                  All right
                </Button>
              </>
            }
            sx={{ borderRadius: 0, py: 0 }}
          >
            Laid out in {spokenName(context.manner.name)} from here on.
          </Alert>
        )}
        <Box sx={{ flex: 1, minHeight: 0, display: 'flex' }}>
          <Rail />
          <Sheets />
          <Box
            component="main"
            sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', background: '#EFEBE1' }}
          >
            <Box sx={{ display: 'flex', alignItems: 'center', px: 2, pt: 0.75, gap: 1 }}>
              <Typography variant="caption" color="text.secondary" sx={{ flex: 1 }} noWrap>
                {context.book.name} · {spokenName(context.kit.name)}
              </Typography>
              <Button size="small" onClick={() => setOthers(true)} disabled={!!busy}>
                Other ways
              </Button>
              <Button size="small" onClick={() => setManners(true)} disabled={!!busy}>
                Manner: {spokenName(context.manner.name)}
                {adapted ? ', adapted' : ''}
              </Button>
              <ToggleButtonGroup
                size="small"
                exclusive
                value={zoom}
                onChange={(_, v: Zoom | null) => v !== null && setZoom(v)}
                aria-label="How near"
              >
                <ToggleButton value={0}>{four ? '1–2' : 'Left'}</ToggleButton>
                <ToggleButton value="both">{four ? 'All' : 'Both'}</ToggleButton>
                <ToggleButton value={1}>{four ? '3–4' : 'Right'}</ToggleButton>
              </ToggleButtonGroup>
            </Box>
            <Box
              sx={{
                flex: 1,
                minHeight: 0,
                overflow: 'auto',
                px: 1.5,
                pb: 1,
                display: 'flex',
                justifyContent: 'center',
                alignItems: 'flex-start',
              }}
            >
              <BoardFrame>
                <Board />
              </BoardFrame>
            </Box>
            <Tray />
          </Box>
          <Box
            component="aside"
            sx={{
              width: 252,
              flexShrink: 0,
              borderLeft: `1px solid ${GLASS.edge}`,
              display: 'flex',
              flexDirection: 'column',
              minHeight: 0,
            }}
          >
            <Tabs
              value={tab}
              onChange={(_, v: 'items' | 'findings') => setTab(v)}
              variant="fullWidth"
              sx={{ minHeight: 42, borderBottom: `1px solid ${GLASS.edge}` }}
            >
              <Tab
                value="items"
                label={`Items · ${context.week.demands.length}${open && placements.length ? `, ${open} open` : ''}`}
                sx={{ minHeight: 42, px: 0.5 }}
              />
              <Tab value="findings" label={`Findings · ${reviewed.findings.length}`} sx={{ minHeight: 42, px: 0.5 }} />
            </Tabs>
            {tab === 'items' ? <Items /> : <Findings />}
          </Box>
        </Box>
      </Box>
    </ReviewContext.Provider>
  );
}

/** The book takes the width there is, but never more height than can be seen when both pages are shown. */
function BoardFrame({ children }: { children: React.ReactNode }) {
  const book = useSpread((s) => s.context.book);
  const zoom = useSpread((s) => s.zoom);
  const shown = pagesShown(book.pages.length, zoom);
  const shape =
    shown.reduce((w, i) => w + (book.pages[i]?.width ?? 0), 0) / (Math.max(...book.pages.map((p) => p.height)) + 12);
  return (
    <Box
      sx={{
        width: '100%',
        maxWidth: shown.length > 1 ? `calc((100vh - 292px) * ${shape.toFixed(3)})` : 'none',
        minWidth: 460,
      }}
    >
      {children}
    </Box>
  );
}

function Head({ score }: { score: number | null }) {
  const id = useSpread((s) => s.data.id);
  const days = useSpread((s) => s.context.week.days);
  const history = useSpread((s) => s.history);
  const saving = useSpread((s) => s.saving);
  const travel = useSpread((s) => s.travel);
  const arrange = useSpread((s) => s.arrange);
  const busy = useSpread((s) => s.busy);
  const complain = useSpread((s) => s.complain);
  const any = useSpread((s) => s.placements.length > 0);
  const [asking, setAsking] = useState(false);
  const router = useRouter();
  const giveUp = async () => {
    const gone = await dropSpread({ spreadId: id }).catch(() => null);
    if (gone?.ok) router.push('/');
    else complain(gone ? gone.messages : ['The server could not be reached; the week is still there.']);
    setAsking(false);
  };
  const [keys, setKeys] = useState(false);
  const [reading, setReading] = useState(false);
  const voice = useVoice();
  return (
    <TopBar
      title={
        <>
          <Typography variant="h3" component="h1" sx={{ fontSize: 17 }}>
            {spokenWeek(days)}
          </Typography>
          <Typography variant="caption" aria-live="polite" data-testid="saved" sx={{ opacity: 0.85 }}>
            {busy ?? SAID[saving]}
          </Typography>
          {score !== null && (
            <Tooltip title="100, less what the findings cost">
              <Typography variant="caption" sx={{ opacity: 0.85 }}>
                score {score}
              </Typography>
            </Tooltip>
          )}
        </>
      }
    >
      <Tooltip title="The week as a list">
        <IconButton color="inherit" aria-label="The week as a list" onClick={() => setReading(true)}>
          <IconListDetails size={20} />
        </IconButton>
      </Tooltip>
      <Tooltip title="The keys">
        <IconButton color="inherit" aria-label="The keys" onClick={() => setKeys(true)}>
          <IconKeyboard size={20} />
        </IconButton>
      </Tooltip>
      <UndoRedo
        undo={history.undo && sayDeed(history.undo, voice)}
        redo={history.redo && sayDeed(history.redo, voice)}
        onStep={travel}
      />
      <Button color="inherit" onClick={() => setAsking(true)} disabled={!!busy}>
        Begin anew
      </Button>
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
      {asking && (
        <BeginAnewDialog
          onClose={() => setAsking(false)}
          onGiveUp={giveUp}
          onArrange={() => {
            setAsking(false);
            arrange('anew');
          }}
        />
      )}
      {reading && <ReadingDialog onClose={() => setReading(false)} />}
      {keys && <KeysDialog onClose={() => setKeys(false)} />}
    </TopBar>
  );
}
