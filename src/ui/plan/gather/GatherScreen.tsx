'use client';

import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useEffect, useMemo, useState } from 'react';
import type { Theme } from '../../../core/kit/gather';
import { pieceKey } from '../../../core/kit/kit';
import { counted } from '../../../core/spread/voice';
import type { Gathered } from '../../../server/gather';
import { gatherFor, keepGathered } from '../../../server/gather';
import type { GatherPage } from '../../../server/load-gather';
import { reached } from '../../reached';
import { Messages } from '../../screen/Messages';
import { Screen, ScreenMain } from '../../screen/Screen';
import { PieceDefs } from '../../sticker/PieceDefs';
import { GatheredSheets } from './GatheredSheets';
import { ThemeForm } from './ThemeForm';

/** A color that is being dragged over settles first, ms. */
const PAUSE = 250;

/** A week without a kit: colors are picked, what goes with them is gathered from all kits, put in and out by hand. */
export function GatherScreen({ page }: { page: GatherPage }) {
  const router = useRouter();
  const [theme, setTheme] = useState<Theme>(page.theme);
  const [found, setFound] = useState<Gathered | null>(null);
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  /** what was put in or out by hand, whatever the colors are */
  const [turned, setTurned] = useState<ReadonlyMap<string, boolean>>(new Map());
  /** what was kept before counts till the colors are changed */
  const [before, setBefore] = useState(page.keys);
  const { week } = page;
  useEffect(() => {
    let current = true;
    const timer = setTimeout(() => {
      void reached(() => gatherFor({ week, theme })).then((answer) => {
        if (!current) return;
        setMessages(answer.ok ? [] : answer.messages);
        if (answer.ok) setFound(answer.value);
      });
    }, PAUSE);
    return () => {
      current = false;
      clearTimeout(timer);
    };
  }, [week, theme]);
  const left = useMemo(() => new Map(found?.left), [found]);
  const taken = useMemo(() => {
    const keys = new Set(before ?? found?.keys);
    for (const [key, isIn] of turned) if (isIn) keys.add(key);
    for (const [key, isIn] of turned) if (!isIn) keys.delete(key);
    const there = new Set(found?.pieces.map(pieceKey));
    return new Set([...keys].filter((key) => there.has(key)));
  }, [found, before, turned]);
  const pieces = found?.pieces ?? [];
  const own = pieces.filter((p) => taken.has(pieceKey(p)));
  const stickers = own.reduce((n, p) => n + (left.get(pieceKey(p)) ?? 0), 0);
  const turn = (key: string) => setTurned((known) => new Map([...known, [key, !taken.has(key)]]));
  const keep = async () => {
    setBusy(true);
    const answer = await reached(() => keepGathered({ week, theme, keys: own.map(pieceKey) }));
    setBusy(false);
    setMessages(answer.ok ? [] : answer.messages);
    if (answer.ok) router.push(`/plan?${new URLSearchParams({ week, kits: 'gathered' }).toString()}`);
  };
  return (
    <Screen
      title={<>Gather for {page.title}</>}
      acts={
        <>
          <Button color="inherit" component={Link} href={`/plan?week=${week}`}>
            Plan with a kit
          </Button>
          <Button variant="contained" color="secondary" disabled={busy || !own.length} onClick={() => void keep()}>
            Lay the week out
          </Button>
        </>
      }
    >
      <Messages across of={messages} />
      <ScreenMain gap={2}>
        <Typography color="text.secondary">
          Pick two to four colors. What goes with them is gathered from all your kits and the stash; kits that wait for
          their own week are left alone. Press a sticker to put it in or out.
        </Typography>
        <ThemeForm
          theme={theme}
          foils={page.foils}
          onChange={(next) => {
            setBefore(null);
            setTheme(next);
          }}
        />
        <Typography role="status">
          {!found
            ? 'Looking through the kits…'
            : own.length
              ? `${counted(stickers, 'sticker')} of ${counted(own.length, 'design')} from ${counted(new Set(own.map((p) => p.kit)).size, 'kit')}`
              : 'Nothing is taken.'}
        </Typography>
        {found && !pieces.length && (
          <Typography>No sticker you have goes with these colors. Try lighter or plainer ones.</Typography>
        )}
        <PieceDefs pieces={pieces} />
        <GatheredSheets pieces={pieces} taken={taken} left={left} onTurn={turn} />
      </ScreenMain>
    </Screen>
  );
}
