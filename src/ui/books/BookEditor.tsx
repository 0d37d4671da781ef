import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import MenuItem from '@mui/material/MenuItem';
import Slider from '@mui/material/Slider';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import TextField from '@mui/material/TextField';
import ToggleButton from '@mui/material/ToggleButton';
import Typography from '@mui/material/Typography';
import { useRef, useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import type { Book, MarkKind, RegionKind } from '../../core/book/book';
import type { Part } from '../../core/book/change-book';
import { addMark, addRegion, placeOf, removePart, setPlace } from '../../core/book/change-book';
import { ruled } from '../../core/measure/fraction';
import { sayBookDeed } from '../../core/book/deed';
import type { BookStanding } from '../../server/book-actions';
import { keepBook, undoBook } from '../../server/book-actions';
import type { Outcome } from '../../server/outcome';
import type { BooksPage } from '../../server/books';
import { GLASS } from '../theme';
import { LengthField } from './LengthField';
import { KIND_COLORS, PageCanvas } from './PageCanvas';
import { MARK_KINDS, PartFields, REGION_KINDS } from './PartFields';
import type { Choice, Question } from '../Conflict';
import { Conflict } from '../Conflict';
import { SAID } from '../patient-queue';
import { UndoRedo } from '../UndoRedo';
import { useSaving } from '../use-saving';
import { useTrueSize } from '../use-true-size';

type Chosen = NonNullable<BooksPage['chosen']>;
type Draw = RegionKind | `mark ${MarkKind}`;

/** A book's pages with their places and marks over the scan; every change is kept at once and can be undone. */
export function BookEditor({ chosen }: { chosen: Chosen }) {
  const { line } = chosen;
  const [book, setBook] = useState<Book>(chosen.book);
  const [history, setHistory] = useState(chosen.history);
  const [page, setPage] = useState(0);
  const [part, setPart] = useState<Part | null>(null);
  const [draw, setDraw] = useState<Draw | null>(null);
  const [kind, setKind] = useState<Draw>('day');
  const [trueSize, setTrueSize] = useState(false);
  const [scans, setScans] = useState<readonly number[]>(chosen.scans);
  const [stamp, setStamp] = useState(0);
  const [opacity, setOpacity] = useState(0.7);
  const [refused, setRefused] = useState(false);
  const [lacking, setLacking] = useState<readonly string[]>(chosen.lacking);
  const { saveStatus, add } = useSaving();
  const seen = useRef(chosen.seen);
  const [asked, setAsked] = useState<Question | null>(null);
  const file = useRef<HTMLInputElement>(null);
  const [pixels] = useTrueSize();
  const locked = line.shipped;
  const paper = book.pages[page];

  /** Does it after what waits already, and shows how the book stands then. */
  const save = (work: () => Promise<Outcome<BookStanding & { readonly book?: Book }>>) => {
    setRefused(false);
    const lost = (why: string): void => {
      setRefused(true);
      setLacking([why]);
    };
    const taken = (made: Outcome<BookStanding & { readonly book?: Book }>): void => {
      setRefused(!made.ok);
      setLacking(made.ok ? made.value.lacking : made.messages);
      if (!made.ok) return;
      seen.current = made.value.seen;
      setHistory(made.value.history);
      if (made.value.book) setBook(made.value.book);
    };
    add(work, taken, lost);
  };
  const change = (next: Book, nowChosen: Part | null = part) => {
    if (locked) return;
    setBook(next);
    setPart(nowChosen);
    save(async () => {
      const made = await keepBook({ id: line.id, book: next, seen: seen.current });
      if (made.ok || !made.conflict) return made;
      const choice = await new Promise<Choice>((decide) => setAsked({ messages: made.messages, decide }));
      setAsked(null);
      if (choice === 'mine') return keepBook({ id: line.id, book: next });
      if (choice === 'theirs') location.reload();
      return made;
    });
  };
  const travel = (way: 'undo' | 'redo') => {
    setPart(null);
    const at = seen.current;
    save(() => undoBook({ id: line.id, way, seen: at }));
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
  const scanUrl = `/books/${encodeURIComponent(line.id)}/scans/${page}`;
  const takeScan = async (picked: File | undefined) => {
    if (!picked) return;
    const answer = await fetch(scanUrl, {
      method: 'PUT',
      headers: { 'content-type': picked.type },
      body: picked,
    }).catch(() => null);
    if (!answer?.ok)
      return setLacking([answer ? await answer.text() : 'The server could not be reached; the scan was not kept.']);
    setScans([...new Set([...scans, page])]);
    setStamp(stamp + 1);
  };
  const dropScan = async () => {
    const answer = await fetch(scanUrl, { method: 'DELETE' }).catch(() => null);
    if (!answer?.ok)
      return setLacking([answer ? await answer.text() : 'The server could not be reached; the scan is still there.']);
    setScans(scans.filter((p) => p !== page));
  };
  const sizes = (to: Partial<{ width: number; height: number }>) =>
    change({ ...book, pages: book.pages.map((p) => ({ ...p, ...to })) });
  const scan = scans.includes(page) ? { url: `${scanUrl}?v=${stamp}`, opacity } : null;

  return (
    <Box sx={{ display: 'flex', flex: 1, minHeight: 0, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      {asked && <Conflict {...asked} />}
      <Box sx={{ flex: 1, minWidth: 0, background: '#EFEBE1', display: 'flex', flexDirection: 'column', minHeight: 0 }}>
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
          <Typography variant="caption" color="text.secondary" aria-live="polite" sx={{ flex: 1 }}>
            {locked ? 'ships with Hobnail: make a copy to change it' : SAID[refused ? 'failed' : saveStatus]}
          </Typography>
          <ToggleButton size="small" value="true" selected={trueSize} onChange={() => setTrueSize(!trueSize)}>
            True size
          </ToggleButton>
          <UndoRedo
            undo={history.undo && sayBookDeed(history.undo)}
            redo={history.redo && sayBookDeed(history.redo)}
            onStep={travel}
          />
        </Box>
        {lacking.length > 0 && (
          <Alert severity="warning" sx={{ borderRadius: 0, maxHeight: 110, overflowY: 'auto' }}>
            {lacking.length === 1 ? (
              lacking[0]
            ) : (
              <>
                Not whole yet; weeks go on with the last version that was.{' '}
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
            scan={scan}
            chosen={part}
            drawing={draw !== null}
            locked={locked}
            onChoose={setPart}
            onDraw={draws}
            onPlace={(p, to) => change(setPlace(book, p, to), p)}
            width={
              trueSize
                ? (paper?.width ?? 0) * pixels
                : `min(100%, calc((100vh - 150px) * ${((paper?.width ?? 1) / (paper?.height ?? 1)).toFixed(4)}))`
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
          <Facts book={book} page={page} part={part} />
        ) : (
          <>
            {part ? (
              <PartFields key={JSON.stringify(part)} book={book} part={part} onChange={change} />
            ) : (
              <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.25 }}>
                <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
                  The pages
                </Typography>
                <TextField
                  key={book.name}
                  size="small"
                  label="Name"
                  defaultValue={book.name}
                  onBlur={(e) => {
                    const name = e.target.value.trim();
                    if (name && name !== book.name) change({ ...book, name });
                  }}
                  slotProps={{ htmlInput: { maxLength: 80 } }}
                />
                <Box sx={{ display: 'grid', gridTemplateColumns: '1fr 1fr', gap: 1.25 }}>
                  <LengthField
                    label="Page width"
                    value={paper?.width ?? 0}
                    unit={book.unit}
                    onChange={(width) => sizes({ width })}
                  />
                  <LengthField
                    label="Page height"
                    value={paper?.height ?? 0}
                    unit={book.unit}
                    onChange={(height) => sizes({ height })}
                  />
                  <TextField
                    select
                    size="small"
                    label="Binding"
                    value={book.binding.kind}
                    onChange={(e) =>
                      change({ ...book, binding: { ...book.binding, kind: e.target.value as Book['binding']['kind'] } })
                    }
                  >
                    {['coil', 'discs', 'rings', 'sewn'].map((k) => (
                      <MenuItem key={k} value={k}>
                        {k}
                      </MenuItem>
                    ))}
                  </TextField>
                  <LengthField
                    label="It takes"
                    value={book.binding.width}
                    unit={book.unit}
                    onChange={(width) => change({ ...book, binding: { ...book.binding, width } })}
                  />
                  <TextField
                    select
                    size="small"
                    label="Measured in"
                    value={book.unit}
                    onChange={(e) => change({ ...book, unit: e.target.value as Book['unit'] })}
                  >
                    <MenuItem value="in">inches</MenuItem>
                    <MenuItem value="mm">millimeters</MenuItem>
                  </TextField>
                  <TextField
                    select
                    size="small"
                    label="Week begins"
                    value={book.weekStart}
                    onChange={(e) => change({ ...book, weekStart: e.target.value as Book['weekStart'] })}
                  >
                    <MenuItem value="monday">Monday</MenuItem>
                    <MenuItem value="sunday">Sunday</MenuItem>
                  </TextField>
                  <TextField
                    select
                    size="small"
                    label="Dates"
                    value={book.dated ? 'printed' : 'blank'}
                    onChange={(e) => change({ ...book, dated: e.target.value === 'printed' })}
                  >
                    <MenuItem value="printed">are printed</MenuItem>
                    <MenuItem value="blank">must be added</MenuItem>
                  </TextField>
                </Box>
              </Box>
            )}
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
              <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
                Draw one more
              </Typography>
              <Box sx={{ display: 'flex', gap: 1 }}>
                <TextField
                  select
                  size="small"
                  label="What"
                  value={kind}
                  onChange={(e) => setKind(e.target.value as Draw)}
                  sx={{ flex: 1 }}
                >
                  {REGION_KINDS.map((k) => (
                    <MenuItem key={k} value={k}>
                      {k.replace('-', ' ')}
                    </MenuItem>
                  ))}
                  {MARK_KINDS.map((k) => (
                    <MenuItem key={k} value={`mark ${k}`}>
                      printed {k}
                    </MenuItem>
                  ))}
                </TextField>
                <Button
                  variant={draw ? 'contained' : 'outlined'}
                  onClick={() => setDraw(draw ? null : kind)}
                  aria-pressed={draw !== null}
                >
                  {draw ? 'Cancel' : 'Draw'}
                </Button>
              </Box>
              <Typography variant="caption" color="text.secondary">
                {draw
                  ? 'Drag over the page, from corner to corner.'
                  : 'Or choose one on the page: drag it, pull its corner, or type its measures. Arrow keys move it by half a millimeter, with Shift by five.'}
              </Typography>
            </Box>
            <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
              <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
                Scan of this page
              </Typography>
              <input
                ref={file}
                type="file"
                accept="image/png,image/jpeg,image/webp"
                hidden
                data-testid="scan-file"
                onChange={(e) => {
                  void takeScan(e.target.files?.[0]);
                  e.target.value = '';
                }}
              />
              <Box sx={{ display: 'flex', gap: 1 }}>
                <Button variant="outlined" size="small" onClick={() => file.current?.click()}>
                  {scan ? 'Another scan' : 'Lay a scan under it'}
                </Button>
                {scan && (
                  <Button
                    size="small"
                    onClick={() => {
                      void dropScan();
                    }}
                  >
                    Remove it
                  </Button>
                )}
              </Box>
              {scan ? (
                <Slider
                  size="small"
                  value={opacity}
                  min={0.1}
                  max={1}
                  step={0.05}
                  onChange={(_, v) => setOpacity(v)}
                  aria-label="How strongly the scan shows"
                />
              ) : (
                <Typography variant="caption" color="text.secondary">
                  A picture cropped to the page’s edges; it is laid edge to edge.
                </Typography>
              )}
            </Box>
          </>
        )}
      </Box>
    </Box>
  );
}

/** A shipped book in numbers. */
function Facts({ book, page, part }: { book: Book; page: number; part: Part | null }) {
  const rect = part && placeOf(book, part);
  const kinds = [...new Set(book.regions.map((r) => r.kind))];
  const at = book.pages[page];
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Typography variant="h3" component="h2" sx={{ fontSize: 16 }}>
        {rect && part?.of === 'region' ? part.id : book.name}
      </Typography>
      {rect ? (
        <Typography variant="body2">
          {ruled(rect.w, book.unit)} × {ruled(rect.h, book.unit)}, {ruled(rect.x, book.unit)} from the left and{' '}
          {ruled(rect.y, book.unit)} from the top.
        </Typography>
      ) : (
        <>
          <Typography variant="body2">
            Pages of {ruled(at?.width ?? 0, book.unit)} × {ruled(at?.height ?? 0, book.unit)}, {book.binding.kind}{' '}
            binding that takes {ruled(book.binding.width, book.unit)}
            {['discs', 'rings'].includes(book.binding.kind) ? '; pages come out to be written on' : ''}.
          </Typography>
          <Typography variant="body2" color="text.secondary">
            {book.dated ? 'Dates are printed.' : 'Undated: every date must be added.'} The week begins on{' '}
            {book.weekStart === 'monday' ? 'Monday' : 'Sunday'}. {book.marks.length} printed marks.
          </Typography>
          {kinds.map((k) => (
            <Box key={k} sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
              <Box sx={{ width: 10, height: 10, borderRadius: '50%', background: KIND_COLORS[k] }} />
              <Typography variant="body2">
                {book.regions.filter((r) => r.kind === k).length} × {k.replace('-', ' ')}
              </Typography>
            </Box>
          ))}
          <Typography variant="caption" color="text.secondary">
            Choose a place on the page to read its measures.
          </Typography>
        </>
      )}
    </Box>
  );
}
