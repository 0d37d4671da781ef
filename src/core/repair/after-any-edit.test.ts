import { stackOf } from '../edit/stack';
import fc from 'fast-check';
import { demoSpread } from '../../../tests/fixtures';
import { benchOf } from '../bench/bench';
import { stillToWhiteOut } from '../bench/what-is-done';
import { tapeLength } from '../bench/strokes';
import { whiteOutOf } from '../bench/white-out';
import { dayAt } from '../book/lying-at';
import { apply } from '../edit/change';
import { stickDown } from '../edit/stick-down';
import { piecesOfStep } from '../bench/step-key';
import { moveBy, moveTogether } from '../edit/together';
import { intersect } from '../measure/rect';
import { wholeOf } from '../kit/ledger';
import type { Context, Placement } from '../spread/placement';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import { pieceKey } from '../kit/kit';
import { replaceAll, replaceSpoiled, takeAnother } from './replace';

const { context, placements } = demoSpread();
const SEED = { seed: 20_270_203, numRuns: 120 };

describe('wherever pieces are moved', () => {
  const ids = placements.map((p) => p.id);
  const moves = fc.record({
    ids: fc.uniqueArray(fc.constantFrom(...ids), { minLength: 1, maxLength: 5 }),
    dx: fc.double({ min: -320, max: 320, noNaN: true }),
    dy: fc.double({ min: -60, max: 60, noNaN: true }),
  });
  const lies = (p: Placement): void => {
    const width = context.book.pages[p.page]!.width;
    const { x, w } = footprint(p);
    expect(x + w / 2).toBeGreaterThanOrEqual(-0.02);
    expect(x + w / 2).toBeLessThanOrEqual(width + 0.02);
  };
  it('several together lie on the page and belong to the day where they are', () =>
    fc.assert(
      fc.property(moves, (m) => {
        const change = moveTogether(context, placements, m.ids, m.dx, m.dy);
        for (const [i, p] of (change?.after ?? []).entries()) {
          const before = change!.before[i]!;
          // what lies on another that is moved goes by that one's day
          const leans = m.ids.some((id) => id !== p.id && stackOf(placements, id).some((q) => q.id === p.id));
          if (!m.ids.includes(p.id) || leans) continue;
          lies(p);
          const [was, is] = [before, p].map((q) => dayAt(context.book, q.page, footprint(q)));
          expect(p.day).toBe(was === is ? before.day : is);
        }
      }),
      SEED,
    ));
  it('so does one that is nudged', () =>
    fc.assert(
      fc.property(moves, ({ ids: [id = ''], dx, dy }) => {
        const p = moveBy(context, placements, id, dx, dy)?.after[0];
        if (p) lies(p);
      }),
      SEED,
    ));
});

/** The week with everything stuck down up to a step. */
function workedTo(share: number): { context: Context; placements: readonly Placement[]; ticked: readonly string[] } {
  const { steps } = benchOf(context, placements);
  const ticked = steps.slice(0, Math.floor(steps.length * share)).map((s) => s.key);
  const change = stickDown(context, placements, ticked.flatMap(piecesOfStep), true);
  return {
    context: { ...context, ticked },
    placements: change ? apply(placements, change) : placements,
    ticked,
  };
}

describe('whatever went wrong', () => {
  it.each([0.3, 0.6, 0.9])('after %s of the steps, what is done stays done', (share) => {
    const at = workedTo(share);
    const done = new Set(at.ticked);
    const stuck = new Set(at.ticked.flatMap(piecesOfStep));
    const before = benchOf(at.context, at.placements);
    const mm = (bench: typeof before): number =>
      bench.steps.reduce(
        (sum, s) => sum + (s.about.is === 'white-out' && !done.has(s.key) ? tapeLength(s.about.strokes) : 0),
        0,
      );
    let tried = 0;
    for (const p of at.placements.filter((q) => !isWriting(q) && !stuck.has(q.id))) {
      const repair = replaceSpoiled(at.context, at.placements, p.id);
      if (!repair) continue;
      tried++;
      const after = apply(at.placements, repair.change);
      const bench = benchOf(at.context, after);
      const undone = bench.steps.filter((s) => !done.has(s.key));
      for (const step of undone) {
        if (step.about.is === 'lay') expect(step.refs.filter((id) => stuck.has(id))).toEqual([]);
        if (step.about.is === 'white-out') expect(tapeLength(step.about.strokes)).toBeLessThan(mm(before) + 200);
      }
      // white-out that is done is asked for nowhere again
      for (const page of context.book.pages.keys()) {
        const needed = whiteOutOf(at.context, after).filter((w) => w.page === page);
        const known = whiteOutOf(at.context, at.placements).filter((w) => w.page === page);
        const left = stillToWhiteOut(at.ticked, page, needed);
        if (at.ticked.some((k) => k.startsWith(`white-out:${page}:`)))
          for (const w of left) expect(known.every((k) => !same(k, w))).toBe(true);
      }
    }
    expect(tried).toBeGreaterThan(3);
  });
  const same = (a: { x: number; y: number; w: number; h: number }, b: typeof a): boolean =>
    (['x', 'y', 'w', 'h'] as const).every((k) => Math.abs(a[k] - b[k]) < 0.05);

  it('no spoiled sticker takes its own place, and none that is not there any more', () => {
    const pieces = pieceIndex(context);
    let tried = 0;
    for (const p of placements.filter((q) => !isWriting(q))) {
      const piece = pieces.get(pieceKey(p))!;
      const lost = p.cut ?? wholeOf(piece);
      for (const mend of [replaceSpoiled, takeAnother]) {
        const repair = mend(context, placements, p.id);
        if (!repair) continue;
        tried++;
        for (const q of repair.change.after)
          if (q.kit === p.kit && q.code === p.code && q.copy === p.copy && (mend === replaceSpoiled || q.id === p.id))
            expect(intersect(q.cut ?? wholeOf(piece), lost)).toBe(null);
      }
      const out = replaceAll(context, placements, p.kit, p.code);
      for (const q of out?.change.after ?? []) expect(`${q.kit}/${q.code}`).not.toBe(`${p.kit}/${p.code}`);
    }
    expect(tried).toBeGreaterThan(100);
  });
});

it('a text or an ornament that comes onto what is stuck is asked for alone', () => {
  const at = workedTo(1);
  const base = at.placements.find((p) => p.role === 'day' && p.items.length > 0 && !isWriting(p))!;
  const note: Placement = { ...base, id: 'late', kit: '', code: '', copy: 0, cut: null, text: 'oat milk', ink: 'black', role: 'text', items: [] } as never; // prettier-ignore
  const { steps } = benchOf(at.context, [...at.placements, note]);
  const undone = steps.filter((s) => !at.ticked.includes(s.key));
  expect(undone.map((s) => s.refs)).toEqual([['late']]);
});
