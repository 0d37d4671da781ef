'use client';

import type { DragEndEvent, DragStartEvent } from '@dnd-kit/core';
import { DndContext } from '@dnd-kit/core';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import InputAdornment from '@mui/material/InputAdornment';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconSearch } from '../icons';
import Link from 'next/link';
import { useRef, useState } from 'react';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import type { Demand } from '../../core/week/demand';
import { imageOf } from '../../core/format/image-of';
import { typedRound } from '../../core/week/typed-line';
import { spokenWeek } from '../../core/week/day-names';
import type { Agenda } from '../../server/agenda';
import { dropEntry, moveItems, saveEntry, saveRound, undoAgenda } from '../../server/agenda-actions';
import { Messages } from '../screen/Messages';
import { SavedNote, Screen } from '../screen/Screen';
import { Split } from '../screen/Split';
import { UndoRedo } from '../UndoRedo';
import { sayAgendaDeed } from '../../core/week/deed';
import { GLASS } from '../theme';
import { Calendars } from './Calendars';
import type { Dragged } from './drag';
import { InHand } from '../drag/InHand';
import { useDragSensors } from '../drag/sensors';
import { Elsewhere } from './Elsewhere';
import { EntryDialog } from './EntryDialog';
import { FILTERS, hasWords } from './filter';
import { MonthGrid } from './MonthGrid';
import { Rounds, sentRound } from './Rounds';
import { Settle } from './Settle';
import { TypedLine } from './TypedLine';
import type { Run } from '../use-run';
import { SAID } from '../patient-queue';
import { useRun } from '../use-run';
import { occurrenceOf } from './occurrence-of';
import { useFeeds } from './use-feeds';
import { WeekList } from './WeekList';
import { Choice } from '../fields/Choice';

const BESIDE = {
  width: 340,
  flexShrink: 0,
  borderRight: `1px solid ${GLASS.edge}`,
  background: GLASS.paper,
  flexDirection: 'column',
  minHeight: 0,
} as const;

