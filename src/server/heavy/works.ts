import SQLite from 'better-sqlite3';
import sharp from 'sharp';
import { arrange } from '../../core/arrange/arrange';
import { benchOf } from '../../core/bench/bench';
import type { WorkPlan } from '../../core/bench/plan';
import { whiteOutOf } from '../../core/bench/white-out';
import { triedFigures } from '../../core/compare/tried-week';
import { benchPdf } from '../../core/format/bench-pdf';
import { kitCardPdf } from '../../core/format/kit-card-pdf';
import { madePdf } from '../../core/format/made-pdf';
import type { PaperSize } from '../../core/format/pdf/paper';
import type { SharedTexts } from '../../core/format/share-svg';
import { shareSvg } from '../../core/format/share-svg';
import { completeSpread } from '../../core/format/spread-file';
import { writeSpread } from '../../core/format/spread-json';
import { smallSpreadSvg } from '../../core/format/small-spread-svg';
import { spreadSvg } from '../../core/format/spread-svg';
import { clearRoom } from '../../core/scan/clear-room';
import { groundUnder, middleOf } from '../../core/scan/ground-under';
import { contextFrom } from '../../core/spread/context';
import type { ContextData } from '../../core/spread/context';
import type { Placement } from '../../core/spread/placement';
import { piecesOn } from '../../core/spread/placement';
import type { Kit } from '../../core/kit/kit';
import { schemaOf } from '../backup/counts';
import { makingBackup } from '../backup/making-backup';
import { exportedTables, tableJson } from '../export/tables';
import { shippedLetters } from '../fonts';
import { printParts } from '../print-parts';
import { pngOf } from '../png-of';
import { facesOf } from './faces';
import { pictureData, picturePng, picturesToDraw, rasterOf } from '../pictures';

/** A spread as it is drawn from. */
export interface Drawn {
  readonly context: ContextData;
  readonly placements: readonly Placement[];
}

type Context = ReturnType<typeof contextFrom>;

/** The spread as SVG. @param pictures as they are kept, or as what makes a picture of a drawing can read them */
async function drawn(
  context: Context,
  placements: readonly Placement[],
  pictures: 'kept' | 'readable',
): Promise<string> {
  const of = pictures === 'kept' ? pictureData : await picturesToDraw(piecesOn(context, placements));
  return spreadSvg(context, placements, whiteOutOf(context, placements), shippedLetters(), of);
}

const widthOf = ({ book }: Context): number => book.pages.reduce((sum, p) => sum + p.width, 0);

/**
 * What takes long to work out, by name: from plain data to plain data, with the pictures and fonts on the disk. It runs
 * on a thread of its own (`heavily`), so that who waits for something else is answered. One line a work.
 */
export const WORKS = {
  /** the bench sheet, PDF */
  print: async ({ context: data, placements, work, size }: Drawn & { work: WorkPlan; size: 'A4' | 'Letter' }) => {
    const context = contextFrom(data);
    const bench = benchOf(context, placements, undefined, work);
    return benchPdf(context, bench, { ...printParts(), pictureOf: picturePng, size });
  },

  /** made pieces, PDF */
  made: ({
    kit,
    sheets,
    size,
  }: {
    kit: Parameters<typeof madePdf>[0];
    sheets: Parameters<typeof madePdf>[1];
    size: Parameters<typeof madePdf>[3];
  }) => madePdf(kit, sheets, printParts(), size),

  /** a kit's card, PDF */
  card: ({ kit, size }: { kit: Kit; size: PaperSize }) =>
    kitCardPdf(kit, { ...printParts(), pictureOf: picturePng }, size),

  /** the spread, SVG */
  drawing: ({ context, placements }: Drawn) => drawn(contextFrom(context), placements, 'kept'),

  /** the spread, or its photo, as a small picture, WebP */
  small: async ({ context: data, placements, photo, side }: Drawn & { photo: Uint8Array | null; side: number }) => {
    const source = photo ?? Buffer.from(await drawn(contextFrom(data), placements, 'readable'));
    return sharp(source, { density: 110 }).resize(side, side, { fit: 'inside' }).webp({ quality: 82 }).toBuffer();
  },

  /** the spread without its words, SVG or PNG of some px */
  shared: async ({ context: data, placements, texts, width }: Drawn & { texts: SharedTexts; width: number | null }) => {
    const context = contextFrom(data);
    const pictures = width === null ? pictureData : await picturesToDraw(piecesOn(context, placements));
    const svg = shareSvg(context, placements, whiteOutOf(context, placements), texts, shippedLetters(), pictures);
    return width === null ? svg : pngOf(svg, width, widthOf(context));
  },

  /** a week of an export */
  exported: async ({ context: data, placements, width }: Drawn & { width: number }) => {
    const context = contextFrom(data);
    return {
      json: writeSpread(completeSpread(context, placements)),
      svg: await drawn(context, placements, 'kept'),
      png: await pngOf(await drawn(context, placements, 'readable'), width, widthOf(context)),
    };
  },

  /** a week laid out to be looked at */
  tried: async ({ context: data, width }: { context: ContextData; width: number }) => {
    const context = contextFrom(data);
    const placements = arrange(context);
    const faceAt = await facesOf(piecesOn(context, placements));
    const picture = await sharp(Buffer.from(smallSpreadSvg(context, placements, faceAt, width)))
      .webp({ quality: 82, effort: 2 })
      .toBuffer();
    return {
      figures: triedFigures(context, placements),
      picture: `data:image/webp;base64,${picture.toString('base64')}`,
    };
  },

  /** where a picture leaves room to write, on a sticker of so many mm, and what it shows there; null: no picture */
  room: async ({ hash, width, height }: { hash: string; width: number; height: number }) => {
    const picture = await rasterOf(hash);
    if (!picture) return null;
    const clear = clearRoom(picture, width, height);
    return { clear, ground: groundUnder(picture, clear ?? middleOf(width, height), width, height) };
  },

  /** the tables of a copy of the data, as an export holds them */
  tables: ({ copy }: { copy: string }) => {
    const opened = new SQLite(copy, { readonly: true });
    try {
      const tables = exportedTables(opened).map((table) => ({ table, json: tableJson(opened, table) }));
      return { schema: schemaOf(opened), tables };
    } finally {
      opened.close();
    }
  },

  /** everything in one file */
  backup: ({ now }: { now: Date }) => makingBackup(now),
} as const;

export type Work = keyof typeof WORKS;
export type Given<W extends Work> = Parameters<(typeof WORKS)[W]>[0];
export type Made<W extends Work> = Awaited<ReturnType<(typeof WORKS)[W]>>;
