'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import FormControlLabel from '@mui/material/FormControlLabel';
import Switch from '@mui/material/Switch';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import { useState } from 'react';
import { EntryDto } from '../../server/dto/agenda.dto';
import type { Hand } from '../../core/measure/hand';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import type { Demand } from '../../core/week/demand';
import { DEMAND_KINDS, PARTS, ROOMS, spokenTime } from '../../core/week/demand';
import { roomWanted } from '../../core/week/room-wanted';
import { AheadFields } from './AheadFields';
import { DayField } from '../fields/DayField';
import { TimeField } from '../fields/TimeField';
import { useCheckedForm } from '../fields/use-checked-form';
import { wholeOf } from './clock';
import { RepeatFields } from './RepeatFields';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';
import { fine } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

interface EntryDialogProps {
  readonly entry: AgendaEntry;
  /** the occurrence that was opened; null for a new item */
  readonly demand: Demand | null;
  /** the feed it comes from; null when it can be changed here */
  readonly feed: string | null;
  readonly hand: Hand;
  readonly columnWidth: number | null;
  readonly routines: readonly string[];
  readonly busy: boolean;
  readonly onClose: () => void;
  readonly onSave: (entry: AgendaEntry) => void;
  readonly onRemove: (day: string | null) => void;
  readonly onMove: (day: string) => void;
}

const DAY = /^\d{4}-\d{2}-\d{2}$/;

/** All that can be said of an item, by form. */
export function EntryDialog({
  entry: given,
  demand,
  feed,
  hand,
  columnWidth,
  routines,
  busy,
  onClose,
  onSave,
  onRemove,
  onMove,
}: EntryDialogProps) {
  const { value: entry, set, errors, sound, submit } = useCheckedForm<AgendaEntry>(EntryDto, given);
  const [tab, setTab] = useState(0);
  const [moved, setMoved] = useState(demand?.on ?? '');
  const many = given.uid !== '' && given.repeat !== null;
  const { clock, unit } = useOwnWays();
  const written = `${entry.start === null ? '' : `${spokenTime(entry.start, clock)} `}${entry.title}`;
  const guess = columnWidth ? roomWanted(written, columnWidth, hand) : null;
  const dated = DAY.test(entry.day);
  return (
    <FormDialog
      title={given.uid ? (many ? 'Change this series' : 'Change this item') : 'A new item'}
      onClose={onClose}
      sx={{ minHeight: 404 }}
      aside={
        given.uid &&
        !feed && (
          <>
            <Button color="error" disabled={busy} onClick={() => onRemove(null)}>
              {many ? 'Remove the series' : 'Remove'}
            </Button>
            {demand && many && (
              <Button color="error" disabled={busy} onClick={() => onRemove(demand.on)}>
                Take this day out
              </Button>
            )}
          </>
        )
      }
      {...(!feed && {
        act: {
          label: 'Save',
          disabled: busy || entry.title.trim() === '' || !sound,
          run: submit((filled) => onSave({ ...filled, title: filled.title.trim() })),
        },
      })}
    >
      {feed && <Alert severity="info">It comes from the feed “{feed}” and is changed there.</Alert>}
      <TextField
        autoFocus
        label="What"
        value={entry.title}
        error={Boolean(errors.title)}
        onChange={(e) => set({ title: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 400 } }}
      />
      <Tabs
        value={tab}
        onChange={(_, t: number) => setTab(t)}
        sx={{ minHeight: 36, '& .MuiTab-root': { minHeight: 36, textTransform: 'none' } }}
      >
        <Tab label="When and what kind" />
        <Tab label="Comes round" />
        <Tab label="Looking ahead" />
      </Tabs>
      {tab === 0 && (
        <>
          <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 2 }}>
            <DayField
              label={many ? 'First day' : 'Day'}
              value={entry.day || null}
              onChange={(day) => set({ day: day ?? '' })}
              error={Boolean(errors.day)}
            />
            <TimeField label="Time" value={entry.start} onChange={(start) => set({ start })} />
            {entry.start === null ? (
              <TextField
                label="Days it lasts"
                type="number"
                value={entry.days}
                onChange={(e) => set({ days: wholeOf(e.target.value, 1, 366) })}
              />
            ) : (
              <TextField
                label="Minutes"
                type="number"
                value={entry.minutes ?? ''}
                onChange={(e) => set({ minutes: Number(e.target.value) > 0 ? wholeOf(e.target.value, 1, 1440) : null })}
              />
            )}
            <Choice
              label="Kind"
              size="medium"
              value={entry.kind}
              options={[[null, 'as it seems'], ...DEMAND_KINDS]}
              onChange={(chosen) => set({ kind: chosen })}
            />
            <Choice
              label="Part of day"
              size="medium"
              value={entry.part}
              options={[[null, 'as usual'], ...PARTS]}
              onChange={(chosen) => set({ part: chosen })}
              disabled={entry.start !== null}
            />
            <TextField
              label="On the list"
              value={entry.list ?? ''}
              onChange={(e) => set({ list: e.target.value || null })}
              slotProps={{ htmlInput: { maxLength: 100 } }}
            />
            <Choice
              label="Room it wants"
              size="medium"
              value={entry.room}
              options={[[null, <>by its text{guess ? `: a ${guess.room}` : ''}</>], ...ROOMS]}
              onChange={(chosen) => set({ room: chosen })}
              sx={{ gridColumn: '1 / -1' }}
              helperText={
                guess
                  ? `By its text, in your hand: ${guess.lines} ${guess.lines === 1 ? 'line' : 'lines'}, a ${guess.room} of ${fine(guess.mm, unit)}.`
                  : ' '
              }
            />
          </Box>
          <Box>
            <FormControlLabel
              control={<Switch checked={entry.tentative} onChange={(e) => set({ tentative: e.target.checked })} />}
              label="Not sure yet"
            />
            <FormControlLabel
              control={<Switch checked={entry.task} onChange={(e) => set({ task: e.target.checked })} />}
              label="A task to tick"
            />
          </Box>
        </>
      )}
      {tab === 1 && (
        <>
          {dated && <RepeatFields rule={entry.repeat} day={entry.day} onChange={(repeat) => set({ repeat })} />}
          {many && demand && !feed && (
            <Box sx={{ display: 'flex', gap: 1.5, alignItems: 'center' }}>
              <DayField
                size="small"
                label="Move only this day to"
                value={moved || null}
                onChange={(day) => setMoved(day ?? '')}
              />
              <Button
                variant="outlined"
                disabled={busy || !DAY.test(moved) || moved === demand.on}
                onClick={() => onMove(moved)}
              >
                Move this day
              </Button>
            </Box>
          )}
        </>
      )}
      {tab === 2 && <AheadFields entry={entry} routines={routines} set={set} />}
    </FormDialog>
  );
}
