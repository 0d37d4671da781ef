import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Book, MarkKind, RegionKind } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { addMark, addRegion, placeOf, removePart, setPlace } from '../../core/book/change-book';
import { sayBookDeed } from '../../core/book/deed';
import type { BooksPage } from '../../server/books';
import { GLASS } from '../theme';
import { BookFacts } from './BookFacts';
import type { Draw } from './DrawMore';
import { DrawMore } from './DrawMore';
import { PageCanvas } from './PageCanvas';
import { PagesForm } from './PagesForm';
import { PartFields } from './PartFields';
import { ScanFields, useScans } from './ScanFields';
import { useOwnBook } from './use-own-book';
import { Conflict } from '../Conflict';
import { UndoRedo } from '../UndoRedo';
import { useTrueSize } from '../use-true-size';

type Chosen = NonNullable<BooksPage['chosen']>;

/** A book's pages with their places and marks over the scan; every change is kept at once and can be undone. */
export function BookEditor({ chosen }: { chosen: Chosen }) {
  const { line } = chosen;
  const { book, history, lacking, setLacking, asked, change: keep, travel, said } = useOwnBook(chosen);
  const [page, setPage] = useState(0);
  const [part, setPart] = useState<Part | null>(null);
  const [draw, setDraw] = useState<Draw | null>(null);
  const [trueSize, setTrueSize] = useState(false);
  const scans = useScans(line.id, page, chosen.scans, (why) => setLacking([why]));
  const [pixels] = useTrueSize();
  const locked = line.shipped;
  const paper = book.pages[page];
  const change = (next: Book, nowChosen: Part | null = part) => {
    if (locked) return;
    setPart(nowChosen);
    keep(next);
  };
  const step = (way: 'undo' | 'redo') => {
    setPart(null);
    travel(way);
  };
  const nudge = (dx: number, dy: number) => {
    const rect = part && placeOf(book, part);
    if (part && rect) change(setPlace(book, part, { x: rect.x + dx, y: rect.y + dy }));
  };
  useHotkeys(
    'left, right, up, down, shift+left, shift+right, shift+up, shift+down',
    (e, h) => {
      if (!part || locked) return;
      e.preventDefault();
      const step = h.shift ? 5 : 0.5;
      const key = h.keys?.join('') ?? '';
      nudge(key === 'left' ? -step : key === 'right' ? step : 0, key === 'up' ? -step : key === 'down' ? step : 0);
    },
    [part, book, locked],
  );
  useHotkeys(
    'delete, backspace',
    () => {
      if (part && !locked) change(removePart(book, part), null);
    },
    [part, book, locked],
  );
  useHotkeys('escape', () => {
    setDraw(null);
    setPart(null);
  });

  const draws = (rect: { x: number; y: number; w: number; h: number }) => {
    if (!draw) return;
    const mark = draw.startsWith('mark ');
    const made = mark
      ? addMark(book, draw.slice(5) as MarkKind, page, rect)
      : addRegion(book, draw as RegionKind, page, rect);
    setDraw(null);
    change(made.book, made.part);
  };
  return (
    <Box sx={{ display: 'flex', flex: 1, minHeight: 0, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      {asked && <Conflict {...asked} />}
      <Box
        sx={{
          flex: 1,
          minWidth: { xs: '100%', md: 0 },
          background: '#EFEBE1',
          display: 'flex',
          flexDirection: 'column',
          minHeight: 0,
        }}
      >
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, px: 2, flexWrap: 'wrap' }}>
          <Tabs
            value={page}
            onChange={(_, n: number) => {
              setPage(n);
              setPart(null);
            }}
            aria-label="Pages"
            sx={{ minHeight: 40, '& .MuiTab-root': { minHeight: 40, textTransform: 'none', minWidth: 70 } }}
          >
            {book.pages.map((_, n) => (
              <Tab key={n} label={`Page ${n + 1}`} />
            ))}
          </Tabs>
          <Typography
            variant="caption"
            color="text.secondary"
            aria-live="polite"
            sx={{ flex: { xs: '1 1 100%', sm: 1 }, order: { xs: 1, sm: 0 } }}
          >
            {locked ? 'ships with Hobnail: make a copy to change it' : said}
          </Typography>
          <ToggleButton size="small" value="true" selected={trueSize} onChange={() => setTrueSize(!trueSize)}>
            True size
          </ToggleButton>
          <UndoRedo
            undo={history.undo && sayBookDeed(history.undo)}
            redo={history.redo && sayBookDeed(history.redo)}
            onStep={step}
          />
        </Box>
        {lacking.length > 0 && (
          <Alert severity="warning" sx={{ borderRadius: 0, maxHeight: 110, overflowY: 'auto' }}>
            {lacking.length === 1 ? (
              lacking[0]
            ) : (
              <>
                Not complete yet; weeks use the last complete version.{' '}
                {lacking.map((l) => (
                  <Box key={l}>{l}</Box>
                ))}
              </>
            )}
          </Alert>
        )}
        <Box
          sx={{
            flex: 1,
            minHeight: 0,
            overflow: 'auto',
            p: 2,
            display: 'flex',
            justifyContent: 'center',
            alignItems: 'flex-start',
          }}
        >
          <PageCanvas
            book={book}
            page={page}
            scan={scans.scan}
            chosen={part}
            drawing={draw !== null}
            locked={locked}
            onChoose={setPart}
            onDraw={draws}
            onPlace={(p, to) => change(setPlace(book, p, to), p)}
            width={
              trueSize
                ? (paper?.width ?? 0) * pixels
                : `min(100%, calc((100vh - 180px) * ${((paper?.width ?? 1) / (paper?.height ?? 1)).toFixed(4)}))`
            }
          />
        </Box>
      </Box>
      <Box
        component="aside"
        aria-label="Measures"
        sx={{
          width: { xs: '100%', md: 296 },
          flexShrink: 0,
          borderLeft: `1px solid ${GLASS.edge}`,
          p: 2,
          overflowY: 'auto',
          display: 'flex',
          flexDirection: 'column',
          gap: 2,
        }}
      >
        {locked ? (
          <BookFacts book={book} page={page} part={part} />
        ) : (
          <>
            {part ? (
              <PartFields key={JSON.stringify(part)} book={book} part={part} onChange={change} />
            ) : (
              <PagesForm book={book} page={page} change={change} />
            )}
            <DrawMore draw={draw} setDraw={setDraw} />
            <ScanFields {...scans} />
          </>
        )}
      </Box>
    </Box>
  );
}
