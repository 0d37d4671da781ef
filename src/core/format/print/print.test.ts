import { alikeRuns, sayNumbers } from '../../bench/alike';
import { runsOf } from '../../bench/groups';
import { strokesOf } from '../../bench/strokes';
import { voiceOf } from '../../spread/voice';
import sharp from 'sharp';
import { context, demoSpread, kitOf, piece, placement } from '../../../../tests/fixtures';
import type { Box, ReadPage } from '../../../../tests/read-print';
import { near, readPrint as read } from '../../../../tests/read-print';
import { printFonts } from '../../../server/fonts';
import { printParts } from '../../../server/print-parts';
import { benchOf } from '../../bench/bench';
import { threeBox } from '../../book/three-box';
import { pieceKey } from '../../kit/kit';
import { sheetsOf } from '../../kit/sheet-layout';
import { isWriting, pieceIndex } from '../../spread/placement';
import { benchPdf } from '../bench-pdf';
import { bookPdf } from '../book-pdf';
import type { PrintParts } from './sheet-of-work';

const parts: PrintParts = printParts();

const { context: c, placements } = demoSpread();
const bench = benchOf(c, placements);

describe('the bench sheet', () => {
  let printed: Uint8Array;
  let pages: ReadPage[];
  beforeAll(async () => {
    printed = await benchPdf(c, bench, parts);
    pages = read(printed);
  }, 60_000);

  it('measures back: a bar of 100 mm on every page, nothing painted nearer to an edge than 5 mm', () => {
    for (const [i, page] of pages.entries()) {
      expect([page.width, page.height]).toEqual([expect.closeTo(210, 1), expect.closeTo(297, 1)]);
      expect([i, page.boxes.some((b) => Math.abs(b.w - 100) < 0.05 && Math.abs(b.h - 3) < 0.05)]).toEqual([i, true]);
    }
    for (const [i, page] of pages.entries())
      for (const { seen: b } of page.boxes.filter((q) => q.seen.w > 0.01 && q.seen.h > 0.01))
        expect([i, b.x >= 5 && b.y >= 5 && b.x + b.w <= page.width - 5 && b.y + b.h <= page.height - 5]).toEqual([
          i,
          true,
        ]);
  });

  it('has each page in true size, and on it every sticker where it is planned, to a tenth of a millimeter', () => {
    const index = pieceIndex(c);
    for (const [n, page] of c.book.pages.entries()) {
      const map = pages[1 + n]!;
      const [frame] = map.forms;
      expect([frame?.w, frame?.h]).toEqual([expect.closeTo(page.width, 1), expect.closeTo(page.height, 1)]);
      const there = map.forms.map((f) => ({ x: f.x - frame!.x, y: f.y - frame!.y, w: f.w, h: f.h }));
      // a face is a form 2 mm larger on each side than its sticker; of one that was cut more is there than is seen
      const upright = placements.filter((p) => p.page === n && !isWriting(p) && p.turn === 0);
      expect(upright.length).toBeGreaterThan(20);
      for (const p of upright) {
        const { width, height } = index.get(pieceKey(p))!;
        const [cx, cy] = [p.cut?.x ?? 0, p.cut?.y ?? 0];
        const wanted = { x: p.x - cx - 2, y: p.y - cy - 2, w: width + 4, h: height + 4 };
        expect([p.id, there.some((f) => near(f, wanted))]).toEqual([p.id, true]);
      }
    }
  });

  it('has each page to trace from: the outline of every piece and every stroke of white-out', () => {
    for (const [n, page] of c.book.pages.entries()) {
      const { boxes } = pages[3 + n]!;
      const frame = boxes.filter((b) => Math.abs(b.w - page.width) < 0.1 && Math.abs(b.h - page.height) < 0.1)[0]!;
      const has = (r: Box) => boxes.some((b) => near({ ...b, x: b.x - frame.x, y: b.y - frame.y }, r));
      for (const p of placements.filter((q) => q.page === n && q.turn === 0))
        expect([p.id, has(p)]).toEqual([p.id, true]);
      for (const w of strokesOf({ book: c.book, placements }, bench.whiteOut).filter((o) => o.page === n))
        expect(has({ x: w.x - 0.4, y: w.y - 0.4, w: w.w + 0.8, h: w.h + 0.8 })).toBe(true);
    }
  });

  it('has the sheets with every cut in true size', () => {
    const cutting = pages.filter((p) => p.text.includes('Lay it beside yours'));
    expect(cutting.length).toBeGreaterThan(0);
    const all = cutting.flatMap((p) => p.boxes);
    for (const cut of bench.cuts)
      for (const r of cut.pieces)
        expect([cut.code, all.some((b) => Math.abs(b.w - r.w) < 0.1 && Math.abs(b.h - r.h) < 0.1)]).toEqual([
          cut.code,
          true,
        ]);
    const sheets = new Set(bench.cuts.map((k) => k.kit));
    expect(sheetsOf(c.kit).length).toBeGreaterThan(0);
    expect(cutting.length).toBeGreaterThanOrEqual(sheets.size);
  });

  it('says every step once, in the order they are done, and no wall of white-out numbers', () => {
    const said = pages
      .map((p) => p.text)
      .join(' ')
      .replace(/\s+/g, ' ');
    let from = said.indexOf('1. White out');
    for (const set of runsOf(bench.steps).flatMap((run) => alikeRuns(run.steps, voiceOf(c, placements)))) {
      const at = said.indexOf(` ${sayNumbers(set)}. `, from - 2);
      expect([sayNumbers(set), at >= from - 2]).toEqual([sayNumbers(set), true]);
      from = at + 1;
    }
    expect(said).not.toContain('across at');
    expect(said).toContain('To write, in your hand’s size');
  });

  it('is the same bytes each time, and on Letter where that is wanted', async () => {
    const again = await benchPdf(c, bench, parts);
    expect(Buffer.from(printed).equals(Buffer.from(again))).toBe(true);
    const [letter] = read(await benchPdf(c, bench, { ...parts, size: 'Letter' }), 1);
    expect([letter?.width, letter?.height]).toEqual([expect.closeTo(215.9, 1), expect.closeTo(279.4, 1)]);
  });

  it('has the strips off a roll in true size, those longer than the paper in parts', async () => {
    const roll = kitOf(piece({ code: 'W', kind: 'washi', width: 10_000, height: 15, motif: 'waves' }));
    const strip = (id: string, x: number, w: number, y: number) =>
      placement({ id, code: 'W', x: 5, y, w, h: 15, cut: { x, y: 0, w, h: 15 } });
    const strips = [strip('p1', 0, 150, 20), strip('p2', 150, 260, 60)];
    const rolled = context({ kit: roll });
    const [page] = read(await benchPdf(rolled, benchOf(rolled, strips), parts)).filter((p) =>
      p.text.includes('Strips off the rolls'),
    );
    const has = (w: number) => page!.boxes.some((b) => Math.abs(b.w - w) < 0.1 && Math.abs(b.h - 15) < 0.1);
    expect(has(150)).toBe(true);
    // 186 mm of paper between the margins; the next line begins with the last 10 mm of the one above
    expect([has(186), has(260 - 176)]).toEqual([true, true]);
    expect(page!.text).toContain('the first 10 mm are the last of the line above');
  });

  it('keeps a sticker’s drawing once, however often it lies there', async () => {
    const kit = kitOf(piece({ count: 30, motif: 'waves' }));
    const many = Array.from({ length: 24 }, (_, i) =>
      placement({ id: `p${i}`, copy: i + 1, page: i % 2, x: 46.1, y: 20 + 8 * (i >> 1), h: 12 }),
    );
    const sized = async (n: number) =>
      (await benchPdf(context({ kit }), { ...benchOf(context({ kit }), many.slice(0, n), []), steps: [] }, parts))
        .length;
    expect((await sized(24)) - (await sized(2))).toBeLessThan(6000);
  });

  it('shows a scanned sticker with its own picture, and the sheet without one that is gone', async () => {
    const scanned = kitOf(piece({ picture: 'a'.repeat(64) }));
    const png = await sharp({ create: { width: 60, height: 20, channels: 4, background: '#c2543d80' } })
      .png()
      .toBuffer();
    const sheet = context({ kit: scanned });
    const own = benchOf(sheet, [placement()], []);
    const shown = await benchPdf(sheet, own, { ...parts, pictureOf: async () => png });
    const gone = await benchPdf(sheet, own, { ...parts, pictureOf: async () => null });
    expect(Buffer.from(shown).includes('/Subtype /Image')).toBe(true);
    expect(Buffer.from(gone).includes('/Subtype /Image')).toBe(false);
  });

  it('of an empty spread is the cover alone; letters that no font has stop nothing', async () => {
    expect(read(await benchPdf(c, benchOf(c, []), parts))).toHaveLength(1);
    const odd = placement({ text: 'サーモン 🐟 and a very long line that goes on and on' });
    const sheet = context({ kit: kitOf(piece()) });
    expect(read(await benchPdf(sheet, benchOf(sheet, [odd], []), parts)).length).toBeGreaterThan(4);
  });
});

describe('a book larger than the paper', () => {
  const wide = { ...threeBox, pages: threeBox.pages.map((p) => ({ ...p, width: 300, height: 400 })) };
  it('is printed in parts that overlap, each with its bar, none shrunk', async () => {
    const pages = read(await bookPdf(wide, printFonts()));
    expect(pages.filter((p) => p.text.includes('of 4'))).toHaveLength(8);
    for (const p of pages) expect(p.width).toBeCloseTo(210, 0);
    const frames = pages[0]!.boxes.filter((b) => Math.abs(b.w - 300) < 0.1 && Math.abs(b.h - 400) < 0.1);
    expect(frames).toHaveLength(1);
  });
});