/** The month beside the week: what the week must hold, added by one typed line or by form. */
export function AgendaScreen({ agenda }: { agenda: Agenda }) {
  const { run: runs, busy, refreshing, saveStatus, messages, clear, question } = useRun();
  // what was added last, until something else is done
  const [added, setAdded] = useState<AgendaEntry | null>(null);
  const run: Run = (action, over) => {
    setAdded(null);
    return runs(action, over);
  };
  const news = useFeeds(agenda.calendars);
  const [editing, setEditing] = useState<{ entry: AgendaEntry; demand: Demand | null } | null>(null);
  const [search, setSearch] = useState('');
  const [filter, setFilter] = useState(0);
  const [tab, setTab] = useState(0);
  const [dragged, setDragged] = useState<Dragged | null>(null);
  const sensors = useDragSensors();
  const { week, history } = agenda;
  const save = (entry: AgendaEntry) => {
    const round = entry.uid ? null : typedRound(entry);
    if (round) return run(() => saveRound(sentRound(round, '')));
    const seen = editing?.entry.uid ? imageOf(editing.entry) : null;
    return run(
      () => saveEntry({ entry, seen }),
      () => saveEntry({ entry }),
    );
  };
  const drop = ({ active, over }: DragEndEvent) => {
    setDragged(null);
    const to = String(over?.id ?? '').replace('month ', '');
    const { demands } = active.data.current as Dragged;
    if (to && demands[0] && to !== week.days[demands[0].day])
      void run(() => moveItems({ items: demands.map(occurrenceOf), to }));
  };
  const step = (way: 'undo' | 'redo') => void run(() => undoAgenda({ way, step: agenda.history.at[way] }));
  const from = week.days.includes(agenda.today) ? agenda.today : (week.days[0] as string);
  const words = search.trim();
  const shows = (d: Demand): boolean => (FILTERS[filter] as (typeof FILTERS)[number]).shows(d) && hasWords(d, words);
  const asked = agenda.undone.length + agenda.twice.length;
  const beside = useRef<HTMLDivElement>(null);
  const showAsked = () => {
    setTab(0);
    beside.current?.scrollIntoView({ behavior: 'smooth' });
  };
  const trouble = agenda.calendars.some((c) => c.trouble);
  return (
    <Screen
      fill
      title={<>Agenda · {spokenWeek(week.days)}</>}
      note={<SavedNote testId="agenda-saved">{SAID[saveStatus]}</SavedNote>}
      acts={
        <>
          <UndoRedo
            undo={history.undo && sayAgendaDeed(history.undo)}
            redo={history.redo && sayAgendaDeed(history.redo)}
            onStep={step}
            busy={busy || refreshing}
          />
          {agenda.spreadId !== null && (
            <Button color="inherit" component={Link} href={`/spreads/${agenda.spreadId}`}>
              To the spread
            </Button>
          )}
        </>
      }
    >
      {question}
      <Messages across of={messages} onClose={clear} />
      <Messages across severity="info" of={news.said} onClose={news.clear} />
      <DndContext
        id="agenda"
        sensors={sensors}
        onDragStart={(e: DragStartEvent) => setDragged(e.active.data.current as Dragged)}
        onDragEnd={drop}
        onDragCancel={() => setDragged(null)}
      >
        <Split>
          {/* on a narrow window the month comes first, then the week, then what lies beside it */}
          <Box sx={{ ...BESIDE, display: { xs: 'contents', md: 'flex' } }}>
            <MonthGrid agenda={agenda} asked={asked} onAsked={showAsked} />
            <Box
              ref={beside}
              sx={{
                width: '100%',
                order: { xs: 1, md: 0 },
                background: GLASS.paper,
                flex: { md: 1 },
                minHeight: 0,
                display: 'flex',
                flexDirection: 'column',
              }}
            >
              <Tabs
                value={tab}
                onChange={(_, t: number) => setTab(t)}
                variant="fullWidth"
                aria-label="Beside the month"
                sx={{
                  borderTop: `1px solid ${GLASS.edge}`,
                  borderBottom: `1px solid ${GLASS.edge}`,
                  minHeight: 38,
                  '& .MuiTab-root': { minHeight: 38, textTransform: 'none', px: 0.5, minWidth: 0 },
                }}
              >
                <Tab label={asked ? `To settle, ${asked}` : 'To settle'} />
                <Tab label="Rounds" />
                <Tab label={trouble ? 'Calendars !' : 'Calendars'} />
              </Tabs>
              <Box
                role="tabpanel"
                aria-label={['To settle', 'Rounds', 'Calendars'][tab]}
                tabIndex={0}
                sx={{ flex: 1, minHeight: 0, overflowY: 'auto', p: 2, pt: 1.5 }}
              >
                {tab === 0 && <Settle agenda={agenda} run={run} busy={busy} />}
                {tab === 1 && <Rounds rounds={agenda.rounds} first={from} run={run} busy={busy} />}
                {tab === 2 && <Calendars calendars={agenda.calendars} zone={agenda.zone} run={run} busy={busy} />}
              </Box>
            </Box>
          </Box>
          <Box
            component="main"
            sx={{
              flex: 1,
              minWidth: 0,
              display: 'flex',
              flexDirection: 'column',
              px: { xs: 2, md: 3 },
              py: 2,
              gap: 1.5,
              minHeight: 0,
            }}
          >
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'flex-start', flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
              <TypedLine
                from={from}
                habits={agenda.typing}
                days={week.days}
                busy={busy}
                added={added}
                onSave={async (entry) => {
                  const kept = await save(entry);
                  if (kept) setAdded(entry);
                  return kept;
                }}
                onUndo={() => step('undo')}
                onForm={(entry) => setEditing({ entry, demand: null })}
              />
              <TextField
                size="small"
                placeholder="Find"
                value={search}
                onChange={(e) => setSearch(e.target.value)}
                sx={{ width: 130 }}
                slotProps={{
                  htmlInput: { 'aria-label': 'Find an item' },
                  input: {
                    startAdornment: (
                      <InputAdornment position="start">
                        <IconSearch size={15} />
                      </InputAdornment>
                    ),
                  },
                }}
              />
              <Choice
                quiet
                label="Show"
                value={filter}
                options={FILTERS.map((f, i) => [i, f.name] as const)}
                onChange={setFilter}
                sx={{ width: 150 }}
              />
            </Box>
            <Box sx={{ flex: 1, minHeight: 0, overflowY: { xs: 'visible', md: 'auto' } }}>
              {(words || filter > 0) && !week.demands.some(shows) && (
                <Typography color="text.secondary" sx={{ mb: 1 }}>
                  Nothing of this week fits.
                </Typography>
              )}
              <WeekList
                agenda={agenda}
                shows={shows}
                run={run}
                busy={busy}
                onOpen={(demand) => {
                  const entry = agenda.entries.get(demand.uid);
                  if (entry) setEditing({ entry, demand });
                }}
              />
              {words && <Elsewhere key={words} words={words} week={week.week} />}
            </Box>
          </Box>
        </Split>
        <InHand label={dragged?.label ?? null} />
      </DndContext>
      {editing && (
        <EntryDialog
          entry={editing.entry}
          demand={editing.demand}
          feed={agenda.fromFeed.get(editing.entry.uid) ?? null}
          hand={agenda.hand}
          columnWidth={agenda.columnWidth}
          routines={agenda.routines}
          busy={busy}
          onClose={() => setEditing(null)}
          onSave={async (entry) => {
            if (await save(entry)) setEditing(null);
          }}
          onRemove={async (day) => {
            if (await run(() => dropEntry({ uid: editing.entry.uid, day }))) setEditing(null);
          }}
          onMove={async (to) => {
            const { demand } = editing;
            if (demand && (await run(() => moveItems({ items: [occurrenceOf(demand)], to })))) setEditing(null);
          }}
        />
      )}
    </Screen>
  );
}
