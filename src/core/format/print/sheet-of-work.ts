import type { PDFDocument, PDFRef } from 'pdf-lib';
import { drawPiece } from '../../art/draw-piece';
import type { Bench } from '../../bench/bench';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { wholeOf } from '../../kit/ledger';
import type { Context } from '../../spread/placement';
import { isWriting, pieceIndex } from '../../spread/placement';
import type { Voice } from '../../spread/voice';
import { voiceOf } from '../../spread/voice';
import { spokenWeek } from '../../week/day-names';
import type { FontFiles } from '../pdf/begin';
import { beginPdf } from '../pdf/begin';
import { embedPictures } from '../pdf/pictures';
import type { PaperSize } from '../pdf/paper';
import { Paper } from '../pdf/paper';
import type { Pack } from '../pdf/svg-form';
import { SvgForms } from '../pdf/svg-form';

/** What a print needs beside the spread. */
export interface PrintParts {
  readonly fonts: FontFiles;
  /** the picture of a scanned sticker as PNG, by its hash; null where it is gone */
  readonly pictureOf?: (hash: string) => Promise<Uint8Array | null>;
  readonly size?: PaperSize;
  readonly pack?: Pack;
}

/** All that the parts of the print are drawn from. */
export interface Printing {
  readonly paper: Paper;
  readonly forms: SvgForms;
  readonly context: Context;
  readonly bench: Bench;
  readonly voice: Voice;
  /** letters of its texts that no font here has, each once */
  readonly lacking: readonly string[];
  /** the face of a sticker as a form in its own mm; the same one for all its copies */
  readonly faceOf: (piece: Piece) => PDFRef;
}

/** A document begun, with all stickers at hand. */
export async function beginPrint(
  context: Context,
  bench: Bench,
  { fonts, pictureOf, size, pack }: PrintParts,
): Promise<{ document: PDFDocument; printing: Printing; title: string }> {
  const title = `${context.book.name}, ${spokenWeek(context.week.days)} (${context.week.week})`;
  const { document, fonts: embedded } = await beginPdf(title, fonts);
  const index = pieceIndex(context);
  const shown = bench.placements.filter((p) => !isWriting(p)).map((p) => index.get(pieceKey(p))?.picture);
  const pictures = await embedPictures(document, shown, pictureOf);
  const forms = new SvgForms(document, fonts.letters, pictures, pack);
  const faces = new Map<string, PDFRef>();
  const faceOf = (piece: Piece): PDFRef => {
    const key = pieceKey(piece);
    const face = faces.get(key) ?? forms.form(drawPiece(piece, 'f'), roomy(wholeOf(piece)));
    faces.set(key, face);
    return face;
  };
  const printing: Printing = {
    paper: new Paper(document, embedded, title, size),
    forms,
    context,
    bench,
    voice: voiceOf(context, bench.placements),
    lacking: fonts.letters.lacking(bench.placements.map((p) => p.text ?? '').join(' ')),
    faceOf,
  };
  return { document, printing, title };
}

/** Lettering and rims may reach a little over a sticker's own edge, mm. */
const OVER = 2;
export const roomy = ({ x, y, w, h }: { x: number; y: number; w: number; h: number }) => ({
  x: x - OVER,
  y: y - OVER,
  w: w + 2 * OVER,
  h: h + 2 * OVER,
});
