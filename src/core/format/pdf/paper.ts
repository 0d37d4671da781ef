import type { PDFDocument, PDFFont, PDFPage, PDFRef } from 'pdf-lib';
import {
  clip,
  concatTransformationMatrix,
  drawObject,
  endPath,
  popGraphicsState,
  pushGraphicsState,
  rectangle,
  rgb,
  setGraphicsState,
} from 'pdf-lib';
import { PAPER } from '../../measure/paper';
import type { Letters } from '../letters';
import { isFromRight, visualRuns } from '../visual-runs';

/** Points in a millimeter: 72 points to the inch, 25.4 mm to the inch. */
export const POINTS = 72 / 25.4;
export const INK = rgb(0.122, 0.141, 0.137);
export const FRAME = rgb(0.09, 0.267, 0.247);
export const STOP = rgb(0.608, 0.153, 0.263);
export const FAINT = rgb(0.62, 0.6, 0.55);

/** No printer is sure to print nearer to the edge, mm. From memory. */
const MARGIN = 12;
const FOOT = 20;
/** Length of the measuring bar, mm. */
export const BAR = 100;
/** Parts of what is larger than a sheet have so much in common, mm. */
const OVERLAP = 10;

export type PaperSize = 'A4' | 'Letter';

/** Where the bar lies on a page that is filled to its foot, mm from below and from the left. */
const EDGE_BAR = 6;
const SIDE_BAR = 18;

/** Room for a line over what is drawn in true size, mm. */
const TITLE = 6;

/** Where the parts of a length begin that go on one sheet each. */
function partsOf(length: number, most: number): number[] {
  if (length <= most) return [0];
  const count = Math.ceil((length - OVERLAP) / (most - OVERLAP));
  return Array.from({ length: count }, (_, i) => (i * (length - most)) / (count - 1));
}

export interface Fonts {
  readonly plain: PDFFont;
  readonly heading: PDFFont;
  /** draws texts that have other letters than these fonts */
  readonly letters: Letters;
}

/**
 * A pile of pages with a place to write: lengths in mm from the top-left corner. Every page bears a measuring bar, so
 * that a print that was shrunk is seen before anything is cut by it; nothing lies nearer to an edge than printers
 * reach.
 */
export class Paper {
  private page: PDFPage | null = null;
  private y = 0;
  private readonly width: number;
  private readonly height: number;
  private readonly measured = new Map<string, number>();

  constructor(
    private readonly document: PDFDocument,
    private readonly fonts: Fonts,
    private readonly title: string,
    size: PaperSize = 'A4',
  ) {
    this.width = PAPER[size].width;
    this.height = PAPER[size].height;
  }

  /** A fresh page; its bar at the foot, or, where that is filled, at the very edge between the marks. */
  turn(bar: 'at the foot' | 'over the foot' = 'at the foot'): void {
    this.page = this.document.addPage([this.width * POINTS, this.height * POINTS]);
    this.y = MARGIN;
    this.bar(this.height - (bar === 'at the foot' ? MARGIN : EDGE_BAR) - 3, bar === 'at the foot' ? MARGIN : SIDE_BAR);
  }

  get room(): { x: number; y: number; w: number; h: number } {
    return { x: MARGIN, y: this.y, w: this.width - 2 * MARGIN, h: this.height - FOOT - this.y };
  }

  /**
   * Draws something in true size on a page of its own, in the middle; what is larger than the paper on several, which
   * have a strip in common.
   * @param title over each; parts say which they are
   * @param draw is given where its top-left corner lies, mm
   */
  trueSize(w: number, h: number, title: string, draw: (x: number, y: number) => void): void {
    const most = { w: this.width - 2 * MARGIN, h: this.height - MARGIN - FOOT - TITLE };
    const across = partsOf(w, most.w);
    const down = partsOf(h, most.h);
    const parts = down.flatMap((y) => across.map((x) => ({ x, y })));
    parts.forEach((part, i) => {
      this.turn();
      const said =
        parts.length > 1 ? `${title} Part ${i + 1} of ${parts.length}; they overlap by ${OVERLAP} mm.` : title;
      this.text(said, MARGIN, MARGIN + 3, 9, undefined, FAINT);
      const x = MARGIN + Math.max(0, (most.w - w) / 2);
      this.within({ x: MARGIN, y: MARGIN + TITLE, ...most }, () => draw(x - part.x, MARGIN + TITLE - part.y));
    });
  }

