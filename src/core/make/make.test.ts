import { cutterService } from '../../../demo/cutter-service/service';
import { judge } from '../../../demo/cutter-service/judge';
import { readCutFile } from '../../../demo/cutter-service/read-cut-file';
import { context, demoContext, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { kitCorpus } from '../../../tests/kit-corpus';
import { isItEnough } from '../arrange/counting/enough';
import { contrast } from '../color/color';
import { cutFile } from '../format/made-cut';
import { PAPER } from '../measure/paper';
import { contains, intersect } from '../measure/rect';
import { EDGE, layOutMade, marksOf } from './lay-out';
import { madeKit } from './made-kit';
import type { MadeLine } from './makeable';
import { MAKEABLE } from './makeable';
import { blank, missingFor } from './missing';

const line = (over: Partial<MadeLine> = {}): MadeLine => ({
  kind: 'header', count: 7, width: 38.1, height: 6.4, color: '#1f6f78', accent: '#f2c879', motif: '', words: '', rows: 0, ...over,
}); // prettier-ignore
const bare = context({ kit: kitOf(piece({ count: 2 })), week: weekWith() });

describe('what is missing', () => {
  it('is as many as K1 says are lacking, in no more than two colors each, as wide as the columns', () => {
    const lacking = isItEnough(bare).filter((e) => e.there < e.needed);
    const made = missingFor(bare);
    const headers = made.filter((m) => m.kind === 'header');
    const e = lacking.find((k) => k.what === 'header')!;
    expect(headers.reduce((n, m) => n + m.count, 0)).toBe(e.needed - e.there);
    expect(headers.length).toBeLessThanOrEqual(2);
    for (const m of headers) expect(m.width).toBe(38.1);
    const strip = made.find((m) => m.kind === 'bottom-washi')!;
    expect([strip.width, strip.height]).toEqual([158.4, 12.7]);
    const dotted = { ...bare, kit: kitOf(piece(), piece({ code: 'D', kind: 'date-dot', words: '8' })) };
    expect(missingFor(dotted).flatMap((m) => (m.kind === 'date-dot' ? m.words : []))).toEqual(
      bare.week.days.map((d) => String(Number(d.slice(8)))).filter((n) => n !== '8'),
    );
  });
  it('is nothing that cannot be made: no scenes, no scripts', () => {
    const kinds = new Set(missingFor(bare).map((m) => m.kind));
    expect([...kinds].every((k) => MAKEABLE.includes(k))).toBe(true);
    expect(missingFor(demoContext()).every((m) => m.count > 0)).toBe(true);
  });
  it('shows on its own color, over kits of all sorts, and fits its book', () => {
    for (const { context: c } of kitCorpus(9))
      for (const m of missingFor(c)) {
        expect(m.color).toMatch(/^#[0-9a-f]{6}$/);
        expect(contrast(m.color as '#', m.accent as '#')).toBeGreaterThanOrEqual(1);
        expect(m.count).toBeGreaterThan(0);
        expect(m.width).toBeLessThanOrEqual(Math.max(...c.book.pages.map((p) => p.width)));
      }
  });
  it('has a blank of every kind that can be made', () => {
    for (const kind of MAKEABLE) {
      const b = blank(bare, kind);
      expect([b.kind, b.width > 3, b.height > 3]).toEqual([kind, true, true]);
    }
    expect(blank(bare, 'checklist').rows).toBe(6);
  });
});

describe('made sheets', () => {
  const lines = [
    line(),
    line({ kind: 'checklist', count: 5, height: 48, rows: 6 }),
    line({ kind: 'date-dot', count: 31, width: 8, height: 8 }),
    line({ kind: 'bottom-washi', count: 2, width: 158.4, height: 12.7 }),
    line({ kind: 'flag', count: 12, width: 38, height: 10 }),
    line({ kind: 'banner', count: 1, width: 70, height: 20, words: 'weekend' }),
  ];
  const kit = madeKit('made', lines);

  it.each(['A4', 'Letter'] as const)('hold every copy once, apart from each other and from the marks (%s)', (size) => {
    const { sheets, tooWide } = layOutMade(kit, size);
    expect(tooWide).toEqual([]);
    const all = sheets.flatMap((s) => s.items.map((i) => `${i.piece.code} ${i.copy}`));
    expect(new Set(all).size).toBe(all.length);
    expect(all.length).toBe(kit.pieces.reduce((n, p) => n + p.count, 0));
    for (const sheet of sheets) {
      const { width, height } = PAPER[size];
      const room = { x: EDGE, y: EDGE, w: width - 2 * EDGE, h: height - 2 * EDGE };
      for (const [i, a] of sheet.items.entries()) {
        expect(contains({ ...room, w: room.w + 0.01, h: room.h + 0.01 }, a)).toBe(true);
        for (const b of [...sheet.items.slice(i + 1), ...marksOf(sheet)]) expect(intersect(a, b)).toBeNull();
        for (const y of sheet.folds) expect(y > a.y + 0.5 && y < a.y + a.h - 0.5).toBe(false);
      }
    }
  });

  it('say what is larger than the paper, and go over to another sheet when one is full', () => {
    const { sheets, tooWide } = layOutMade(
      madeKit('m', [line({ count: 200 }), line({ kind: 'washi', width: 250 })]),
      'A4',
    );
    expect(tooWide.map((p) => p.kind)).toEqual(['washi']);
    expect(sheets.length).toBeGreaterThan(1);
    expect(layOutMade(madeKit('m', []), 'A4')).toEqual({ sheets: [], tooWide: [] });
  });

  it('are cut by files that the cutter takes: closed, inside the bed, nothing twice, in layers', () => {
    for (const size of ['A4', 'Letter'] as const)
      for (const sheet of layOutMade(kit, size).sheets) {
        const job = readCutFile(cutFile(sheet));
        expect([job.width, job.height]).toEqual([PAPER[size].width, PAPER[size].height]);
        expect(judge(job).faults).toEqual([]);
        const of = (layer: string) => job.strokes.filter((s) => s.layer === layer);
        expect(of('kiss-cut')).toHaveLength(sheet.items.length);
        expect(of('through-cut')).toHaveLength(1);
        expect(of('score')).toHaveLength(sheet.folds.length);
        expect(judge(job).length).toBeGreaterThan(sheet.items.length * 20);
        // each outline is as large as its sticker, to a hundredth of a millimeter
        of('kiss-cut').forEach((s, i) => {
          const [xs, ys] = [s.points.map((p) => p[0]), s.points.map((p) => p[1])];
          const { x, y, w, h } = sheet.items[i]!;
          expect([Math.min(...xs), Math.max(...xs)]).toEqual([expect.closeTo(x, 1), expect.closeTo(x + w, 1)]);
          expect([Math.min(...ys), Math.max(...ys)]).toEqual([expect.closeTo(y, 1), expect.closeTo(y + h, 1)]);
        });
      }
  });

  it('of kits of all sorts are never refused', () => {
    for (const { context: c } of kitCorpus(9)) {
      const { sheets } = layOutMade(madeKit('made', missingFor(c)), 'A4');
      for (const sheet of sheets) expect(judge(readCutFile(cutFile(sheet))).faults).toEqual([]);
    }
  });
});

describe('the simulated cutter', () => {
  const job = (paths: string, size = 'width="210mm" height="297mm"') =>
    readCutFile(`<svg xmlns="http://www.w3.org/2000/svg" ${size} viewBox="0 0 210 297">${paths}</svg>`);
  const kiss = (d: string) => `<g id="kiss-cut"><path d="${d}"/></g>`;
  const faults = (paths: string) => judge(job(paths)).faults.map((f) => f.what);

  it.each([
    ['an open path', kiss('M20 20h30v10h-30'), ['open path']],
    ['one that reaches under the rollers', kiss('M2 20h30v10h-30z'), ['off the bed']],
    ['one that is too small to stay', kiss('M20 20h3v3h-3z'), ['too small']],
    ['two on each other', kiss('M20 20h30v10h-30z') + kiss('M40 22h30v10h-30z'), ['overlap']],
    ['a line that is cut twice', kiss('M20 20h30v10h-30z') + kiss('M20 30h30v10h-30z'), ['cut twice']],
    ['a corner that is too fine', kiss('M20 20h30v10l-0.1 -0.05l-0.1 0.06l-29.8 0z'), ['too fine for the blade']],
    ['a layer that nobody knows', '<g id="pen"><path d="M20 20h30v10h-30z"/></g>', ['unknown layer']],
    ['nothing', '', ['nothing to cut']],
  ])('refuses %s', (_, paths, wanted) => expect(faults(paths)).toEqual(wanted));

  it('takes a clean job, and tells length and time', () => {
    const verdict = judge(job(kiss('M20 20h30v10h-30z')));
    expect(verdict.faults).toEqual([]);
    expect(verdict.length).toBeCloseTo(80);
    expect(verdict.minutes).toBeCloseTo((80 / 40 + 1.2) / 60);
    // a circle of 10 mm: its way round is 31.4 mm
    expect(judge(job(kiss('M20 25a5 5 0 1 1 10 0a5 5 0 1 1 -10 0z'))).length).toBeCloseTo(Math.PI * 10, 0);
    expect(() => readCutFile('<svg viewBox="0 0 1 1"/>')).toThrow('no drawing in mm');
    expect(judge(job(kiss('M20 20h30v10h-30z'), 'width="400mm" height="297mm"')).faults.map((f) => f.what)).toContain(
      'off the bed',
    );
  });

  it('is a service that opens', () => expect(typeof cutterService().listen).toBe('function'));
});
