'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import Typography from '@mui/material/Typography';
import { IconChevronLeft, IconChevronRight } from '../icons';
import Link from 'next/link';
import { useState } from 'react';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { longDate, longDay, spokenWeek } from '../../core/week/day-names';
import { sayAgendaDeed } from '../../core/week/deed';
import { typedRound } from '../../core/week/typed-line';
import { plus } from '../../core/week/typed/calendar-days';
import { weekAfter } from '../../core/week/week';
import { moveItems, saveEntry, saveRound, undoAgenda } from '../../server/agenda-actions';
import type { ThisWeek } from '../../server/this-week';
import { cameUp, dressDay, findPlace } from '../../server/week-actions';
import { sentRound } from '../agenda/Rounds';
import { SomedayItems } from '../agenda/Someday';
import { later } from '../later';
import { GLASS } from '../theme';
import { Messages } from '../screen/Messages';
import { SavedNote, Screen } from '../screen/Screen';
import { UndoRedo } from '../UndoRedo';
import { SAID } from '../patient-queue';
import { useRun } from '../use-run';
import { Amounts } from './Amounts';
import type { CameUpNow } from './CameUp';
import { CameUp, Found } from './CameUp';
import { DayColumn } from './DayColumn';
import { DayItems } from './DayItems';
import { Dinner } from './Dinner';
import { Habits } from './Habits';
import { NextNotes } from './NextNotes';
import { Part } from './Part';
import { TextLine } from './TextLine';
import { Unsettled } from './Unsettled';
import { useRecords } from './use-records';

const HabitsDialog = later(() => import('./HabitsDialog').then((m) => m.HabitsDialog));

