import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import type { ReactNode } from 'react';
import { useState } from 'react';
import { mannerNamed } from '../../../core/manner/registry';
import { scattered } from '../../../core/manner/scattered';
import type { Section } from '../../../core/manner/section';
import { SECTIONS } from '../../../core/manner/section';
import type { Setting } from '../../../core/manner/settings';
import { settingGroups } from '../../../core/manner/settings';
import { Choice } from '../../fields/Choice';
import { GLASS } from '../../theme';
import type { MannerChoice } from '../store';

export const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

interface HabitsProps {
  readonly choice: MannerChoice;
  readonly onChange: (choice: MannerChoice) => void;
}

/** The habits of a manner: those that are often changed, and what is set otherwise; the others when they are wanted. */
export function Habits({ choice, onChange }: HabitsProps) {
  const [all, setAll] = useState(false);
  const manner = mannerNamed(choice.school) ?? scattered;
  const habit = (s: Setting): unknown => (s.of === 'options' ? manner.habits[s.key] : manner.ways[s.key]);
  const value = (s: Setting): unknown => (s.of === 'options' ? choice.options[s.key] : choice.ways[s.key]) ?? habit(s);
  const set = (of: 'options' | 'ways', key: string, to: unknown, usual: unknown) => {
    const others = Object.entries(choice[of]).filter(([k]) => k !== key);
    onChange({ ...choice, [of]: Object.fromEntries(same(to, usual) ? others : [...others, [key, to]]) });
  };
  const groups = settingGroups();
  const isShown = (s: Setting): boolean => all || s.often === true || !same(value(s), habit(s));
  const folded = groups.flatMap((g) => g.settings).filter((s) => !isShown(s)).length;
  const sections = choice.options.sidebar ?? manner.habits.sidebar;
  return (
    <>
      {groups.map(({ group, settings }) => {
        const shown = settings.filter(isShown);
        if (!shown.length) return null;
        return (
          <Group key={group} name={group}>
            <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(140px, 1fr))', gap: 1.25 }}>
              {shown.map((s) => (
                <Habit
                  key={s.key}
                  setting={s}
                  value={value(s)}
                  usual={habit(s)}
                  onSet={(to) => set(s.of, s.key, to, habit(s))}
                />
              ))}
            </Box>
          </Group>
        );
      })}
      {(all || sections !== manner.habits.sidebar) && (
        <Sections of={sections} onChange={(to) => set('options', 'sidebar', to, manner.habits.sidebar)} />
      )}
      <Button onClick={() => setAll(!all)} aria-expanded={all} sx={{ alignSelf: 'flex-start' }}>
        {all ? 'Fewer habits' : `All habits, ${folded} more and the sidebar`}
      </Button>
    </>
  );
}

function Group({ name, children }: { name: string; children: ReactNode }) {
  return (
    <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
      <Typography component="legend" variant="h3" sx={{ fontSize: 15, p: 0, mb: 1 }}>
        {name}
      </Typography>
      {children}
    </Box>
  );
}

interface HabitProps {
  readonly setting: Setting;
  readonly value: unknown;
  readonly usual: unknown;
  readonly onSet: (to: unknown) => void;
}

function Habit({ setting: s, value, usual, onSet }: HabitProps) {
  const at = s.choices.findIndex((c) => same(c.value, value));
  return (
    <Choice
      label={s.label}
      value={at < 0 ? null : at}
      options={s.choices.map(
        (c, i) =>
          [
            i,
            <>
              {c.label}
              {same(c.value, usual) ? ' · the habit' : ''}
            </>,
          ] as const,
      )}
      shown={(i) => s.choices[i ?? -1]?.label ?? ''}
      onChange={(chosen) => onSet(s.choices[chosen ?? -1]?.value)}
      sx={same(value, usual) ? {} : { '& .MuiInputBase-root': { fontWeight: 600, color: GLASS.amberDeep } }}
    />
  );
}

function Sections({ of, onChange }: { of: readonly Section[]; onChange: (to: readonly Section[]) => void }) {
  return (
    <Group name="Sidebar, top to bottom">
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
        {[...of, ...SECTIONS.filter((s) => !of.includes(s))].map((s) => (
          <Chip
            key={s}
            label={`${of.includes(s) ? `${of.indexOf(s) + 1}. ` : ''}${s.replace('-', ' ')}`}
            clickable
            onClick={() => onChange(of.includes(s) ? of.filter((o) => o !== s) : [...of, s])}
            color={of.includes(s) ? 'primary' : 'default'}
            variant={of.includes(s) ? 'filled' : 'outlined'}
            aria-pressed={of.includes(s)}
          />
        ))}
      </Box>
    </Group>
  );
}
