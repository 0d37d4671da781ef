'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import Skeleton from '@mui/material/Skeleton';
import Typography from '@mui/material/Typography';
import { useRouter } from 'next/navigation';
import { useEffect, useState } from 'react';
import { counted } from '../../core/spread/voice';
import { spokenName } from '../../core/kit/kit';
import { startSpread } from '../../server/actions';
import { layOutWhole } from '../../server/lay-out-actions';
import type { LeftoversPage, TriedWeek } from '../../server/leftovers';
import type { Outcome } from '../../server/outcome';
import { useKitName } from '../kit-names';
import { GLASS } from '../theme';
import { Choice } from '../fields/Choice';
import { Screen, ScreenMain } from '../screen/Screen';
import { useRun } from '../use-run';
import { Messages } from '../screen/Messages';

interface Tried {
  readonly kit: string;
  readonly manner: string;
  /** null: it could not be tried */
  readonly week: TriedWeek | null;
}

const MOST_KITS = 3;

/** Weeks that what is left of begun kits suffices for, as finished pictures to choose from. */
export function LeftoversScreen({ page }: { page: LeftoversPage }) {
  const called = useKitName();
  const router = useRouter();
  const { run, ask, busy, messages } = useRun();
  const [week, setWeek] = useState(page.weeks[0]?.week ?? '');
  const [book, setBook] = useState(page.book ?? '');
  const [tried, setTried] = useState<readonly Tried[]>([]);
  const wanted = page.kits
    .slice(0, MOST_KITS)
    .flatMap((kit) => page.manners.map((manner) => ({ kit: kit.id, manner: manner.name })));
  useEffect(() => {
    if (!week || !book) return;
    const asked = new AbortController();
    void (async () => {
      for (const { kit, manner } of wanted) {
        const query = new URLSearchParams({ week, bookId: book, kitId: kit, manner }).toString();
        const answer = await fetch(`/leftovers/try?${query}`, { signal: asked.signal })
          .then((r) => r.json() as Promise<Outcome<TriedWeek>>)
          .catch(() => null);
        if (asked.signal.aborted) return;
        setTried((before) => [...before, { kit, manner, week: answer?.ok ? answer.value : null }]);
      }
    })();
    return () => asked.abort();
    // what is wanted hangs on the page alone
    // eslint-disable-next-line react-hooks/exhaustive-deps
  }, [week, book]);
  const take = async (kit: string, manner: string) => {
    const begun = await ask(() => startSpread({ week, bookId: book, kitId: kit, manner }));
    if (!begun) return;
    const { id } = begun.value;
    if (await run(() => layOutWhole({ spreadId: id }))) router.push(`/spreads/${id}`);
  };
  const share = (t: TriedWeek): number => t.placed / Math.max(1, t.items);
  const good = tried
    .flatMap((t) => (t.week ? [{ ...t, week: t.week }] : []))
    .sort((a, b) => share(b.week) - share(a.week) || b.week.boxes - a.week.boxes);
  const done = tried.length === wanted.length;
  return (
    <Screen title="From what is left">
      <Messages across of={messages} />
      <ScreenMain>
        {page.kits.length === 0 && (
          <Typography>
            No opened kit has enough left for another week. What is left of the others is in the stash.
          </Typography>
        )}
        {page.kits.length > 0 && (
          <>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.5, mb: 1.5, alignItems: 'center' }}>
              <Choice
                label="Week"
                value={week}
                options={page.weeks.map((w) => [w.week, w.title])}
                onChange={(w) => {
                  setTried([]);
                  setWeek(w);
                }}
              />
              <Choice
                label="Book"
                value={book}
                options={page.books.map((b) => [b.id, b.name])}
                onChange={(b) => {
                  setTried([]);
                  setBook(b);
                }}
              />
              <Typography role="status" color="text.secondary">
                {done
                  ? `${wanted.length} ways tried, the fullest first`
                  : `Laying out ${tried.length + 1} of ${wanted.length}…`}
              </Typography>
            </Box>
            <Box sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(320px, 1fr))' }}>
              {good.map(({ kit, manner, week: t }) => (
                <Paper
                  key={`${kit} ${manner}`}
                  component="section"
                  aria-label={`${called(kit)}, ${spokenName(manner)}`}
                  sx={{ p: 2 }}
                >
                  <Box sx={{ background: '#EFEBE1', borderRadius: 1.5, p: 1 }}>
                    <img
                      src={t.picture}
                      alt={`The week with what is left of ${called(kit)}, ${spokenName(manner)}`}
                      style={{ width: '100%', display: 'block' }}
                    />
                  </Box>
                  <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mt: 1 }}>
                    <Typography variant="h3" sx={{ flex: 1 }}>
                      {called(kit)} · {spokenName(manner)}
                    </Typography>
                    <Button size="small" variant="outlined" disabled={busy} onClick={() => void take(kit, manner)}>
                      Plan it so
                    </Button>
                  </Box>
                  <Typography variant="body2" sx={{ color: t.placed < t.items ? GLASS.cranberry : GLASS.quiet }}>
                    {t.placed} of {counted(t.items, 'item')} {t.placed === 1 ? 'has' : 'have'} a place ·{' '}
                    {counted(t.boxes, 'full box', 'full boxes')} · {counted(t.stickers, 'sticker')}
                  </Typography>
                </Paper>
              ))}
              {wanted.slice(tried.length).map(({ kit, manner }) => (
                <Paper key={`${kit} ${manner}`} aria-hidden sx={{ p: 2 }}>
                  <Skeleton variant="rounded" sx={{ width: '100%', height: 'auto', aspectRatio: '1.35' }} />
                  <Typography variant="h3" sx={{ mt: 1, color: GLASS.quiet }}>
                    {called(kit)} · {spokenName(manner)}
                  </Typography>
                  <Skeleton width="60%" />
                </Paper>
              ))}
            </Box>
          </>
        )}
      </ScreenMain>
    </Screen>
  );
}
