import { rgb } from 'pdf-lib';
import { drawPiece } from '../art/draw-piece';
import { num } from '../art/svg';
import type { Kit } from '../kit/kit';
import type { MadeSheet } from '../make/lay-out';
import { bleedOf } from '../make/bleed';
import { BLEED, marksOf } from '../make/lay-out';
import { cutOutline } from './made-cut';
import { beginPdf } from './pdf/begin';
import type { PaperSize } from './pdf/paper';
import { FAINT, INK, Paper } from './pdf/paper';
import { SvgForms } from './pdf/svg-form';
import type { PrintParts } from './print/sheet-of-work';

/** Length of a cut mark, and how far it stays from the bleed, mm. */
const MARK = 2.5;

/**
 * Made stickers to be printed at 100 %: each with its face carried on over its edge, cut marks at its corners, and the
 * registration marks that a cutter looks for. The same lines give the same bytes.
 */
export async function madePdf(
  kit: Kit,
  sheets: readonly MadeSheet[],
  parts: PrintParts,
  size: PaperSize,
): Promise<Uint8Array> {
  const { document, fonts } = await beginPdf(kit.name, parts.fonts);
  const paper = new Paper(document, fonts, kit.name, size);
  const forms = new SvgForms(document, parts.fonts.letters, new Map());
  for (const sheet of sheets) {
    paper.turn('over the foot');
    for (const { piece, x, y, w, h } of sheet.items) {
      const room = { x: -BLEED, y: -BLEED, w: w + 2 * BLEED, h: h + 2 * BLEED };
      const face = `face-${piece.code}`;
      if (!forms.named(face)) {
        const square = piece.shape === 'rounded' ? ({ ...piece, shape: 'rect' } as const) : piece;
        forms.name(face, forms.form(drawPiece(square, 'b'), room));
      }
      const ground = `<path d="${cutOutline(piece)}" fill="${piece.color}" stroke="${piece.color}" stroke-width="${num(2 * BLEED)}" stroke-linejoin="round"/>`;
      const bled = ground + bleedOf(piece, `<use href="#${face}"/>`);
      paper.place(forms.form(bled, room), x, y);
      paper.place(forms.form(drawPiece(piece, 'm'), room), x, y);
    }
    for (const { x, y, w, h } of sheet.items)
      for (const cx of [x, x + w])
        for (const cy of [y, y + h]) {
          // marks lie outside of the sticker, beyond its bleed, and only where no other one lies
          const [dx, dy] = [cx === x ? -1 : 1, cy === y ? -1 : 1];
          if (isFree(sheet, cx + dx * (BLEED + MARK), cy))
            paper.line(cx + dx * BLEED, cy, cx + dx * (BLEED + MARK), cy, FAINT, 0.2);
          if (isFree(sheet, cx, cy + dy * (BLEED + MARK)))
            paper.line(cx, cy + dy * BLEED, cx, cy + dy * (BLEED + MARK), FAINT, 0.2);
        }
    for (const m of marksOf(sheet)) paper.rect(m.x, m.y, m.w, m.h, INK, 0, rgb(0, 0, 0));
  }
  return document.save();
}

const isFree = ({ items }: MadeSheet, x: number, y: number): boolean =>
  !items.some((i) => x > i.x - BLEED && x < i.x + i.w + BLEED && y > i.y - BLEED && y < i.y + i.h + BLEED);
