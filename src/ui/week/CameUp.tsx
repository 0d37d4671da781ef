import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { Demand } from '../../core/week/demand';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { counted, sentence } from '../../core/spread/voice';
import { longDay } from '../../core/week/day-names';
import { spokenEntry } from '../../core/week/typed-line';
import type { TypingHabits } from '../../core/week/typed/habits';
import { understand } from '../../core/week/typed/understand';
import type { FoundPlace } from '../../server/week-actions';
import { CameBack } from '../agenda/CameBack';
import { useTypedLines } from '../agenda/use-typed-lines';
import { GLASS } from '../theme';
import { useOwnWays } from '../own-ways';

/** An item that came up, and what became of it. */
export interface CameUpNow {
  readonly demand: Pick<Demand, 'uid' | 'on' | 'title'>;
  readonly found: FoundPlace;
}

/** One line for what came up; what was understood is shown before it is added. */
export function CameUp({
  from,
  typing,
  onAdd,
}: {
  from: string;
  typing: TypingHabits;
  onAdd: (entry: AgendaEntry) => Promise<boolean>;
}) {
  const { clock } = useOwnWays();
  const lines = useTypedLines(onAdd);
  const { text, setText } = lines;
  const read = text.trim() ? understand(text, from, typing) : null;
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        lines.add(read?.entry);
      }}
    >
      <Box sx={{ display: 'flex', gap: 1 }}>
        <TextField
          fullWidth
          size="small"
          label="What came up?"
          placeholder="plumber 14:00"
          value={text}
          onChange={(e) => setText(e.target.value.slice(0, 400))}
          slotProps={{ inputLabel: { shrink: true } }}
        />
        <Button type="submit" variant="contained" color="secondary" disabled={!read?.entry}>
          Add
        </Button>
      </Box>
      <CameBack lines={lines} />
      <Typography variant="body2" aria-live="polite" sx={{ minHeight: 20, mt: 0.5, color: GLASS.bottle }}>
        {read && (read.entry ? spokenEntry(read.entry, clock) : 'That has a time but no words yet.')}
      </Typography>
    </Box>
  );
}

/** Where an item that came up has its place, or what can be done where there is none. */
export function Found({
  title,
  found,
  spreadId,
  onMove,
  onClose,
}: {
  title: string;
  found: FoundPlace;
  /** null: one is at its bench */
  spreadId: number | null;
  onMove: (to: string) => void;
  onClose: () => void;
}) {
  return (
    <Alert severity={found.is === 'no room' ? 'warning' : 'success'} onClose={onClose} data-testid="found-place">
      <Typography sx={{ fontWeight: 600 }}>{said(title, found)}</Typography>
      {(found.is === 'placed' || found.is === 'written') && (
        <>
          <Box component="ol" sx={{ m: 0, pl: 2.5 }}>
            {found.says.map((line) => (
              <li key={line}>{line}</li>
            ))}
          </Box>
          {spreadId !== null && (
            <Link href={`/spreads/${spreadId}/bench`} style={{ color: GLASS.bottle }}>
              To the bench
            </Link>
          )}
        </>
      )}
      {found.is === 'no room' && found.others.length > 0 && (
        <Box sx={{ display: 'flex', gap: 1, flexWrap: 'wrap', mt: 0.5 }}>
          {found.others.map((iso) => (
            <Button key={iso} size="small" variant="outlined" onClick={() => onMove(iso)}>
              Move it to {longDay(iso)}
            </Button>
          ))}
        </Box>
      )}
    </Alert>
  );
}

function said(title: string, found: FoundPlace): string {
  switch (found.is) {
    case 'placed':
      return sentence(
        `“${title}” has its place${found.moved ? `; ${counted(found.moved, 'piece')} that ${found.moved === 1 ? 'is' : 'are'} not stuck yet ${found.moved === 1 ? 'makes' : 'make'} way` : ''}.`,
      );
    case 'written':
      return `“${title}” is written straight onto the paper.`;
    case 'there already':
      return `“${title}” has its place already.`;
    case 'no room':
      return found.others.length
        ? `“${title}” has no room in its day. These have some:`
        : `“${title}” has no room in any day of this week: note it for the next.`;
  }
}
