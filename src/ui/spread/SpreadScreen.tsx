'use client';

import Box from '@mui/material/Box';
import useMediaQuery from '@mui/material/useMediaQuery';
import dynamic from 'next/dynamic';
import { useEffect, useMemo, useRef, useState } from 'react';
import { isOrdinary } from '../../core/review/ordinary';
import { review, viewOf } from '../../core/review/review';
import { scoreOf } from '../../core/review/score';
import { parted } from '../../core/review/wave';
import { spokenWeek } from '../../core/week/day-names';
import type { SpreadData } from '../../server/spread-data';
import { later, whenTouched } from '../later';
import { Screen } from '../screen/Screen';
import { GLASS } from '../theme';
import { Board } from './board/Board';
import { useWhole } from './board/use-whole';
import { BoardBar } from './BoardBar';
import { useCarrying } from './carry/use-carry';
import { Drawer } from './Drawer';
import { HeadActs, HeadNote } from './Head';
import { Notices } from './Notices';
import { Rail } from './Rail';
import { ReviewContext } from './review-context';
import { SpreadStoreContext, createSpreadStore, useSpread } from './store';
import { useKeys } from './use-keys';

const Carried = later(() => import('./carry/Carried').then((m) => m.Carried));
const Sheets = later(() => import('./Sheets').then((m) => m.Sheets));

/** Drawn in the browser only: sending every sticker's drawing with the page would triple its weight. */
const PieceDefs = dynamic(() => import('../sticker/PieceDefs').then((m) => m.PieceDefs), { ssr: false });

/** The heart: the open book, and beside it a drawer with the sheets, the week's items and what the review says. */
export function SpreadScreen({ spread }: { spread: SpreadData }) {
  const [store] = useState(() => createSpreadStore(spread));
  return (
    <SpreadStoreContext.Provider value={store}>
      <TheWeek />
    </SpreadStoreContext.Provider>
  );
}

function TheWeek() {
  const context = useSpread((s) => s.context);
  const placements = useSpread((s) => s.placements);
  const wavedKeys = useSpread((s) => s.waved);
  const folded = useSpread((s) => s.folded);
  const wide = useMediaQuery('(min-width:1700px)');
  const room = useRef<HTMLDivElement>(null);
  const carrying = useCarrying((s) => s.carried !== null);
  useEffect(() => whenTouched([Carried]), []);
  const { whole } = useWhole();
  const reviewed = useMemo(() => {
    const view = viewOf(context, placements);
    const { open, waved } = parted(placements.length ? review(view) : [], wavedKeys);
    return { view, findings: open.filter((f) => !isOrdinary(f)), ordinary: open.filter(isOrdinary), waved };
  }, [context, placements, wavedKeys]);
  const pieces = useMemo(() => [context.kit, ...context.stash].flatMap((k) => k.pieces), [context]);
  useKeys();
  return (
    <ReviewContext.Provider value={reviewed}>
      <PieceDefs pieces={pieces} />
      {carrying && <Carried board={room} />}
      <Screen
        fill="wide"
        title={spokenWeek(context.week.days)}
        note={<HeadNote score={placements.length ? scoreOf(reviewed.findings) : null} />}
        acts={<HeadActs />}
      >
        <Notices />
        <Box sx={{ flex: 1, minHeight: 0, display: 'flex', flexDirection: { xs: 'column', md: 'row' } }}>
          <Rail />
          {wide && !folded && (
            <Box sx={{ width: 250, flexShrink: 0, borderRight: `1px solid ${GLASS.edge}`, display: 'flex' }}>
              <Sheets />
            </Box>
          )}
          <Box
            component="main"
            sx={{ flex: 1, minWidth: 0, display: 'flex', flexDirection: 'column', background: '#EFEBE1' }}
          >
            <BoardBar room={room} />
            <Box
              ref={room}
              sx={{
                flex: { xs: '0 0 auto', md: 1 },
                minHeight: 0,
                aspectRatio: { xs: `${whole.w} / ${whole.h}`, md: 'auto' },
                maxHeight: { xs: '88vh', md: 'none' },
                px: 0.75,
                pb: 0.75,
              }}
            >
              <Board />
            </Box>
          </Box>
          {!folded && <Drawer wide={wide} />}
        </Box>
      </Screen>
    </ReviewContext.Provider>
  );
}
