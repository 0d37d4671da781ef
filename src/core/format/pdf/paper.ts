import type { PDFDocument, PDFFont, PDFPage } from 'pdf-lib';
import { rgb } from 'pdf-lib';
import { PAPER } from '../../measure/paper';

/** Points in a millimeter: 72 points to the inch, 25.4 mm to the inch. */
export const POINTS = 72 / 25.4;
export const INK = rgb(0.122, 0.141, 0.137);
export const FRAME = rgb(0.09, 0.267, 0.247);
export const STOP = rgb(0.608, 0.153, 0.263);
export const FAINT = rgb(0.62, 0.6, 0.55);

const MARGIN = 16;
const FOOT = 34;
/** Side of the measuring square, mm. */
export const SQUARE = 25;

export interface Fonts {
  readonly plain: PDFFont;
  readonly heading: PDFFont;
}

/**
 * A pile of pages with a place to write: lengths in mm from the top-left corner. Every page bears a measuring square,
 * so that a print that was shrunk is seen before anything is cut by it.
 */
export class Paper {
  private page: PDFPage | null = null;
  private y = 0;
  private width = 0;
  private height = 0;
  private readonly measured = new Map<string, number>();

  constructor(
    private readonly document: PDFDocument,
    private readonly fonts: Fonts,
    private readonly title: string,
  ) {}

  /** A fresh page, as large as it must be for `w` x `h` mm between its margins; A4 where that is enough. */
  turn(w = 0, h = 0): void {
    this.width = Math.max(PAPER.A4.width, w + 2 * MARGIN);
    this.height = Math.max(PAPER.A4.height, h + MARGIN + FOOT);
    this.page = this.document.addPage([this.width * POINTS, this.height * POINTS]);
    this.y = MARGIN;
    this.square();
  }

  get room(): { x: number; y: number; w: number } {
    return { x: MARGIN, y: this.y, w: this.width - 2 * MARGIN };
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

  /** A paragraph broken over lines; a box to tick before it where wanted. */
  paragraph(text: string, options: { tick?: boolean; size?: number; color?: typeof INK } = {}): void {
    const size = options.size ?? 9.5;
    const indent = options.tick ? 6 : 0;
    const lines = this.wrap(text, this.room.w - indent, size);
    const pitch = size * 0.46;
    this.need(lines.length * pitch + 1.5);
    if (options.tick) this.rect(MARGIN, this.y + 0.6, 3, 3, INK, 0.5);
    for (const line of lines) {
      this.y += pitch;
      this.text(line, MARGIN + indent, this.y - pitch * 0.2, size, this.fonts.plain, options.color ?? INK);
    }
    this.y += 1.5;
  }

  text(text: string, x: number, y: number, size: number, font = this.fonts.plain, color = INK): void {
    this.page?.drawText(printable(text, font), { x: x * POINTS, y: (this.height - y) * POINTS, size, font, color });
  }

  /** mm; a word is measured once, at size 1000. */
  private textWidth(text: string, size: number): number {
    const known =
      this.measured.get(text) ?? this.fonts.plain.widthOfTextAtSize(printable(text, this.fonts.plain), 1000);
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

  private square(): void {
    const [x, y] = [MARGIN, this.height - SQUARE - 6];
    this.rect(x, y, SQUARE, SQUARE, FRAME, 0.6);
    for (let i = 5; i < SQUARE; i += 5) {
      this.line(x + i, y, x + i, y + 1.6, FRAME, 0.4);
      this.line(x, y + i, x + 1.6, y + i, FRAME, 0.4);
    }
    this.text(
      `This square is ${SQUARE} × ${SQUARE} mm. If yours is not, print again at 100 %.`,
      x + SQUARE + 4,
      y + SQUARE / 2 - 1,
      9,
    );
    this.text(
      `${this.title} · page ${this.document.getPageCount()}`,
      x + SQUARE + 4,
      y + SQUARE / 2 + 5,
      8,
      this.fonts.plain,
      FAINT,
    );
  }

  private wrap(text: string, width: number, size: number): string[] {
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

const letters = new WeakMap<PDFFont, ReadonlySet<number>>();

/** Letters the font does not have are shown as a question mark rather than stopping the print. */
function printable(text: string, font: PDFFont): string {
  const known = letters.get(font) ?? new Set(font.getCharacterSet());
  letters.set(font, known);
  return [...text].map((c) => (known.has(c.codePointAt(0) as number) ? c : '?')).join('');
}
