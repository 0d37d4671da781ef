import { context, demoSpread, kitOf, piece, placement } from '../../../tests/fixtures';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import { cutsSvg } from '../format/cuts-svg';
import { writeSpread } from '../format/spread-json';
import { spreadSvg } from '../format/spread-svg';
import { pieceKey } from '../kit/kit';
import { area, contains, intersect, subtract } from '../measure/rect';
import { cutsOf } from './cuts';
import { completeSpread } from '../format/spread-file';
import { benchOf } from './bench';
import { stepsOf } from './steps';
import { inkOf, whiteOutOf } from './white-out';

const { context: c, placements } = demoSpread();
const file = completeSpread(c, placements);
const bench = benchOf(c, placements);
const pieces = pieceIndex(c);

describe('white-out', () => {
  it('leaves no mark of a free column showing', () => {
    const hides = (p: (typeof placements)[number]) => {
      if (isWriting(p)) return [];
      const { shape, opacity, kind } = pieces.get(pieceKey(p))!;
      if (opacity < 1 || kind === 'banner' || !['rect', 'rounded', 'scalloped', 'notched', 'pointed'].includes(shape))
        return [];
      return [{ ...footprint(p), w: p.w - (['notched', 'pointed'].includes(shape) ? Math.min(4, p.h * 0.4) : 0) }];
    };
    const shows = c.book.regions
      .filter((r) => r.kind === 'day')
      .flatMap((column) => {
        const hidden = [
          ...placements.filter((p) => p.page === column.page).flatMap(hides),
          ...file.whiteOut
            .filter((w) => w.page === column.page)
            .map((w) => ({ x: w.x - 0.01, y: w.y - 0.01, w: w.w + 0.02, h: w.h + 0.02 })),
        ];
        const marks = c.book.marks.filter((m) => m.page === column.page && contains(column, m)).flatMap(inkOf);
        return marks.flatMap((ink) => subtract(ink, hidden)).filter((r) => r.w > 0.06 && r.h > 0.06);
      });
    expect(shows).toEqual([]);
  });

  it('leaves marks alone that nothing touches outside the columns', () => {
    expect(whiteOutOf(c, [])).toEqual([]);
  });
});

describe('cuts', () => {
  it('add up to the whole sticker, parts apart from each other', () => {
    expect(file.cuts.length).toBeGreaterThan(4);
    for (const cut of file.cuts) {
      const whole = pieces.get(pieceKey(cut))!;
      const all = [...cut.pieces, ...cut.left];
      expect(all.reduce((sum, r) => sum + area(r), 0)).toBeCloseTo(whole.width * whole.height, -1);
      expect(all.flatMap((r, i) => all.slice(i + 1).flatMap((q) => intersect(r, q) ?? []))).toEqual([]);
    }
  });

  it('name every cut placement once, and count the rows that are left', () => {
    expect(file.cuts.flatMap((k) => k.pieces.map((r) => r.placement)).sort()).toEqual(
      placements
        .filter((p) => p.cut)
        .map((p) => p.id)
        .sort(),
    );
    const list = context({ kit: kitOf(piece({ code: 'L', kind: 'checklist', height: 48, rows: 6 })) });
    expect(cutsOf(list, [placement({ code: 'L', h: 32, cut: { x: 0, y: 0, w: 38.1, h: 32 } })])[0]?.left).toEqual([
      { x: 0, y: 32, w: 38.1, h: 16, rows: 2 },
    ]);
  });

  it('draws their outlines', () => {
    const svg = cutsSvg(c, file.cuts);
    for (const cut of file.cuts) for (const r of cut.pieces) expect(svg).toContain(`${r.placement}: ${r.w} × ${r.h}`);
  });
});

describe('the order of work', () => {
  it('covers every placement once', () => {
    const refs = file.steps.flatMap((s) => s.refs);
    for (const p of placements) expect(refs.filter((r) => r === p.id)).toHaveLength(1); // writings too
    expect(file.steps.map((s) => s.n)).toEqual(file.steps.map((_, i) => i + 1));
    expect(new Set(bench.steps.map((s) => s.key)).size).toBe(file.steps.length);
  });

  it('lays lower before upper, white-out first, each cut before its piece, ink last', () => {
    const at = new Map(file.steps.flatMap((s) => s.refs.map((r, i) => [r, s.n + i / 100] as const)));
    for (const p of placements)
      for (const q of placements) {
        if (p.page === q.page && p.layer < q.layer && intersect(footprint(p), footprint(q)))
          expect(at.get(p.id)!).toBeLessThan(at.get(q.id)!);
      }
    for (const [i, cut] of file.cuts.entries())
      for (const part of cut.pieces) expect(at.get(`cut:${i}`)!).toBeLessThan(at.get(part.placement)!);
    const kinds = file.steps.map((s) => (s.do === 'stack' || s.do === 'cut' ? 'place' : s.do));
    expect(kinds.filter((k, i) => k !== kinds[i - 1])).toEqual(['white-out', 'place', 'write']);
  });

  it('keeps what cannot be lifted for the end (R1)', () => {
    const kit = kitOf(piece({ code: 'V', finish: 'vinyl' }), piece());
    const steps = stepsOf(
      context({ kit }),
      [placement({ code: 'V', y: 40, role: 'base' }), placement({ id: 'p2' })],
      [],
      [],
    );
    expect(steps.flatMap((s) => s.refs)).toEqual(['p2', 'p1']);
  });
});

it('the stock adds up: had is used and left', () => {
  for (const line of file.stock) expect(line.used + line.left).toBe(line.had);
  const used = new Set(placements.filter((p) => !isWriting(p)).map((p) => `${p.kit}/${p.code}#${p.copy}`));
  expect(file.stock.reduce((n, l) => n + l.used, 0)).toBe(used.size);
});

it('the file keeps to its schema, and is refused when it does not', () => {
  const written = JSON.parse(writeSpread(file));
  expect(written.placements).toHaveLength(placements.filter((p) => !isWriting(p)).length);
  expect(written.writings).toHaveLength(placements.filter(isWriting).length);
  expect(() => writeSpread({ ...file, placements: [{ ...placements[0]!, role: 'roof' as 'base' }] })).toThrow('role');
});

it('the picture is to scale: one unit a millimeter, pages side by side', () => {
  const svg = spreadSvg(c, placements, file.whiteOut);
  expect(svg).toContain('width="355.6mm" height="228.6mm" viewBox="0 0 355.6 228.6"');
  expect(svg.match(/<g id="p\d+"/g)).toHaveLength(placements.length);
});