/** Through the week: today first, with what is on, what came up and what is written down; then the other days. */
export function ThisWeekScreen({ data }: { data: ThisWeek }) {
  const { run, ask, busy, refreshing, saveStatus, messages, clear, question } = useRun();
  const records = useRecords(data.records, run);
  const { week, today, spread, history } = data;
  const isNow = week.days.includes(today);
  const [chosen, setChosen] = useState(isNow ? today : (week.days[0] as string));
  const [came, setCame] = useState<CameUpNow | null>(null);
  const [dressed, setDressed] = useState<string | null>(null);
  const [choosing, setChoosing] = useState(false);
  const at = week.days.indexOf(chosen);

  const find = async (demand: CameUpNow['demand']) => {
    if (!spread) return;
    setCame(null);
    const found = await ask(() => findPlace({ spreadId: spread.id, uid: demand.uid, on: demand.on }));
    if (found) setCame({ demand, found: found.value });
  };
  const add = async (entry: AgendaEntry): Promise<boolean> => {
    const round = typedRound(entry);
    if (round) return run(() => saveRound(sentRound(round, '')));
    if (!spread) return run(() => saveEntry({ entry }));
    const kept = await ask(() => cameUp({ spreadId: spread.id, entry }));
    if (!kept) return false;
    const { uid, found } = kept.value;
    setCame(found && { demand: { uid, on: entry.day, title: entry.title }, found });
    return true;
  };
  const dress = async (day: number) => {
    if (!spread) return;
    const done = await ask(() => dressDay({ spreadId: spread.id, day }));
    const name = longDay(week.days[day] as string);
    if (done) setDressed(done.value.pieces ? `${name} is dressed.` : `${name} has all that it can have.`);
  };
  const others = week.days.filter((d) => d !== chosen);
  const coming = others.filter((d) => d >= today);
  const gone = others.filter((d) => d < today);
  const next = weekAfter(week.week, 1);
  const before = weekAfter(week.week, -1);
  return (
    <Screen
      title={
        <>
          {isNow ? 'This week' : 'The week'} · {spokenWeek(week.days)}
        </>
      }
      note={<SavedNote testId="week-saved">{SAID[saveStatus]}</SavedNote>}
      acts={
        <>
          <IconButton color="inherit" component={Link} href={`/week?week=${before}`} aria-label="The week before">
            <IconChevronLeft size={20} />
          </IconButton>
          <IconButton color="inherit" component={Link} href={`/week?week=${next}`} aria-label="The week after">
            <IconChevronRight size={20} />
          </IconButton>
          <UndoRedo
            undo={history.undo && sayAgendaDeed(history.undo)}
            redo={history.redo && sayAgendaDeed(history.redo)}
            onStep={(way) => {
              setCame(null);
              void run(() => undoAgenda({ way, step: data.history.at[way] }));
            }}
            busy={busy || refreshing}
          />
          {spread && (
            <Button color="inherit" component={Link} href={`/spreads/${spread.id}`}>
              To the spread
            </Button>
          )}
        </>
      }
    >
      {question}
      <Messages across of={messages} onClose={clear} />
      <Box
        component="main"
        sx={{
          px: { xs: 1.5, md: 3 },
          py: 2,
          maxWidth: 1320,
          width: '100%',
          mx: 'auto',
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', md: 'minmax(0, 1.25fr) minmax(0, 1fr)' },
          gridTemplateAreas: { xs: '"today" "down" "rest"', md: '"today down" "rest down"' },
          gridTemplateRows: { md: 'auto 1fr' },
          alignItems: 'start',
        }}
      >
        <Box sx={{ gridArea: 'today', minWidth: 0 }}>
          <Part
            name={chosen === today ? `Today, ${longDay(today)}` : longDay(chosen)}
            side={
              <Typography variant="body2" color="text.secondary">
                {longDate(chosen)}
              </Typography>
            }
          >
            {spread && came && (
              <Box sx={{ mb: 1.5 }}>
                <Found
                  title={came.demand.title}
                  found={came.found}
                  spreadId={spread.id}
                  onClose={() => setCame(null)}
                  onMove={(to) => {
                    const { demand } = came;
                    setCame(null);
                    void run(() => moveItems({ items: [{ uid: demand.uid, on: demand.on }], to })).then((moved) => {
                      if (moved) void find({ ...demand, on: to });
                    });
                  }}
                />
              </Box>
            )}
            {dressed && (
              <Alert severity="success" onClose={() => setDressed(null)} sx={{ mb: 1.5 }}>
                {dressed}
              </Alert>
            )}
            <Box sx={{ display: 'flex', gap: 2, alignItems: 'flex-start' }}>
              {spread && <DayColumn spread={spread} day={at} iso={chosen} />}
              <Box sx={{ flex: 1, minWidth: 0 }}>
                <DayItems data={data} day={at} run={run} onFind={(d) => void find(d)} large />
                <Box sx={{ mt: 1.5 }}>
                  <CameUp from={chosen} typing={data.typing} onAdd={add} />
                </Box>
                {chosen <= today && (
                  <TextLine
                    key={chosen}
                    label="What really happened"
                    placeholder="a moment, a word, who was there"
                    multiline
                    most={2000}
                    value={records.of(chosen, 'moment')?.text ?? ''}
                    onKeep={(text) => void records.put({ day: chosen, what: 'moment', name: '', amount: 0, text })}
                  />
                )}
              </Box>
            </Box>
          </Part>
        </Box>
        <Box sx={{ gridArea: 'rest', display: 'grid', gap: 2, minWidth: 0 }}>
          {coming.map((iso) => (
            <Day key={iso} iso={iso} data={data} onOpen={() => setChosen(iso)} onDress={dress}>
              <DayItems data={data} day={week.days.indexOf(iso)} run={run} onFind={(d) => void find(d)} />
            </Day>
          ))}
          {gone.map((iso) => (
            <Day key={iso} iso={iso} data={data} onOpen={() => setChosen(iso)} onDress={null}>
              <DayItems data={data} day={week.days.indexOf(iso)} run={run} onFind={(d) => void find(d)} />
              <Typography variant="body2" sx={{ mt: 0.5, color: GLASS.bottle, overflowWrap: 'anywhere' }}>
                {records.of(iso, 'moment')?.text ?? ''}
              </Typography>
            </Day>
          ))}
        </Box>
        <Box sx={{ gridArea: 'down', display: 'grid', gap: 2, minWidth: 0 }}>
          <Dinner data={data} day={chosen} records={records} />
          <Habits data={data} records={records} onChange={() => setChoosing(true)} />
          <Unsettled data={data} run={run} busy={busy} />
          {data.someday.length > 0 && (
            <Part name="Someday">
              <Box sx={{ display: 'grid', gap: 1 }}>
                <SomedayItems items={data.someday} today={today} days={week.days} run={run} busy={busy} />
              </Box>
            </Part>
          )}
          <Amounts data={data} day={chosen} records={records} />
          <NextNotes data={data} records={records} run={run} />
        </Box>
      </Box>
      {choosing && <HabitsDialog now={data.habits} run={run} onClose={() => setChoosing(false)} />}
    </Screen>
  );
}

function Day({
  iso,
  data,
  onOpen,
  onDress,
  children,
}: {
  iso: string;
  data: ThisWeek;
  onOpen: () => void;
  onDress: ((day: number) => Promise<void>) | null;
  children: React.ReactNode;
}) {
  const day = data.week.days.indexOf(iso);
  const bare = data.spread !== null && data.spread.laid[day] === 0;
  const name = iso === plus(data.today, 1) ? `Tomorrow, ${longDay(iso)}` : `${longDay(iso)} ${longDate(iso)}`;
  return (
    <Part
      name={name}
      side={
        <>
          {onDress && bare && (
            <Button size="small" onClick={() => void onDress(day)}>
              Dress this day
            </Button>
          )}
          <Button size="small" onClick={onOpen} aria-label={`Open ${longDay(iso)}`}>
            Open
          </Button>
        </>
      }
    >
      {children}
    </Part>
  );
}
