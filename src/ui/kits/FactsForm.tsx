'use client';

import { useEffect, useRef } from 'react';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import { FactsDto } from '../../server/dto/kits.dto';
import { DayField } from '../fields/DayField';
import { useCheckedForm } from '../fields/use-checked-form';
import { spokenName } from '../../core/kit/kit';
import { imageOf } from '../../core/format/image-of';
import type { KitFacts } from '../../core/kit/suggest';
import { SEASONS } from '../../core/kit/suggest';
import { saveFacts } from '../../server/kit-actions';
import type { Run } from '../use-run';
import { Choice } from '../fields/Choice';
import { useOwnWays } from '../own-ways';

/** What the owner knows of a kit beside its pieces. */
export function FactsForm({ kit, facts: given, run, busy }: { kit: string; facts: KitFacts; run: Run; busy: boolean }) {
  const { currency } = useOwnWays();
  const { value: facts, set, errors, sound, submit } = useCheckedForm<KitFacts>(FactsDto, given);
  const opened = useRef(given);
  const settled = useRef(false);
  useEffect(() => {
    if (!settled.current || given === opened.current) return;
    settled.current = false; // what is there now is what the form goes on from
    opened.current = given;
    set(given);
  }, [given, set]);
  const keep = async (filled: KitFacts) => {
    const sent = { kit, facts: filled };
    settled.current = await run(
      () => saveFacts({ ...sent, seen: imageOf(opened.current) }),
      () => saveFacts(sent),
    );
  };
  const changed = JSON.stringify(facts) !== JSON.stringify(given);
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        submit((filled) => void keep(filled))();
      }}
      sx={{ maxWidth: 640, display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 2, pt: 1 }}
    >
      <TextField
        label="Name"
        placeholder={spokenName(kit)}
        value={facts.title}
        onChange={(e) => set({ title: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 }, inputLabel: { shrink: true } }}
      />
      <TextField
        label="Where it lies"
        placeholder="blue folder"
        value={facts.place}
        onChange={(e) => set({ place: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 80 } }}
      />
      <Choice
        label="Season"
        size="medium"
        value={facts.season}
        options={[[null, 'any'], ...SEASONS]}
        onChange={(chosen) => set({ season: chosen })}
      />
      <DayField label="To be used by" value={facts.useBy} onChange={(useBy) => set({ useBy })} clearable />
      <TextField
        label="Moods and occasions"
        placeholder="sea, choir, birthday"
        value={facts.moods}
        onChange={(e) => set({ moods: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 300 } }}
      />
      <TextField
        label="Kept for the week"
        placeholder="2027-W51"
        value={facts.keptFor ?? ''}
        error={Boolean(errors.keptFor)}
        helperText={errors.keptFor ? 'a week such as 2027-W51' : 'and offered for no other'}
        onChange={(e) => set({ keptFor: e.target.value.trim() || null })}
      />
      <TextField
        label={`Price, ${currency}`}
        type="number"
        value={facts.price ?? ''}
        onChange={(e) => set({ price: e.target.value === '' ? null : Math.max(0, Number(e.target.value)) })}
      />
      <TextField
        label="Shop"
        value={facts.shop}
        onChange={(e) => set({ shop: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 200 } }}
      />
      <TextField
        label="Notes"
        multiline
        minRows={3}
        sx={{ gridColumn: '1 / -1' }}
        value={facts.notes}
        onChange={(e) => set({ notes: e.target.value })}
        slotProps={{ htmlInput: { maxLength: 2000 } }}
      />
      <Button
        type="submit"
        variant="contained"
        color="secondary"
        disabled={busy || !changed || !sound}
        sx={{ justifySelf: 'start' }}
      >
        Keep this
      </Button>
    </Box>
  );
}
