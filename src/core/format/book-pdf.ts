import { rgb } from 'pdf-lib';
import type { Book, Region } from '../book/book';
import { PAPER } from '../measure/paper';
import { ruled } from '../measure/fraction';
import type { FontFiles } from './pdf/begin';
import { beginPdf } from './pdf/begin';
import { FRAME, INK, Paper } from './pdf/paper';

/** Printed places, one faint fill a kind of region. */
const FILL: Readonly<Record<Region['kind'], ReturnType<typeof rgb>>> = {
  day: rgb(0.93, 0.97, 0.95),
  'date-header': rgb(0.98, 0.93, 0.86),
  sidebar: rgb(0.93, 0.94, 0.98),
  'bottom-strip': rgb(0.98, 0.92, 0.94),
  'top-strip': rgb(0.98, 0.92, 0.94),
  'month-flag': rgb(0.98, 0.93, 0.86),
  free: rgb(0.96, 0.96, 0.96),
};

/**
 * Every page of a book as measured, at 100 %, to be laid over the real one against the light; a bank card's outline
 * (ISO/IEC 7810 ID-1) and a measuring bar tell whether the printer kept the scale. The same book gives the same
 * bytes.
 */
export async function bookPdf(book: Book, files: FontFiles): Promise<Uint8Array> {
  const { document, fonts } = await beginPdf(book.name, files);
  const paper = new Paper(document, fonts, book.name);
  book.pages.forEach(({ width, height }, page) => {
    const said = `Page ${page + 1} of ${book.pages.length}, ${ruled(width, book.unit)} × ${ruled(height, book.unit)}: lay it over yours against the light.`;
    paper.trueSize(width, height, said, (ox, oy) => drawn(paper, book, page, ox, oy));
  });
  paper.turn();
  paper.heading('A bank card lies on this outline');
  const { x, y } = paper.room;
  paper.rect(x, y + 4, PAPER.card.width, PAPER.card.height, FRAME, 0.6);
  return document.save();
}

function drawn(paper: Paper, book: Book, page: number, ox: number, oy: number): void {
  const { width, height } = book.pages[page] as Book['pages'][number];
  for (const r of book.regions.filter((x) => x.page === page)) {
    paper.rect(ox + r.x, oy + r.y, r.w, r.h, FRAME, 0.4, FILL[r.kind]);
    paper.text(r.id, ox + r.x + 1, oy + r.y + 3.2, 6, undefined, FRAME);
  }
  for (const m of book.marks.filter((x) => x.page === page))
    paper.rect(ox + m.x, oy + m.y, Math.max(m.w, 0.1), Math.max(m.h, 0.1), INK, 0.3);
  paper.rect(ox, oy, width, height, FRAME, 0.8);
}
