import { drawPiece } from '../art/draw-piece';
import type { Kit, Piece } from '../kit/kit';
import { calledName, palette } from '../kit/kit';
import { traits } from '../kit/kinds';
import { wholeOf } from '../kit/ledger';
import { counted } from '../spread/voice';
import { beginPdf } from './pdf/begin';
import type { PaperSize } from './pdf/paper';
import { FAINT, INK, Paper } from './pdf/paper';
import { embedPictures } from './pdf/pictures';
import { SvgForms } from './pdf/svg-form';
import type { PrintParts } from './print/sheet-of-work';
import { roomy } from './print/sheet-of-work';

/** A design's place in its row, mm: seven in a row of A4. */
const CELL = 26;
/** what of it the sticker takes, at most; smaller ones are shown in true size */
const SHOWN = { w: 23, h: 21 } as const;
/** mm under it, for what is said of it */
const CAPTIONS = 11;
/** mm, of a swatch */
const SWATCH = 9;
/** size of what stands under a design, points */
const CAPTION = 6;
/** Of a roll so much is shown, mm. */
const OF_A_ROLL = 120;

/**
 * A kit's card as a page to print, for who gets the kit: its name, colors and every design with its size and copies.
 * The same kit gives the same bytes.
 */
export async function kitCardPdf(kit: Kit, parts: PrintParts, size: PaperSize): Promise<Uint8Array> {
  const title = calledName(kit);
  const { document, fonts } = await beginPdf(title, parts.fonts);
  const paper = new Paper(document, fonts, title, size);
  const pictures = await embedPictures(
    document,
    kit.pieces.map((p) => p.picture),
    parts.pictureOf,
  );
  const forms = new SvgForms(document, parts.fonts.letters, pictures, parts.pack);
  paper.turn();
  paper.heading(title);
  const { x: margin, y: under } = paper.room;
  const swatches = palette(kit, 12).map(
    (color, i) => `<rect x="${i * (SWATCH + 1.5)}" width="${SWATCH}" height="${SWATCH}" rx="1.5" fill="${color}"/>`,
  );
  paper.place(forms.form(swatches.join(''), { x: 0, y: 0, w: 12 * (SWATCH + 1.5), h: SWATCH }), margin, under);
  paper.skip(SWATCH + 2);
  const stickers = kit.pieces.reduce((sum, p) => sum + p.count, 0);
  const sheets = new Set(kit.pieces.map((p) => p.sheet)).size;
  paper.paragraph(
    `${counted(stickers, 'sticker')} of ${counted(kit.pieces.length, 'design')} on ${counted(sheets, 'sheet')}`,
  );
  const across = Math.floor(paper.room.w / CELL);
  for (let first = 0; first < kit.pieces.length; first += across) {
    const row = kit.pieces.slice(first, first + across).map(shownOf);
    const tall = Math.max(...row.map((d) => d.h));
    paper.need(tall + CAPTIONS);
    const { x, y } = paper.room;
    row.forEach(({ piece, w, h, scale }, i) => {
      const at = { x: x + i * CELL, y: y + tall - h, w, h };
      paper.within(at, () =>
        paper.place(forms.form(drawPiece(piece, `k${first + i}`), roomy(wholeOf(piece))), at.x, at.y, scale),
      );
      caption(piece).forEach((line, n) => {
        const [fits = ''] = paper.wrap(line, CELL - 1, CAPTION);
        paper.text(fits, at.x, y + tall + 3 + n * 2.4, CAPTION, undefined, n ? FAINT : INK);
      });
    });
    paper.skip(tall + CAPTIONS);
  }
  return document.save();
}

/** How large a design is shown, mm: no larger than it is. */
function shownOf(piece: Piece): { piece: Piece; w: number; h: number; scale: number } {
  const length = Math.min(piece.width, OF_A_ROLL);
  const scale = Math.min(1, SHOWN.w / length, SHOWN.h / piece.height);
  return { piece, w: length * scale, h: piece.height * scale, scale };
}

const caption = ({ code, kind, width, height, count }: Piece): string[] => [
  `${count} × ${code}`,
  traits(kind).label.toLowerCase(),
  `${width} × ${height} mm`,
];
