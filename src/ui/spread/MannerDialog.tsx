'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Chip from '@mui/material/Chip';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { spokenName } from '../../core/kit/kit';
import type { Section } from '../../core/manner/section';
import { MANNERS, mannerNamed } from '../../core/manner/registry';
import { scattered } from '../../core/manner/scattered';
import type { OwnManner } from '../../db/manners';
import { forgetMannerOf, keepMannerAs, ownManners } from '../../server/manner-actions';
import { reached } from '../reached';
import { GLASS } from '../theme';
import type { Setting } from '../../core/manner/settings';
import { settingGroups } from '../../core/manner/settings';
import { SECTIONS } from '../../core/manner/section';
import type { MannerChoice } from './store';
import { useSpread } from './store';
import { Messages } from '../screen/Messages';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';

const same = (a: unknown, b: unknown): boolean => JSON.stringify(a) === JSON.stringify(b);

/**
 * How this week is laid out: a school, and every habit of it that can be set otherwise; to be kept as one's own
 * manner.
 */
export function MannerDialog({ onClose }: { onClose: () => void }) {
  const own = useSpread((s) => s.data.own);
  const school = useSpread((s) => s.context.manner.name);
  const setManner = useSpread((s) => s.setManner);
  const any = useSpread((s) => s.placements.length > 0);
  const [choice, setChoice] = useState<MannerChoice>({ school, options: own.options, ways: own.ways });
  const [mine, setMine] = useState<readonly OwnManner[]>([]);
  const [name, setName] = useState('');
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [said, setSaid] = useState('');
  const manner = mannerNamed(choice.school) ?? scattered;
  const list = () =>
    ownManners()
      .then((a) => (a.ok ? setMine(a.value) : setMessages(a.messages)))
      .catch(() => setMessages(['The server could not be reached; your own manners are not listed.']));
  useEffect(() => {
    void list();
  }, []);
  const habit = (s: Setting): unknown => (s.of === 'options' ? manner.habits[s.key] : manner.ways[s.key]);
  const value = (s: Setting): unknown => (s.of === 'options' ? choice.options[s.key] : choice.ways[s.key]) ?? habit(s);
  const set = (of: 'options' | 'ways', key: string, to: unknown, usual: unknown) =>
    setChoice((c) => {
      const others = Object.entries(c[of]).filter(([k]) => k !== key);
      return { ...c, [of]: Object.fromEntries(same(to, usual) ? others : [...others, [key, to]]) };
    });
  const sections = choice.options.sidebar ?? manner.habits.sidebar;
  const toggle = (section: Section) =>
    set(
      'options',
      'sidebar',
      sections.includes(section) ? sections.filter((s) => s !== section) : [...sections, section],
      manner.habits.sidebar,
    );
  const keep = async () => {
    const kept = await reached(() => keepMannerAs({ name: name.trim(), ...choice }));
    setMessages(kept.ok ? [] : kept.messages);
    setSaid(kept.ok ? `“${name.trim()}” is kept, and offered for every new week.` : '');
    if (kept.ok) {
      setName('');
      void list();
    }
  };
  const changed = Object.keys(choice.options).length + Object.keys(choice.ways).length;
  const take = (anew: boolean) => {
    setManner(choice, anew);
    onClose();
  };
  return (
    <FormDialog
      title="How this week is laid out"
      size="md"
      onClose={onClose}
      aside={
        <Typography variant="caption" color="text.secondary">
          {changed
            ? `${changed} set otherwise than ${spokenName(choice.school)} has it`
            : `all as ${spokenName(choice.school)} has it`}
        </Typography>
      }
      others={
        <Button variant="outlined" onClick={() => take(false)}>
          Use it from here on
        </Button>
      }
      act={{ label: any ? 'Use it and arrange again' : 'Use it and arrange', run: () => take(true) }}
    >
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '230px 1fr' }, gap: 3, alignItems: 'start' }}>
        <Box role="radiogroup" aria-label="Manner" sx={{ display: 'flex', flexDirection: 'column', gap: 0.75 }}>
          {Object.values(MANNERS).map((m) => (
            <School
              key={m.name}
              name={spokenName(m.name)}
              says={m.says}
              chosen={m.name === choice.school}
              onChoose={() => setChoice({ school: m.name, options: {}, ways: {} })}
            />
          ))}
          {mine.length > 0 && (
            <Typography variant="subtitle2" sx={{ mt: 1 }}>
              Your own
            </Typography>
          )}
          {mine.map((m) => (
            <Box key={m.name} sx={{ display: 'flex', gap: 0.5 }}>
              <School
                name={m.name}
                says={`after ${spokenName(m.school)}`}
                chosen={m.school === choice.school && same(m.options, choice.options) && same(m.ways, choice.ways)}
                onChoose={() => setChoice({ school: m.school, options: m.options, ways: m.ways })}
              />
              <Button
                size="small"
                aria-label={`Forget ${m.name}`}
                onClick={() => {
                  void reached(() => forgetMannerOf({ name: m.name })).then((gone) =>
                    gone.ok ? list() : setMessages(gone.messages),
                  );
                }}
              >
                Forget
              </Button>
            </Box>
          ))}
        </Box>
        <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2 }}>
          {settingGroups().map(({ group, settings }) => (
            <Box key={group} component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
              <Typography component="legend" variant="h3" sx={{ fontSize: 15, p: 0, mb: 1 }}>
                {group}
              </Typography>
              <Box sx={{ display: 'grid', gridTemplateColumns: 'repeat(auto-fill, minmax(165px, 1fr))', gap: 1.25 }}>
                {settings.map((s) => {
                  const usual = habit(s);
                  const at = s.choices.findIndex((c) => same(c.value, value(s)));
                  const other = !same(value(s), usual);
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
                      onChange={(chosen) => set(s.of, s.key, s.choices[chosen ?? -1]?.value, usual)}
                      sx={other ? { '& .MuiInputBase-root': { fontWeight: 600, color: GLASS.amberDeep } } : {}}
                    />
                  );
                })}
              </Box>
            </Box>
          ))}
          <Box component="fieldset" sx={{ border: 0, p: 0, m: 0 }}>
            <Typography component="legend" variant="h3" sx={{ fontSize: 15, p: 0, mb: 1 }}>
              Sidebar, top to bottom
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {[...sections, ...SECTIONS.filter((s) => !sections.includes(s))].map((s) => (
                <Chip
                  key={s}
                  label={`${sections.includes(s) ? `${sections.indexOf(s) + 1}. ` : ''}${s.replace('-', ' ')}`}
                  clickable
                  onClick={() => toggle(s)}
                  color={sections.includes(s) ? 'primary' : 'default'}
                  variant={sections.includes(s) ? 'filled' : 'outlined'}
                  aria-pressed={sections.includes(s)}
                />
              ))}
            </Box>
          </Box>
          <Box
            component="form"
            onSubmit={(e) => {
              e.preventDefault();
              void keep();
            }}
            sx={{ display: 'flex', gap: 1, alignItems: 'center' }}
          >
            <TextField
              size="small"
              label="Keep as my own manner"
              value={name}
              onChange={(e) => setName(e.target.value)}
              slotProps={{ htmlInput: { maxLength: 60 } }}
              sx={{ width: 240 }}
            />
            <Button type="submit" variant="outlined" disabled={!name.trim()}>
              Keep
            </Button>
            <Button
              onClick={() => setChoice({ school: choice.school, options: {}, ways: {} })}
              disabled={changed === 0}
              sx={{ ml: 'auto' }}
            >
              Back to all habits
            </Button>
          </Box>
          <Messages of={messages} />
          {said && <Alert severity="success">{said}</Alert>}
        </Box>
      </Box>
    </FormDialog>
  );
}

function School({
  name,
  says,
  chosen,
  onChoose,
}: {
  name: string;
  says: string;
  chosen: boolean;
  onChoose: () => void;
}) {
  return (
    <ButtonBase
      role="radio"
      aria-checked={chosen}
      onClick={onChoose}
      sx={{
        width: '100%',
        display: 'block',
        textAlign: 'left',
        borderRadius: 2,
        px: 1.5,
        py: 1,
        border: `1.5px solid ${chosen ? GLASS.bottle : GLASS.edge}`,
        background: chosen ? GLASS.bottleSoft : 'transparent',
      }}
    >
      <Typography sx={{ fontWeight: 600, fontSize: 14.5 }}>{name}</Typography>
      <Typography variant="caption" color="text.secondary" sx={{ display: 'block', lineHeight: 1.3 }}>
        {says}
      </Typography>
    </ButtonBase>
  );
}