  /** Whatever is drawn meanwhile is seen only there. */
  within({ x, y, w, h }: { x: number; y: number; w: number; h: number }, draw: () => void): void {
    const edge = 0.5; // a line on the very edge is seen whole
    this.page?.pushOperators(
      pushGraphicsState(),
      rectangle(
        (x - edge) * POINTS,
        (this.height - y - h - edge) * POINTS,
        (w + 2 * edge) * POINTS,
        (h + 2 * edge) * POINTS,
      ),
      clip(),
      endPath(),
    );
    draw();
    this.page?.pushOperators(popGraphicsState());
  }

  /** A form (`svg-form.ts`) with its own origin at x, y; 1 is true size, an alpha under 1 lets the paper through. */
  place(form: PDFRef, x: number, y: number, scale = 1, alpha = 1): void {
    const { page } = this;
    if (!page) return;
    const k = POINTS * scale;
    page.pushOperators(pushGraphicsState());
    if (alpha < 1)
      page.pushOperators(
        setGraphicsState(
          page.node.newExtGState('Pale', this.document.context.obj({ Type: 'ExtGState', ca: alpha, CA: alpha })),
        ),
      );
    page.pushOperators(
      concatTransformationMatrix(k, 0, 0, -k, x * POINTS, (this.height - y) * POINTS),
      drawObject(page.node.newXObject('Form', form)),
      popGraphicsState(),
    );
  }

  /** A measure that is read over whatever is printed there. */
  label(text: string, x: number, y: number): void {
    this.rect(x - 0.6, y - 2.3, this.textWidth(text, 6.5) + 1.2, 3, rgb(1, 1, 1), 0, rgb(1, 1, 1));
    this.text(text, x, y, 6.5, this.fonts.plain, STOP);
  }

  /** A number in a disc, its middle at x, y. */
  bubble(n: number, x: number, y: number): void {
    const r = n > 99 ? 2.7 : 2.2;
    this.page?.drawCircle({
      x: x * POINTS,
      y: (this.height - y) * POINTS,
      size: r * POINTS,
      color: FRAME,
      borderColor: rgb(1, 1, 1),
      borderWidth: 0.6,
    });
    const text = String(n);
    this.text(text, x - this.textWidth(text, 6.5) / 2, y + 0.85, 6.5, this.fonts.plain, rgb(1, 1, 1));
  }

  /** Where the room ends, mm from the top. */
  get foot(): number {
    return this.height - FOOT;
  }

  skip(mm: number): void {
    this.y += mm;
  }

  /** Turns the page when less than `mm` are left above the foot. */
  need(mm: number): void {
    if (!this.page || this.y + mm > this.height - FOOT) this.turn();
  }

  heading(text: string): void {
    this.need(24);
    this.y += 6;
    this.text(text, MARGIN, this.y, 15, this.fonts.heading, FRAME);
    this.y += 4;
  }

  /** A paragraph broken over lines. */
  paragraph(text: string, options: { size?: number; color?: typeof INK; indent?: number } = {}): void {
    const size = options.size ?? 9.5;
    const indent = options.indent ?? 0;
    const lines = this.wrap(text, this.room.w - indent, size);
    const pitch = size * 0.46;
    this.need(lines.length * pitch + 1.5);
    for (const line of lines) {
      this.y += pitch;
      this.text(line, MARGIN + indent, this.y - pitch * 0.2, size, this.fonts.plain, options.color ?? INK);
    }
    this.y += 1.5;
  }

