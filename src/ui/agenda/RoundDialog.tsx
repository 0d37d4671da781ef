'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { DateTime } from 'luxon';
import { RoundDto } from '../../server/dto/agenda.dto';
import { DEMAND_KINDS } from '../../core/week/demand';
import type { Round, Turn } from '../../core/week/round';
import { MOST_TURNS } from '../../core/week/round';
import { DayField } from '../fields/DayField';
import { TimeField } from '../fields/TimeField';
import { useCheckedForm } from '../fields/use-checked-form';
import { wholeOf } from './clock';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';

/** A round as its form holds it: one slot a turn, an empty one is free. */
type RoundForm = Omit<Round, 'turns'> & { slots: readonly { readonly turn: Turn | null }[] };

const FREE: Turn = { text: '', start: null, minutes: null };

/**
 * A rota that goes round in days, or alternatives that take turns by the week: a line for each turn, an empty one is
 * free.
 */
export function RoundDialog({
  round: given,
  isNew,
  busy,
  onClose,
  onSave,
  onRemove,
}: {
  round: Round;
  isNew: boolean;
  busy: boolean;
  onClose: () => void;
  onSave: (round: Round) => void;
  onRemove: () => void;
}) {
  const { turns: givenTurns, ...about } = given;
  const form = useCheckedForm<RoundForm>(RoundDto, { ...about, slots: givenTurns.map((turn) => ({ turn })) });
  const { value: round, set } = form;
  const setTurn = (i: number, change: Partial<Turn>) => {
    const next = { ...(round.slots[i]?.turn ?? FREE), ...change };
    const free = next.text === '' && next.start === null;
    set({ slots: round.slots.map((slot, j) => (j === i ? { turn: free ? null : next } : slot)) });
  };
  const save = ({ slots, name, ...rest }: RoundForm) =>
    onSave({ ...rest, name: name.trim(), turns: slots.map(({ turn }) => turn && { ...turn, text: turn.text.trim() }) });
  const dayOf = (i: number): string =>
    DateTime.fromISO(round.first, { zone: 'utc' })
      .plus({ days: i * (round.every === 'week' ? 7 : 1) })
      .toFormat('ccc, LLL d', { locale: 'en-US' });
  return (
    <FormDialog
      title={round.every === 'day' ? 'A rota' : 'Taking turns'}
      size="md"
      onClose={onClose}
      aside={
        !isNew && (
          <Button color="error" disabled={busy} onClick={onRemove}>
            Remove
          </Button>
        )
      }
      act={{ label: 'Save', disabled: busy || !form.sound || round.name.trim() === '', run: form.submit(save) }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: '1.2fr 1.25fr 0.7fr 1fr', gap: 2 }}>
        <TextField
          autoFocus
          label="Name"
          value={round.name}
          error={Boolean(form.errors.name)}
          onChange={(e) => set({ name: e.target.value })}
          slotProps={{ htmlInput: { maxLength: 80 } }}
        />
        <DayField label="First day" value={round.first || null} onChange={(first) => set({ first: first ?? '' })} />
        <TextField
          label={round.every === 'day' ? 'Days' : 'Weeks'}
          type="number"
          value={round.slots.length}
          onChange={(e) => {
            const n = wholeOf(e.target.value, 2, MOST_TURNS);
            set({ slots: Array.from({ length: n }, (_, i) => round.slots[i] ?? { turn: null }) });
          }}
        />
        <Choice
          label="Kind"
          size="medium"
          value={round.kind}
          options={[[null, 'as it seems'], ...DEMAND_KINDS.filter((k) => k !== 'band')]}
          onChange={(chosen) => set({ kind: chosen })}
        />
      </Box>
      <Typography variant="body2" color="text.secondary">
        {round.every === 'day'
          ? 'What each day holds, until it begins again. Leave a day empty to have it off.'
          : 'What each week has its turn, on the same weekday.'}
      </Typography>
      {form.errors.slots && (
        <Typography variant="body2" color="error" role="alert">
          Write at least one turn; a time alone is not one.
        </Typography>
      )}
      {round.slots.map(({ turn }, i) => (
        <Box key={i} sx={{ display: 'grid', gridTemplateColumns: '88px 1fr 168px 84px', gap: 1, alignItems: 'center' }}>
          <Typography variant="caption" color="text.secondary">
            {dayOf(i)}
          </Typography>
          <TextField
            size="small"
            placeholder={round.every === 'day' ? 'off' : 'nothing'}
            value={turn?.text ?? ''}
            error={turn !== null && turn.text.trim() === ''}
            onChange={(e) => setTurn(i, { text: e.target.value })}
            slotProps={{ htmlInput: { 'aria-label': `Turn ${i + 1}`, maxLength: 200 } }}
          />
          <TimeField
            size="small"
            label={`Time of turn ${i + 1}`}
            hiddenLabel
            value={turn?.start ?? null}
            onChange={(start) => setTurn(i, { start })}
          />
          <TextField
            size="small"
            type="number"
            placeholder="min"
            disabled={(turn?.start ?? null) === null}
            value={turn?.minutes ?? ''}
            onChange={(e) =>
              setTurn(i, { minutes: Number(e.target.value) > 0 ? wholeOf(e.target.value, 1, 1440) : null })
            }
            slotProps={{ htmlInput: { 'aria-label': `Minutes of turn ${i + 1}` } }}
          />
        </Box>
      ))}
    </FormDialog>
  );
}
