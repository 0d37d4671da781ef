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

/** A design's place on the page, mm: seven in a row of A4. */
const CELL = { w: 26, h: 30 } as const;
/** what of it the sticker takes, at most; smaller ones are shown in true size */
const SHOWN = { w: 23, h: 21 } as const;
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
  const across = Math.floor(paper.room.w / CELL.w);
  kit.pieces.forEach((piece, i) => {
    if (i % across === 0) {
      if (i > 0) paper.skip(CELL.h);
      paper.need(CELL.h);
    }
    const { x, y } = paper.room;
    const left = x + (i % across) * CELL.w;
    const { w, h } = wholeOf(piece);
    const length = Math.min(w, OF_A_ROLL);
    const scale = Math.min(1, SHOWN.w / length, SHOWN.h / h);
    const shown = { x: left, y: y + SHOWN.h - h * scale, w: length * scale, h: h * scale };
    paper.within(shown, () =>
      paper.place(forms.form(drawPiece(piece, `k${i}`), roomy(wholeOf(piece))), left, shown.y, scale),
    );
    caption(piece).forEach((line, n) => {
      const [fits = ''] = paper.wrap(line, CELL.w - 1, CAPTION);
      paper.text(fits, left, y + SHOWN.h + 3 + n * 2.4, CAPTION, undefined, n ? FAINT : INK);
    });
  });
  return document.save();
}

const caption = ({ code, kind, width, height, count }: Piece): string[] => [
  `${count} × ${code}`,
  traits(kind).label.toLowerCase(),
  `${width} × ${height} mm`,
];
