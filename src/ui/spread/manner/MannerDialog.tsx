'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import { spokenName } from '../../../core/kit/kit';
import { MANNERS } from '../../../core/manner/registry';
import type { OwnManner } from '../../../db/manners';
import { forgetMannerOf, keepMannerAs, ownManners } from '../../../server/manner-actions';
import { reached } from '../../reached';
import { FormDialog } from '../../screen/FormDialog';
import { Messages } from '../../screen/Messages';
import type { MannerChoice } from '../store';
import { useSpread } from '../store';
import { Habits, same } from './Habits';
import { LivePicture } from './LivePicture';
import { InSchool, School } from './School';
import { useLooks } from './use-looks';

/**
 * How this week is laid out: a school, and every habit of it that can be set otherwise, each shown in the week itself;
 * to be kept as one's own manner.
 */
export function MannerDialog({ onClose }: { onClose: () => void }) {
  const own = useSpread((s) => s.data.own);
  const school = useSpread((s) => s.context.manner.name);
  const setManner = useSpread((s) => s.setManner);
  const any = useSpread((s) => s.placements.length > 0);
  const [choice, setChoice] = useState<MannerChoice>({ school, options: own.options, ways: own.ways });
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [mine, list] = useOwnManners(setMessages);
  const looks = useLooks(choice);
  const changed = Object.keys(choice.options).length + Object.keys(choice.ways).length;
  const take = (anew: boolean) => {
    setManner(choice, anew);
    onClose();
  };
  const forget = (name: string) =>
    reached(() => forgetMannerOf({ name })).then((gone) => (gone.ok ? list() : setMessages(gone.messages)));
  return (
    <FormDialog
      title="How this week is laid out"
      size="lg"
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
      <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', sm: '220px 1fr' }, gap: 3, alignItems: 'start' }}>
        <Box role="radiogroup" aria-label="Manner" sx={SCHOOLS}>
          {Object.values(MANNERS).map((m) => (
            <School
              key={m.name}
              name={spokenName(m.name)}
              says={m.says}
              chosen={m.name === choice.school}
              onChoose={() => setChoice({ school: m.name, options: {}, ways: {} })}
            >
              <InSchool school={m.name} placements={looks.schools.get(m.name)?.placements} />
            </School>
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
              <Button size="small" aria-label={`Forget ${m.name}`} onClick={() => void forget(m.name)}>
                Forget
              </Button>
            </Box>
          ))}
        </Box>
        <Box
          sx={{
            display: 'grid',
            gridTemplateColumns: { xs: '1fr', lg: '560px 1fr' },
            gap: 2,
            alignItems: 'start',
            minWidth: 0,
          }}
        >
          <LivePicture looks={looks} />
          <Box sx={{ display: 'flex', flexDirection: 'column', gap: 2, minWidth: 0 }}>
            <Habits choice={choice} onChange={setChoice} />
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, alignItems: 'center' }}>
              <KeepAs choice={choice} onKept={list} onMessages={setMessages} />
              <Button
                onClick={() => setChoice({ school: choice.school, options: {}, ways: {} })}
                disabled={changed === 0}
                sx={{ ml: 'auto' }}
              >
                Back to all habits
              </Button>
            </Box>
            <Messages of={messages} />
          </Box>
        </Box>
      </Box>
    </FormDialog>
  );
}

/** In a column; on a phone in one row, which is pushed sideways. */
const SCHOOLS = {
  display: 'flex',
  flexDirection: { xs: 'row', sm: 'column' },
  gap: 0.75,
  minWidth: 0,
  overflowX: { xs: 'auto', sm: 'visible' },
  '& > *': { flex: { xs: '0 0 150px', sm: '0 0 auto' } },
} as const;

/** The manners of one's own, and how they are read anew. */
function useOwnManners(onMessages: (messages: readonly string[]) => void) {
  const [mine, setMine] = useState<readonly OwnManner[]>([]);
  const list = () =>
    ownManners()
      .then((a) => (a.ok ? setMine(a.value) : onMessages(a.messages)))
      .catch(() => onMessages(['The server could not be reached; your own manners are not listed.']));
  useEffect(() => {
    void list();
    // once, when the dialog opens
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, []);
  return [mine, list] as const;
}

interface KeepAsProps {
  readonly choice: MannerChoice;
  readonly onKept: () => Promise<void>;
  readonly onMessages: (messages: readonly string[]) => void;
}

function KeepAs({ choice, onKept, onMessages }: KeepAsProps) {
  const [name, setName] = useState('');
  const [said, setSaid] = useState('');
  const keep = async () => {
    const kept = await reached(() => keepMannerAs({ name: name.trim(), ...choice }));
    onMessages(kept.ok ? [] : kept.messages);
    setSaid(kept.ok ? `“${name.trim()}” is kept, and offered for every new week.` : '');
    if (!kept.ok) return;
    setName('');
    await onKept();
  };
  return (
    <>
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
      </Box>
      {said && <Alert severity="success">{said}</Alert>}
    </>
  );
}