  text(text: string, x: number, y: number, size: number, font = this.fonts.plain, color = INK): void {
    let at = x * POINTS;
    for (const run of runsIn(text, font)) {
      const where = { x: at, y: (this.height - y) * POINTS, color };
      if (run.face) this.page?.drawText(run.text, { ...where, size, font });
      else this.page?.drawSvgPath(this.outlined(run.text, font).path, { ...where, scale: size });
      at += (run.face ? font.widthOfTextAtSize(run.text, 1000) / 1000 : this.outlined(run.text, font).width) * size;
    }
  }

  /** A text as the outlines of its letters, at a size of 1. */
  private outlined(text: string, font: PDFFont): { path: string; width: number } {
    const { path, width } = this.fonts.letters.outline(text, font === this.fonts.heading ? 'Fraunces' : 'Figtree');
    return { path: path.map((c) => `${c.do}${c.args.map((n) => n.toFixed(4)).join(' ')}`).join(''), width };
  }

  /** mm; a word is measured once, at size 1000. */
  textWidth(text: string, size: number): number {
    const { plain } = this.fonts;
    const known =
      this.measured.get(text) ??
      runsIn(text, plain)
        .map((run) =>
          run.face ? plain.widthOfTextAtSize(run.text, 1000) : this.outlined(run.text, plain).width * 1000,
        )
        .reduce((sum, wide) => sum + wide, 0);
    this.measured.set(text, known);
    return (known * size) / 1000 / POINTS;
  }

  rect(x: number, y: number, w: number, h: number, color = INK, weight = 0.5, fill?: ReturnType<typeof rgb>): void {
    this.page?.drawRectangle({
      x: x * POINTS,
      y: (this.height - y - h) * POINTS,
      width: w * POINTS,
      height: h * POINTS,
      borderColor: color,
      borderWidth: weight,
      ...(fill ? { color: fill } : {}),
    });
  }

  line(x1: number, y1: number, x2: number, y2: number, color = INK, weight = 0.5): void {
    this.page?.drawLine({
      start: { x: x1 * POINTS, y: (this.height - y1) * POINTS },
      end: { x: x2 * POINTS, y: (this.height - y2) * POINTS },
      thickness: weight,
      color,
    });
  }

  private bar(y: number, x: number): void {
    this.rect(x, y, BAR, 3, FRAME, 0.5);
    for (let i = 10; i < BAR; i += 10) this.line(x + i, y, x + i, y + (i === BAR / 2 ? 3 : 1.6), FRAME, 0.4);
    this.text(`${BAR} mm. If yours is not, print again at 100 %.`, x + BAR + 3, y + 0.6, 7.5);
    this.text(`${this.title} · page ${this.document.getPageCount()}`, x + BAR + 3, y + 3.6, 7, this.fonts.plain, FAINT);
  }

  wrap(text: string, width: number, size: number): string[] {
    const lines: string[] = [];
    let line = '';
    let used = 0;
    for (const word of text.split(/\s+/)) {
      const wide = this.textWidth(`${word} `, size);
      if (line && used + wide > width) {
        lines.push(line);
        [line, used] = [word, wide];
      } else {
        line = line ? `${line} ${word}` : word;
        used += wide;
      }
    }
    return line ? [...lines, line] : lines;
  }
}

const known = new WeakMap<PDFFont, ReadonlySet<number>>();

/** What each font here has, and draws alone and together. */
const ASCII = /^[ -~]*$/;

/** What of a line the font draws, so that it can be searched for, and what its stand-ins draw. */
const runsIn = (text: string, font: PDFFont): readonly { readonly text: string; readonly face: boolean }[] =>
  isOf(text, font)
    ? [{ text, face: true }]
    : isFromRight(text)
      ? [{ text, face: false }]
      : visualRuns(text.normalize('NFC'), (letter) => isOf(letter, font));

/** Whether a font has every letter of a text, and draws them together. */
function isOf(text: string, font: PDFFont): boolean {
  if (ASCII.test(text)) return true;
  const letters = known.get(font) ?? new Set(font.getCharacterSet());
  known.set(font, letters);
  if (![...text].every((c) => letters.has(c.codePointAt(0) as number))) return false;
  try {
    font.encodeText(text);
    return true;
  } catch {
    return false;
  }
}
