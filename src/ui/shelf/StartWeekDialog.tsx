'use client';

import Box from '@mui/material/Box';
import MenuItem from '@mui/material/MenuItem';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { counted } from '../../core/spread/voice';
import { sayCarried, sayWanted } from '../../core/arrange/counting/say-enough';
import { spokenName } from '../../core/kit/kit';
import type { DayBetween } from '../../core/week/day-between';
import { longDate, longDay, spokenWeek } from '../../core/week/day-names';
import { startSpread } from '../../server/actions';
import type { WeekCount } from '../../server/counting-actions';
import { countWeek } from '../../server/counting-actions';
import type { Outcome } from '../../server/outcome';
import type { Shelf, ShelfWeek } from '../../server/shelf';
import { reached } from '../reached';
import { GLASS } from '../theme';
import { Swatches } from './WeekCard';
import { useKitName } from '../kit-names';
import { FormDialog } from '../screen/FormDialog';
import { Choice } from '../fields/Choice';

const LAST = 'hobnail.manner';
/** The manner of the week begun last in this browser. */
const recall = (): string | null => (typeof window === 'undefined' ? null : window.localStorage.getItem(LAST));
const remember = (manner: string): void => window.localStorage.setItem(LAST, manner);

/** Opens a week: which book, which kit, in which manner. */
export function StartWeekDialog({ week, shelf, onClose }: { week: ShelfWeek; shelf: Shelf; onClose: () => void }) {
  const called = useKitName();
  const router = useRouter();
  const free =
    shelf.kits.find((k) => k.id === week.planned) ??
    shelf.kits.find((k) => k.id === shelf.lastKit) ??
    [...shelf.kits]
      .sort((a, b) => b.pieces - a.pieces)
      .find((k) => !shelf.weeks.some((w) => w.kit === k.id || (w.planned === k.id && w !== week))) ??
    shelf.kits[0];
  const [bookId, setBookId] = useState(shelf.usualBook);
  const [kitId, setKitId] = useState(free?.id ?? '');
  const [manner, setManner] = useState(() => recall() ?? 'scattered');
  const chosen = shelf.manners.find((m) => m.name === manner);
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  /** the week as the chosen book has it */
  const [count, setCount] = useState<WeekCount | null>(null);
  const items = count?.items ?? week.items;
  const start = async () => {
    setBusy(true);
    remember(manner);
    const result = await reached(() => startSpread({ week: week.week, bookId, kitId, manner }));
    if (result.ok) return router.push(`/spreads/${result.value.id}`);
    setMessages(result.messages);
    setBusy(false);
  };
  return (
    <FormDialog
      plain
      title={<>Plan {count ? spokenWeek(count.days) : week.title}</>}
      size="xs"
      cancel="Not now"
      onClose={onClose}
      messages={messages}
      act={{ label: 'Open the book', disabled: busy || !bookId || !kitId, run: start }}
    >
      <Typography color="text.secondary">
        {counted(items, 'item')} {items === 1 ? 'waits' : 'wait'} for a place.
        {count?.between && ` ${sayBetween(count.between)}`}
      </Typography>
      <Choice
        label="Book"
        size="medium"
        value={bookId}
        options={shelf.books.map((b) => [b.id, b.name] as const)}
        onChange={setBookId}
      />
      <TextField select label="Kit" value={kitId} onChange={(e) => setKitId(e.target.value)}>
        {shelf.kits.map((k) => {
          const used = shelf.weeks.find((w) => w.kit === k.id);
          return (
            <MenuItem key={k.id} value={k.id}>
              <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5 }}>
                <Swatches colors={k.swatches} /> {called(k.id)}
                <Typography variant="caption" color="text.secondary">
                  {counted(k.pieces, 'sticker')}
                  {used ? `, begun for ${used.title}` : ''}
                </Typography>
              </Box>
            </MenuItem>
          );
        })}
      </TextField>
      <Choice
        label="Manner"
        size="medium"
        value={shelf.manners.some((m) => m.name === manner) ? manner : 'scattered'}
        options={shelf.manners.map(
          (m) =>
            [
              m.name,
              <>
                {spokenName(m.name)}
                {m.rated && (
                  <Typography component="span" variant="caption" color="text.secondary" sx={{ ml: 1 }}>
                    {m.rated.mean.toFixed(1)} of 5 over {counted(m.rated.weeks, 'week')}
                  </Typography>
                )}
              </>,
            ] as const,
        )}
        onChange={setManner}
        helperText={chosen?.says}
      />
      {chosen && chosen.leans.length > 0 && (
        <Typography variant="body2" data-testid="leans">
          As you loved it: {chosen.leans.join('; ')}.
        </Typography>
      )}
      {kitId && bookId && <Count week={week.week} bookId={bookId} kitId={kitId} manner={manner} onCounted={setCount} />}
    </FormDialog>
  );
}

/** What becomes of the day between two books. */
const sayBetween = ({ day, is }: DayBetween): string =>
  is === 'twice'
    ? `${longDay(day)}, ${longDate(day)}, is on the pages of the week before too.`
    : `${longDay(day)}, ${longDate(day)}, is on no page: what it asks for goes with the first day.`;

interface Counted {
  readonly of: string;
  readonly outcome: Outcome<WeekCount>;
}

/** Whether kit and stash are enough for the week, kind by kind, before the book is opened. */
function Count({
  week,
  bookId,
  kitId,
  manner,
  onCounted,
}: {
  week: string;
  bookId: string;
  kitId: string;
  manner: string;
  onCounted: (count: WeekCount) => void;
}) {
  const of = [week, bookId, kitId, manner].join('\n');
  const [counted, setCounted] = useState<Counted | null>(null);
  useEffect(() => {
    let current = true;
    countWeek({ week, bookId, kitId, manner })
      .then((outcome) => {
        if (!current) return;
        setCounted({ of, outcome });
        if (outcome.ok) onCounted(outcome.value);
      })
      .catch(() => current && setCounted({ of, outcome: { ok: false, messages: ['Hobnail did not answer.'] } }));
    return () => {
      current = false;
    };
  }, [of, week, bookId, kitId, manner, onCounted]);
  if (counted?.of !== of)
    return (
      <Typography variant="body2" color="text.secondary" role="status">
        Counting what the kit has for this week…
      </Typography>
    );
  if (!counted.outcome.ok) return null; // opening the book says it
  const { lacking, carried, days } = counted.outcome.value;
  const bases = lacking.find((e) => e.what === 'bases');
  return (
    <Box role="status" data-testid="week-count">
      {lacking.length === 0 && (
        <Typography variant="body2" sx={{ color: GLASS.bottle }}>
          Kit and stash have all that this week wants.
        </Typography>
      )}
      {bases && carried && <Typography variant="body2">{sayCarried(bases, carried, days)}</Typography>}
      {lacking
        .filter((e) => e !== bases)
        .map((e) => (
          <Typography key={e.what} variant="caption" component="p" color="text.secondary">
            {sayWanted(e.what)}: {e.there} of {e.needed}
          </Typography>
        ))}
    </Box>
  );
}
