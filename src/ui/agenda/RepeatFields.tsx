'use client';

import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import ToggleButtonGroup from '@mui/material/ToggleButtonGroup';
import { DateTime } from 'luxon';
import type { Repeat } from '../../core/week/repeat';
import { REPEAT_KINDS, repeatOf, ruleOfRepeat } from '../../core/week/repeat';
import { spokenRule } from '../../core/week/typed-line';
import { DayField } from '../fields/DayField';
import { wholeOf } from './clock';
import { Choice } from '../fields/Choice';

const NAMES: Readonly<Record<Repeat['kind'], string>> = {
  once: 'once',
  days: 'every so many days',
  weeks: 'by weekdays',
  'month day': 'by day of the month',
  'month weekday': 'by weekday of the month',
  year: 'every year',
  other: 'by a rule of its own',
};
const UNITS: Partial<Record<Repeat['kind'], string>> = {
  days: 'days',
  weeks: 'weeks',
  'month day': 'months',
  'month weekday': 'months',
  year: 'years',
};
const LETTERS = ['Mo', 'Tu', 'We', 'Th', 'Fr', 'Sa', 'Su'];

/** How an item comes round. */
export function RepeatFields({
  rule,
  day,
  onChange,
}: {
  rule: string | null;
  day: string;
  onChange: (rule: string | null) => void;
}) {
  const repeat = repeatOf(rule);
  const set = (change: Partial<Repeat>) => onChange(ruleOfRepeat({ ...repeat, ...change }, day));
  const kinds = REPEAT_KINDS.filter((k) => k !== 'other' || repeat.kind === 'other');
  const weekday = DateTime.fromISO(day, { zone: 'utc' }).weekday - 1;
  return (
    <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr 1fr', gap: 2, alignItems: 'center' }}>
      <Choice
        label="Comes round"
        size="medium"
        value={repeat.kind}
        options={kinds.map((k) => [k, NAMES[k]] as const)}
        onChange={(chosen) => set({ kind: chosen, weekdays: chosen === 'weeks' ? [weekday] : [] })}
        helperText={rule ? spokenRule(rule) : ' '}
      />
      {UNITS[repeat.kind] && (
        <TextField
          label={`Every … ${UNITS[repeat.kind]}`}
          type="number"
          value={repeat.every}
          onChange={(e) => set({ every: wholeOf(e.target.value, 1, 500) })}
          helperText=" "
        />
      )}
      {UNITS[repeat.kind] && (
        <DayField
          label="Until"
          value={repeat.until}
          onChange={(until) => set({ until })}
          clearable
          helperText={repeat.until ? ' ' : 'with no end'}
        />
      )}
      {repeat.kind === 'weeks' && (
        <ToggleButtonGroup
          size="small"
          value={repeat.weekdays}
          onChange={(_, weekdays: number[]) => weekdays.length && set({ weekdays })}
          aria-label="On"
          sx={{ gridColumn: '1 / -1', mt: -1.5 }}
        >
          {LETTERS.map((letters, i) => (
            <ToggleButton key={letters} value={i}>
              {letters}
            </ToggleButton>
          ))}
        </ToggleButtonGroup>
      )}
    </Box>
  );
}
