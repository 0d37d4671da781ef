'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import type { AgendaEntry } from '../../core/week/agenda-entry';
import { blankEntry } from '../../core/week/agenda-entry';
import { spokenEntry } from '../../core/week/typed-line';
import type { TypingHabits } from '../../core/week/typed/habits';
import type { Span, Use } from '../../core/week/typed/line';
import type { Doubt } from '../../core/week/typed/doubts';
import { understand } from '../../core/week/typed/understand';
import { startOfDays, weekHolding } from '../../core/week/week';
import { useOwnWays } from '../own-ways';
import { GLASS } from '../theme';
import { Hint } from '../Hint';
import { CameBack } from './CameBack';
import { useTypedLines } from './use-typed-lines';

const DOUBTS: Readonly<Record<Exclude<Doubt['is'], 'no day' | 'no hour' | 'no rule' | 'in the title'>, string>> = {
  'before noon': 'Before noon instead',
  'after noon': 'After noon instead',
  'every week': 'Every week instead',
  'one long': 'One long item instead',
  'until then': 'All the days till then instead',
  'of each month': 'Once a month instead',
  'by weeks': 'By weeks instead',
};

const sayDoubt = (d: Exclude<Doubt, { is: 'in the title' }>): string =>
  d.is === 'no day'
    ? `“${d.word}” isn’t a day`
    : d.is === 'no hour'
      ? `“${d.word}” isn’t a time`
      : d.is === 'no rule'
        ? 'Only once instead'
        : DOUBTS[d.is];

const USES: Readonly<Record<Use, string>> = {
  day: 'the day',
  time: 'the hour',
  length: 'how long',
  repeat: 'how it comes again',
  until: 'how it comes again',
  part: 'when in the day',
  list: 'its list',
  before: 'planned before',
  countdown: 'days counted',
  since: 'counted from',
  due: 'a deadline',
  'only with': 'only in weeks with',
  turns: 'takes turns',
  'not sure': 'not sure yet',
};

/** One line that becomes an item; what was understood is shown before it is saved, and where it went afterwards. */
export function TypedLine({
  from,
  habits,
  days,
  busy,
  added,
  onSave,
  onUndo,
  onForm,
}: {
  from: string;
  habits: TypingHabits;
  /** those that are shown */
  days: readonly string[];
  busy: boolean;
  /** what was added last, as long as nothing else was done since */
  added: AgendaEntry | null;
  onSave: (entry: AgendaEntry) => Promise<boolean>;
  onUndo: () => void;
  onForm: (entry: AgendaEntry) => void;
}) {
  const { clock } = useOwnWays();
  const lines = useTypedLines(onSave);
  const { text, setText, add } = lines;
  const read = text.trim() ? understand(text, from, habits) : null;
  return (
    <Box
      component="form"
      onSubmit={(e) => {
        e.preventDefault();
        add(read?.entry);
      }}
      sx={{ flex: { xs: '1 1 100%', md: 1 }, minWidth: 0 }}
    >
      <Box sx={{ display: 'flex', gap: 1, alignItems: 'center', flexWrap: { xs: 'wrap', sm: 'nowrap' } }}>
        <TextField
          fullWidth
          size="small"
          autoFocus
          value={text}
          onChange={(e) => setText(e.target.value)}
          placeholder={`vet thu ${clock === '24 h' ? '16:30' : '4:30p'} for 45 min`}
          slotProps={{ htmlInput: { 'aria-label': 'New item', maxLength: 400 } }}
        />
        <Button type="submit" variant="contained" color="secondary" disabled={!read?.entry}>
          Add
        </Button>
        <Button sx={{ whiteSpace: 'nowrap', flexShrink: 0 }} onClick={() => onForm(read?.entry ?? blankEntry(from))}>
          By form
        </Button>
      </Box>
      <CameBack lines={lines} />
      {read && <Marked text={text} spans={read.spans} />}
      <Typography
        variant="body2"
        component="div"
        aria-live="polite"
        data-testid="understood"
        sx={{ mt: 0.5, minHeight: 20, color: read?.entry ? GLASS.bottle : GLASS.quiet }}
      >
        {read ? (
          <>
            {read.entry ? spokenEntry(read.entry, clock) : 'That has a time but no words yet.'}
            {read.doubts.map((d) =>
              d.is === 'in the title' ? (
                <Box key={d.is} component="span" sx={{ ml: 1, color: GLASS.cranberry }}>
                  “{d.word}” stays in the title. Did you mean it so?
                </Box>
              ) : (
                <Button
                  key={d.is}
                  size="small"
                  onClick={() => add(d.instead)}
                  sx={{ py: 0, ml: 1, textDecoration: 'underline' }}
                >
                  {sayDoubt(d)}
                </Button>
              ),
            )}
          </>
        ) : added ? (
          <span data-testid="added">
            Added {spokenEntry(added, clock)}.
            {!days.includes(added.day) && (
              <Button
                size="small"
                component={Link}
                href={`/agenda?week=${weekHolding(added.day, startOfDays(days))}`}
                sx={{ py: 0, ml: 1 }}
              >
                Show
              </Button>
            )}
            <Button size="small" disabled={busy} sx={{ py: 0, ml: 1 }} onClick={onUndo}>
              Remove it again
            </Button>
          </span>
        ) : (
          'trash every mon evening · rent due 1st, 2 days before · camp fri-sun · soap list to buy'
        )}
      </Typography>
    </Box>
  );
}

/** The line as it was read: what was understood is underlined, all else is the title. */
function Marked({ text, spans }: { text: string; spans: readonly Span[] }) {
  const parts: { words: string; as: Use | null }[] = [];
  let at = 0;
  for (const s of spans) {
    if (s.from < at || s.to > text.length) continue;
    parts.push({ words: text.slice(at, s.from), as: null }, { words: text.slice(s.from, s.to), as: s.as });
    at = s.to;
  }
  parts.push({ words: text.slice(at), as: null });
  return (
    <Box
      data-testid="marked"
      sx={{ mt: 0.5, fontSize: 13, overflowWrap: 'anywhere', whiteSpace: 'pre-wrap' }}
      aria-hidden
    >
      {parts.map(({ words, as }, i) =>
        as ? (
          <Hint key={i} title={USES[as]}>
            <Box component="span" sx={{ borderBottom: `2px solid ${GLASS.cobalt}`, color: GLASS.cobalt }}>
              {words}
            </Box>
          </Hint>
        ) : (
          <Box component="span" key={i} sx={{ fontWeight: 600 }}>
            {words}
          </Box>
        ),
      )}
    </Box>
  );
}
