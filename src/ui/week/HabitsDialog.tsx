import TextField from '@mui/material/TextField';
import { useState } from 'react';
import type { RecordHabits } from '../../core/keep/day-record';
import { saveRecordHabits } from '../../server/week-actions';
import type { Run } from '../use-run';
import { FormDialog } from '../screen/FormDialog';

const FIELDS = [
  { key: 'habits', label: 'Habits', help: 'one a line: water, scales, bed by ten' },
  { key: 'hours', label: 'Hours of', help: 'one a line: work, choir' },
  { key: 'spending', label: 'Money for', help: 'one a line: food, house, other' },
] as const;

const linesOf = (text: string): string[] => [
  ...new Set(
    text
      .split('\n')
      .map((l) => l.trim().slice(0, 60))
      .filter(Boolean),
  ),
];

/** What its owner writes down of each day. Names that are taken off the list keep what was written down. */
export function HabitsDialog({ now, run, onClose }: { now: RecordHabits; run: Run; onClose: () => void }) {
  const [texts, setTexts] = useState({
    habits: now.habits.join('\n'),
    hours: now.hours.join('\n'),
    spending: now.spending.join('\n'),
  });
  const [currency, setCurrency] = useState(now.currency);
  const save = async () => {
    const told = {
      habits: linesOf(texts.habits),
      hours: linesOf(texts.hours),
      spending: linesOf(texts.spending),
      currency: currency.trim() || now.currency,
    };
    if (await run(() => saveRecordHabits(told))) onClose();
  };
  return (
    <FormDialog title="What you write down" size="xs" onClose={onClose} act={{ label: 'Save', run: () => void save() }}>
      {FIELDS.map(({ key, label, help }) => (
        <TextField
          key={key}
          label={label}
          helperText={help}
          multiline
          minRows={2}
          sx={{ mt: key === 'habits' ? 1 : 0 }}
          value={texts[key]}
          onChange={(e) => setTexts({ ...texts, [key]: e.target.value })}
        />
      ))}
      <TextField
        label="Sign of money"
        value={currency}
        onChange={(e) => setCurrency(e.target.value.slice(0, 5))}
        sx={{ width: 140 }}
      />
    </FormDialog>
  );
}
