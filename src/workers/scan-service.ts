import type { Hex } from '../core/color/color';
import type { Quad } from '../core/scan/homography';
import { cutOut } from '../core/scan/cut-out';
import { findSheet } from '../core/scan/find-sheet';
import type { ReadSheet } from '../core/scan/found';
import { pictureFile } from '../core/scan/picture-file';
import type { Raster } from '../core/scan/raster';
import type { ScanStep } from '../core/scan/read-sheet';
import { readSheet } from '../core/scan/read-sheet';
import type { FlatSheet } from '../core/scan/straighten';
import { straightened } from '../core/scan/straighten';
import { whitened } from '../core/scan/white-balance';
import type { Rect } from '../core/measure/rect';
import type { Shape } from '../core/kit/kinds';

/** A picture that was opened: what is known of it before it is read. */
export interface Opened {
  readonly width: number;
  readonly height: number;
  readonly dpi: number | null;
  readonly corners: Quad;
  /** false: no sheet was told from what is behind it */
  readonly sure: boolean;
  /** corners of a bank card beside the sheet, px */
  readonly card: Quad | null;
}

/** How pictures are decoded and encoded: the browser does it; a test plays it. */
export interface Codec {
  readonly decode: (file: Blob) => Promise<Raster>;
  /** @param kept as it is, with what is clear in it; else it is only looked at, and soon made */
  readonly encode: (picture: Raster, kept: boolean) => Promise<Blob>;
}

/** Pixels a millimeter at which a sheet is read, whatever it was scanned at: a little under 300 dpi. */
const SCALE = 10;
/** The same for the pictures that are kept, at most: they are printed at that. */
const KEPT_SCALE = 11.8;

/** What the scanning worker does. It holds the picture that was opened last, and each sheet that was read. */
export interface ScanService {
  /** @throws BadInput in words */
  open(file: Blob, name: string): Promise<Opened>;
  /**
   * Reads the picture that was opened last.
   * @param id under which the sheet is held
   * @param width,height of the sheet, mm
   * @returns what was found, and the sheet seen from above
   */
  read(
    id: number,
    corners: Quad,
    width: number,
    height: number,
    onStep: (step: ScanStep) => void,
  ): Promise<{ sheet: ReadSheet; picture: Blob }>;
  /** Says that a sheet is really so many times as large. */
  rescale(id: number, factor: number): void;
  /** Pictures of some stickers of a sheet; mm. null: that sheet is not held */
  cut(id: number, pieces: readonly (Rect & { readonly shape: Shape })[]): Promise<Blob[] | null>;
  drop(id: number): void;
}

export function scanService({ decode, encode }: Codec): ScanService {
  let picture: Raster | null = null;
  /** a scanner tells its resolution, and has white light */
  let isPhoto = false;
  const sheets = new Map<number, { readonly flat: Promise<FlatSheet>; readonly backing: Hex }>();
  return {
    open: async (file, name) => {
      const { dpi } = pictureFile(new Uint8Array(await file.arrayBuffer()), name);
      picture = await decode(file);
      isPhoto = dpi === null;
      const laid = findSheet(picture);
      return { width: picture.width, height: picture.height, dpi, ...laid };
    },
    read: async (id, corners, width, height, onStep) => {
      if (!picture) throw new Error('no picture is open');
      const taken = picture;
      const span = Math.hypot(corners[1].x - corners[0].x, corners[1].y - corners[0].y) / width;
      const lit = isPhoto ? whitened : (flat: FlatSheet) => flat;
      const seen = lit(straightened(taken, corners, width, height, SCALE));
      const sheet = readSheet(seen, onStep);
      const shown = await encode(seen, false);
      const finer = (): FlatSheet => lit(straightened(taken, corners, width, height, KEPT_SCALE));
      sheets.set(id, { flat: span > KEPT_SCALE ? soon(finer) : Promise.resolve(seen), backing: sheet.backing });
      return { sheet, picture: shown };
    },
    rescale: (id, factor) => {
      const sheet = sheets.get(id);
      if (!sheet) return;
      const flat = sheet.flat.then((f) => ({ ...f, scale: f.scale / factor }));
      sheets.set(id, { ...sheet, flat });
    },
    cut: async (id, pieces) => {
      const sheet = sheets.get(id);
      if (!sheet) return null;
      const flat = await sheet.flat;
      return Promise.all(pieces.map((p) => encode(cutOut(flat, p, p.shape, sheet.backing), true)));
    },
    drop: (id) => void sheets.delete(id),
  };
}

/** Work that waits till what was read is shown. */
const soon = async <T>(work: () => T): Promise<T> => {
  await new Promise((done) => setTimeout(done));
  return work();
};
