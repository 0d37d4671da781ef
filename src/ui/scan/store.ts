import { createStore } from 'zustand/vanilla';
import type { Sticker } from '../../core/scan/correct';
import { stickerOf } from '../../core/scan/correct';
import { cardLengths } from '../../core/scan/bank-card';
import type { Point, Quad } from '../../core/scan/homography';
import type { KnownLength } from '../../core/scan/known-length';
import { sizeByLengths } from '../../core/scan/known-length';
import type { ScanStep } from '../../core/scan/read-sheet';
import type { Opened } from '../../workers/scan-service';
import type { Scanner } from './scanner';
import type { Past } from '../past';
import { NO_PAST, stepped, withStep } from '../past';

/** A sheet on its way from a picture to stickers. Lengths in mm, corners in px of the picture. */
export interface ScanSheet {
  readonly id: number;
  readonly file: File;
  readonly state: 'waiting' | 'opening' | 'asking' | 'reading' | 'read' | 'failed';
  readonly step: ScanStep | null;
  readonly said: string;
  readonly opened: Opened | null;
  readonly corners: Quad | null;
  readonly width: number;
  readonly height: number;
  /** where its size comes from */
  readonly sizeBy: 'typed' | 'card' | 'ruler';
  readonly card: Quad | null;
  readonly rulers: readonly KnownLength[];
  /** the sheet seen from above, as an address of this page */
  readonly picture: string | null;
  readonly stickers: readonly Sticker[];
  readonly past: Past<readonly Sticker[]>;
  /** as it was before its corners were looked at again */
  readonly before: ScanSheet | null;
}

/** What its owner tells of a sheet before it is read. */
export type Told = Pick<ScanSheet, 'corners' | 'width' | 'height' | 'sizeBy' | 'card' | 'rulers' | 'state'>;

export interface ScanState {
  readonly sheets: readonly ScanSheet[];
  readonly current: number | null;
  readonly selected: readonly number[];
  readonly add: (files: readonly File[]) => void;
  readonly show: (id: number) => void;
  readonly select: (ids: readonly number[]) => void;
  readonly setSheet: (id: number, change: Partial<Told>) => void;
  /** from its corners back to what was read, as it was */
  readonly backToStickers: (id: number) => void;
  /** reads the sheet, with its corners and size as they are now */
  readonly read: (id: number) => void;
  /** one correction, which can be undone */
  readonly correct: (change: (stickers: readonly Sticker[]) => readonly Sticker[]) => void;
  readonly step: (way: 'undo' | 'redo') => void;
  readonly rescale: (factor: number) => void;
  readonly drop: (id: number) => void;
  readonly cancel: () => void;
  /** Pictures of some stickers of a sheet. */
  readonly pictures: (id: number, stickers: readonly Sticker[]) => Promise<readonly Blob[]>;
}

const MM_PER_INCH = 25.4;
/** A sheet whose size nobody knows yet, mm: the usual one. From memory. */
const USUAL = [127, 178] as const;

/** A glass is wider, mm; a picture that shows less of it was cut to the sheet. From memory. */
const GLASS_WIDTH = 200;
const isCropped = ({ width, height, dpi }: Opened): boolean =>
  dpi !== null && (Math.min(width, height) / dpi) * MM_PER_INCH < GLASS_WIDTH;

/** How large a sheet is in a picture of a known resolution, mm, to a tenth. */
function sizeByDpi([a, b, c, d]: Quad, dpi: number): { width: number; height: number } {
  const long = (p: Point, q: Point): number => Math.hypot(q.x - p.x, q.y - p.y);
  const mm = (px: number): number => Math.round((px / dpi) * MM_PER_INCH * 10) / 10;
  return { width: mm((long(a, b) + long(d, c)) / 2), height: mm((long(a, d) + long(b, c)) / 2) };
}

