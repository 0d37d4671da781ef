'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Checkbox from '@mui/material/Checkbox';
import FormControlLabel from '@mui/material/FormControlLabel';
import LinearProgress from '@mui/material/LinearProgress';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useEffect, useState } from 'react';
import { stashChoices } from '../../server/actions';
import type { StashChoice } from '../../server/stash';
import { useSpread } from './store';
import { useKitName } from '../kit-names';
import { FormDialog } from '../screen/FormDialog';

/** A search helps where there are more than can be looked over at once. */
const MANY = 9;

/** Chooses which stashes and begun kits lie ready beside the week's own kit. */
export function StashDialog({ onClose }: { onClose: () => void }) {
  const called = useKitName();
  const id = useSpread((s) => s.data.id);
  const setStash = useSpread((s) => s.setStash);
  const [choices, setChoices] = useState<readonly StashChoice[] | null>(null);
  const [chosen, setChosen] = useState<ReadonlySet<string>>(new Set());
  const [trouble, setTrouble] = useState<readonly string[]>([]);
  const [search, setSearch] = useState('');
  useEffect(() => {
    let current = true;
    stashChoices({ spreadId: id })
      .then((made) => {
        if (!current) return;
        if (!made.ok) return setTrouble(made.messages);
        setChoices(made.value);
        setChosen(new Set(made.value.filter((c) => c.chosen).map((c) => c.kit)));
      })
      .catch(() => current && setTrouble(['The server could not be reached.']));
    return () => {
      current = false;
    };
  }, [id]);
  const toggle = (kit: string) => {
    const next = new Set(chosen);
    if (!next.delete(kit)) next.add(kit);
    setChosen(next);
  };
  const shown = choices?.filter((c) => called(c.kit).toLowerCase().includes(search.trim().toLowerCase())) ?? [];
  return (
    <FormDialog
      plain
      title="What lies ready beside the kit"
      size="xs"
      onClose={onClose}
      messages={trouble}
      aside={
        <Button component={Link} href={`/make?spread=${id}`}>
          Make pieces
        </Button>
      }
      act={{
        label: 'Lay these ready',
        disabled: !choices,
        run: () => {
          setStash([...chosen]);
          onClose();
        },
      }}
    >
      <Typography color="text.secondary" variant="body2">
        The week may take stickers from these. What it has taken already stays.
      </Typography>

      {!choices && !trouble.length && <LinearProgress color="secondary" aria-label="Looking through the kits" />}
      {choices?.length === 0 && <Typography>There is no stash yet, and no other kit is begun.</Typography>}
      {choices && choices.length > MANY && (
        <TextField
          size="small"
          fullWidth
          placeholder="Name of a kit"
          value={search}
          onChange={(e) => setSearch(e.target.value)}
          slotProps={{ htmlInput: { 'aria-label': 'Search the kits' } }}
        />
      )}
      <Box sx={{ maxHeight: 340, overflowY: 'auto' }}>
        {shown.map((c) => (
          <FormControlLabel
            key={c.kit}
            sx={{ display: 'flex', mr: 0 }}
            control={<Checkbox size="small" checked={chosen.has(c.kit)} onChange={() => toggle(c.kit)} />}
            label={
              <>
                {called(c.kit)}{' '}
                <Typography component="span" variant="caption" color="text.secondary">
                  {c.role === 'stash' ? 'stash' : 'begun kit'}, {c.left} whole
                </Typography>
              </>
            }
          />
        ))}
      </Box>
    </FormDialog>
  );
}
