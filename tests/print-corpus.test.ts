import { benchOf } from '../src/core/bench/bench';
import { benchPdf } from '../src/core/format/bench-pdf';
import { pieceKey } from '../src/core/kit/kit';
import { isWriting, pieceIndex } from '../src/core/spread/placement';
import { printParts } from '../src/server/print-parts';
import { kitCorpus, laidOut } from './kit-corpus';
import { near, readPrint } from './read-print';

/** One week in so many of the corpus; those whose pages are printed in one part. A4 and its margins, mm. */
const EVERY = 97;
const [WIDE, HIGH] = [200, 287];

const WEEKS = kitCorpus(EVERY)
  .filter(({ context }) => context.book.pages.every((p) => p.width <= WIDE && p.height <= HIGH - 25))
  .map((w) => [`${w.sort}, ${w.book}, ${w.manner}`, w] as const);

it('there are weeks of several books among them', () => {
  expect(new Set(WEEKS.map(([, w]) => w.book)).size).toBeGreaterThan(1);
});

describe.each(WEEKS)('the print of %s', (_, week) => {
  it('has every sticker where it is planned, to a tenth of a millimeter, and nothing near an edge', async () => {
    const { context } = week;
    const placements = laidOut(week);
    const pages = readPrint(await benchPdf(context, benchOf(context, placements), printParts()));
    const index = pieceIndex(context);
    let measured = 0;
    for (const [n, page] of context.book.pages.entries()) {
      const map = pages[1 + n]!;
      const [frame] = map.forms;
      expect([frame?.w, frame?.h]).toEqual([expect.closeTo(page.width, 1), expect.closeTo(page.height, 1)]);
      const there = map.forms.map((f) => ({ x: f.x - frame!.x, y: f.y - frame!.y, w: f.w, h: f.h }));
      for (const p of placements.filter((q) => q.page === n && !isWriting(q) && q.turn === 0)) {
        const { width, height } = index.get(pieceKey(p))!;
        // a face is a form 2 mm larger on each side than its sticker; of one that was cut more is there than is seen
        const wanted = { x: p.x - (p.cut?.x ?? 0) - 2, y: p.y - (p.cut?.y ?? 0) - 2, w: width + 4, h: height + 4 };
        expect([p.id, there.some((f) => near(f, wanted))]).toEqual([p.id, true]);
        measured++;
      }
    }
    expect(measured).toBe(placements.filter((p) => !isWriting(p) && p.turn === 0).length);
    expect(measured).toBeGreaterThan(0);
    for (const [i, page] of pages.entries()) {
      expect([i, page.boxes.some((b) => Math.abs(b.w - 100) < 0.05 && Math.abs(b.h - 3) < 0.05)]).toEqual([i, true]);
      for (const { seen: b } of page.boxes.filter((q) => q.seen.w > 0.01 && q.seen.h > 0.01))
        expect([i, b.x >= 5 && b.y >= 5 && b.x + b.w <= page.width - 5 && b.y + b.h <= page.height - 5]).toEqual([
          i,
          true,
        ]);
    }
  }, 60_000);
});