/** The sheet with the size that a card or a ruler beside it tells, to a tenth of a millimeter. */
function sized(sheet: ScanSheet): ScanSheet {
  const { sizeBy, card, rulers, corners } = sheet;
  const lengths = sizeBy === 'card' ? (card ? cardLengths(card) : []) : sizeBy === 'ruler' ? rulers : [];
  const size = corners && lengths.length ? sizeByLengths(corners, lengths) : null;
  const tenth = (mm: number): number => Math.round(mm * 10) / 10;
  return size ? { ...sheet, width: tenth(size.width), height: tenth(size.height) } : sheet;
}

/** Corners that are moved over a picture of a known resolution make the sheet larger or smaller: its scale stays. */
function told(sheet: ScanSheet, change: Partial<Told>): ScanSheet {
  const next = { ...sheet, ...change };
  const dpi = sheet.opened?.dpi ?? null;
  const isMoved = change.corners && dpi !== null && next.sizeBy === 'typed' && change.width === undefined;
  return sized(isMoved && next.corners ? { ...next, ...sizeByDpi(next.corners, dpi) } : next);
}

const words = (error: unknown): string =>
  error instanceof Error && error.message ? error.message : 'This picture could not be read.';

export const createScan = (start: () => Scanner) =>
  createStore<ScanState>()((set, get) => {
    let scanner: Scanner | null = null;
    let next = 1;
    let queue: Promise<void> = Promise.resolve();
    /** what was begun before a cancel answers to nobody */
    let round = 0;
    const worker = (): Scanner => (scanner ??= start());
    const put = (id: number, change: Partial<ScanSheet>): void =>
      set({ sheets: get().sheets.map((s) => (s.id === id ? { ...s, ...change } : s)) });
    const tell = (id: number, change: Partial<Told>): void =>
      set({ sheets: get().sheets.map((s) => (s.id === id ? told(s, change) : s)) });
    const sheetOf = (id: number | null): ScanSheet | undefined => get().sheets.find((s) => s.id === id);
    const inTurn = (id: number, work: (goesOn: () => boolean) => Promise<void>): void => {
      const mine = round;
      const goesOn = (): boolean => mine === round;
      queue = queue.then(async () => {
        if (!goesOn() || !sheetOf(id)) return;
        await work(goesOn).catch((e: unknown) => {
          if (goesOn()) put(id, { state: 'failed', said: words(e), step: null });
        });
      });
    };
    const open = async (id: number, goesOn: () => boolean): Promise<void> => {
      const sheet = sheetOf(id);
      if (!sheet) return;
      put(id, { state: 'opening', said: '' });
      const opened = await worker().open(sheet.file);
      if (!goesOn()) return;
      const { dpi, corners } = opened;
      const [a, b, , d] = corners;
      const isWide = Math.hypot(b.x - a.x, b.y - a.y) > Math.hypot(d.x - a.x, d.y - a.y);
      const usual = { width: isWide ? USUAL[1] : USUAL[0], height: isWide ? USUAL[0] : USUAL[1] };
      const { width, height } = dpi === null ? usual : sizeByDpi(corners, dpi);
      // where no sheet was told from what is behind it, its owner is asked before it is read
      const isClear = dpi !== null && (opened.sure || isCropped(opened));
      put(id, { opened, corners: opened.corners, width, height, state: isClear ? 'waiting' : 'asking' });
      if (dpi === null && opened.card) tell(id, { sizeBy: 'card', card: opened.card });
      if (isClear) await read(id, goesOn);
    };
    const read = async (id: number, goesOn: () => boolean): Promise<void> => {
      const sheet = sheetOf(id);
      if (!sheet?.corners) return;
      put(id, { state: 'reading', said: '' });
      const { sheet: found, picture } = await worker().read(id, sheet.corners, sheet.width, sheet.height, (step) =>
        put(id, { step }),
      );
      if (!goesOn()) return;
      if (!found.pieces.length)
        return put(id, { state: 'failed', step: null, said: 'No stickers were found in this picture.' });
      if (sheet.picture) URL.revokeObjectURL(sheet.picture);
      put(id, {
        state: 'read',
        step: null,
        picture: URL.createObjectURL(picture),
        stickers: found.pieces.map((p, i) => stickerOf(p, i + 1)),
        past: NO_PAST,
        before: null,
      });
      if (get().current === null) set({ current: id, selected: [] });
    };
    return {
      sheets: [],
      current: null,
      selected: [],
      add: (files) => {
        const added = files.map((file): ScanSheet => ({
          id: next++,
          file,
          state: 'waiting',
          step: null,
          said: '',
          opened: null,
          corners: null,
          width: 0,
          height: 0,
          sizeBy: 'typed',
          card: null,
          rulers: [],
          picture: null,
          stickers: [],
          past: NO_PAST,
          before: null,
        }));
        set({ sheets: [...get().sheets, ...added], current: get().current ?? added[0]?.id ?? null });
        for (const { id } of added) inTurn(id, (goesOn) => open(id, goesOn));
      },
      show: (id) => set({ current: id, selected: [] }),
      select: (selected) => set({ selected }),
      setSheet: (id, change) => {
        // what was read keeps its corners till it is read again
        const sheet = sheetOf(id);
        if (change.state === 'asking' && sheet?.state === 'read') put(id, { before: sheet });
        tell(id, change);
      },
      backToStickers: (id) => {
        const before = sheetOf(id)?.before;
        if (before) put(id, { ...before, before: null });
      },
      read: (id) =>
        inTurn(id, async (goesOn) => {
          const sheet = sheetOf(id);
          if (!sheet) return;
          // the worker holds the picture that was opened last, which may be another one
          await worker().open(sheet.file);
          await read(id, goesOn);
        }),
      correct: (change) => {
        const sheet = sheetOf(get().current);
        if (!sheet) return;
        const stickers = change(sheet.stickers);
        put(sheet.id, { stickers, past: withStep(sheet.past, sheet.stickers) });
        set({ selected: get().selected.filter((id) => stickers.some((s) => s.id === id)) });
      },
      step: (way) => {
        const sheet = sheetOf(get().current);
        if (!sheet) return;
        const to = stepped(sheet.past, sheet.stickers, way);
        if (!to) return;
        put(sheet.id, { stickers: to.now, past: to.past });
        set({ selected: [] });
      },
      rescale: (factor) => {
        const sheet = sheetOf(get().current);
        if (!sheet || !Number.isFinite(factor) || factor <= 0) return;
        const larger = ({ x, y, w, h, ...rest }: Sticker): Sticker => ({
          ...rest,
          x: x * factor,
          y: y * factor,
          w: w * factor,
          h: h * factor,
        });
        void worker().rescale(sheet.id, factor);
        put(sheet.id, {
          width: sheet.width * factor,
          height: sheet.height * factor,
          stickers: sheet.stickers.map(larger),
          past: NO_PAST,
        });
      },
      drop: (id) => {
        const gone = sheetOf(id);
        if (gone?.picture) URL.revokeObjectURL(gone.picture);
        void scanner?.drop(id);
        const sheets = get().sheets.filter((s) => s.id !== id);
        set({ sheets, current: get().current === id ? (sheets[0]?.id ?? null) : get().current, selected: [] });
      },
      pictures: async (id, stickers) => {
        const pieces = stickers.map(({ x, y, w, h, shape }) => ({ x, y, w, h, shape }));
        const cut = await worker().cut(id, pieces);
        if (cut) return cut;
        // a worker that was ended took its sheets along: this one is read again
        const sheet = sheetOf(id);
        if (!sheet?.corners) return [];
        await worker().open(sheet.file);
        await worker().read(id, sheet.corners, sheet.width, sheet.height, () => {});
        return (await worker().cut(id, pieces)) ?? [];
      },
      cancel: () => {
        round++;
        queue = Promise.resolve(); // what an ended worker was asked is never answered
        // a worker cannot be interrupted: it is ended, and with it the sheets that it holds
        scanner?.end();
        scanner = null;
        for (const sheet of get().sheets)
          if (sheet.state !== 'read') put(sheet.id, { state: 'failed', step: null, said: 'Reading was cancelled.' });
      },
    };
  });
