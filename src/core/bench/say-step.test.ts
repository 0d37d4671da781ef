import { context, kitOf, piece, placement, strokes, weekWith } from '../../../tests/fixtures';
import { BOOKS } from '../book/registry';
import { threeBox } from '../book/three-box';
import type { Book } from '../book/book';
import type { Unit } from '../measure/fraction';
import type { Placement } from '../spread/placement';
import { voiceOf } from '../spread/voice';
import { benchOf } from './bench';
import { CAUTIONS } from './cautions';
import { fillsColumn, measuredFrom, pageName } from './measure-from';
import { isNearBinding } from './near-binding';
import { sayStep } from './say-step';
import { whiteOutName } from './say-white-out';
import { cutKey, pieceKeyOf, piecesOfStep, whiteOutKey } from './step-key';
import type { StepAbout } from './step';
import { stepsOf } from './steps';
import { stockOf } from './stock';
import { strokesOf, tapeLength } from './strokes';
import { inkOf, regionOf, whiteOutOf } from './white-out';
import { whiteOutPlaces } from './white-out-places';

const kit = kitOf(
  piece({ words: 'tide', count: 4 }),
  piece({ code: 'L', kind: 'checklist', height: 48, rows: 6, count: 2 }),
  piece({ code: 'W', kind: 'washi', width: 2000, height: 10, opacity: 0.55 }),
  piece({ code: 'I', kind: 'icon', width: 10, height: 10, shape: 'free' }),
  piece({ code: 'V', finish: 'vinyl' }),
);
const c = context({ kit });
const say = (about: StepAbout, refs: string[] = [], placements: readonly Placement[] = [], unit?: Unit): string =>
  sayStep({ about, refs }, voiceOf(c, placements, unit));

describe('a step in words', () => {
  it('of white-out has strokes, page and tape', () => {
    expect(say({ is: 'white-out', page: 0, strokes: strokes(1, 38.1) })).toBe(
      'White out the left page in 1 stroke, 1 1/2 in of tape in all.',
    );
    expect(say({ is: 'white-out', page: 1, strokes: strokes(12, 457.2) }, [], [], 'mm')).toBe(
      'White out the right page in 12 strokes, 457.2 mm of tape in all.',
    );
  });
  const cut = (code: string, copy: number, ...pieces: { x: number; y: number; w: number; h: number }[]): StepAbout => ({
    is: 'cut',
    cut: { kit: 'test', code, copy, pieces: pieces.map((r, i) => ({ ...r, placement: `p${i}` })), left: [] },
  });
  it('of a cut has rows of a list, and millimeters of all else', () => {
    expect(say(cut('L', 2, { x: 0, y: 0, w: 38.1, h: 32 }, { x: 0, y: 32, w: 30, h: 8 }), [], [], 'mm')).toBe(
      'Cut the white checklist (sheet 1): 4 rows and 1 row, 30 mm wide.',
    );
    expect(say(cut('W', 1, { x: 0, y: 0, w: 120, h: 10 }), [], [], 'mm')).toBe(
      'Cut the white washi strip (roll): 120 mm × 10 mm.',
    );
    const twice = cut('W', 1, { x: 0, y: 0, w: 50, h: 10 }, { x: 50, y: 0, w: 50, h: 10 });
    expect(say(twice, [], [], 'mm')).toBe('Cut the white washi strip (roll): 2 of 50 mm × 10 mm.');
    expect(say(cut('gone', 1, { x: 0, y: 0, w: 1, h: 1 }))).toBe('Cut gone.');
  });
  it('of laying has the day, the words on the piece and where a ruler finds its place', () => {
    const edge = placement({ code: 'Q-1', x: 46.1, y: 60 });
    expect(say({ is: 'lay' }, ['p1'], [edge], 'mm')).toBe(
      'Monday: place the white quarter box “tide” (sheet 1), 22 mm under the printed box’s edge, edge to edge of the column.',
    );
    const aside = placement({ code: 'I', x: 50, y: 61, w: 10, h: 10, day: null });
    expect(say({ is: 'lay' }, ['p1'], [aside], 'mm')).toBe(
      'Left page: place the white icon (sheet 1), 23 mm under the printed box’s edge, 50 mm from the left edge of the page.',
    );
  });
  it('of a stack has what lies on what, in the order of its layers', () => {
    const over = placement({ id: 'p2', code: 'I', x: 48, y: 61, w: 10, h: 10, layer: 1 });
    expect(say({ is: 'lay' }, ['p1', 'p2'], [placement(), over], 'mm')).toContain(
      'on its backing sheet lay the white icon (sheet 1) on the white quarter box “tide” (sheet 1); move the stack over, 22 mm under the printed',
    );
  });
  it('says so where its piece is not on the spread any more', () =>
    expect(say({ is: 'lay' }, ['gone'])).toBe('Lay what is not on the spread any more.'));
  it('of writing has the day, how many texts, and the pens', () => {
    expect(say({ is: 'write', day: 3, texts: 1, pens: [], paper: [] })).toBe('Write Thursday: 1 text.');
    expect(say({ is: 'write', day: 3, texts: 1, pens: [], paper: [], struck: 1 })).toBe(
      'Write Thursday: 1 text. Strike the box of the row that goes on with the one above.',
    );
    expect(say({ is: 'write', day: null, texts: 3, pens: ['black', 'teal'], paper: [] })).toBe(
      'Write sidebar and strips: 3 texts with black, teal.',
    );
    const p = placement({ text: '4:30p vet\nJuniper', ink: 'black' });
    expect(say({ is: 'write first', placement: 'p1' }, ['text:p1'], [p])).toBe(
      'On its backing sheet write “4:30p vet, Juniper” with black: its place is near the coil.',
    );
  });
});

describe('names of steps', () => {
  const cutOf = (...pieces: [number, number][]) => ({
    kit: 'test',
    code: 'L',
    copy: 1,
    left: [],
    pieces: pieces.map(([y, h]) => ({ placement: 'p1', x: 0, y, w: 38, h })),
  });
  it('stay with the cut, whichever placement takes the part, and go with other parts', () => {
    const one = cutKey(cutOf([0, 8]));
    expect(cutKey({ ...cutOf([0, 8]), pieces: cutOf([0, 8]).pieces.map((p) => ({ ...p, placement: 'other' })) })).toBe(
      one,
    );
    expect(cutKey(cutOf([0, 16]))).not.toBe(one);
    expect(cutKey({ ...cutOf([0, 8]), copy: 2 })).not.toBe(one);
  });
  it('of white-out change when there is more of it', () => {
    const one = { page: 0, x: 1, y: 1, w: 10, h: 1, why: '' };
    const by = strokes(1);
    expect(whiteOutKey(0, [one], by)).not.toBe(whiteOutKey(0, [one, one], by));
    expect(whiteOutKey(0, [one], by)).not.toBe(whiteOutKey(1, [one], by));
    expect(whiteOutKey(0, [one], by)).not.toBe(whiteOutKey(0, [one], strokes(2)));
    expect(whiteOutKey(0, [{ ...one, why: 'other words' }], by)).toBe(whiteOutKey(0, [one], by));
  });
  it('tell which pieces a step sticks down, and that others stick none', () => {
    expect(piecesOfStep(pieceKeyOf('stack', ['p1', 'p2']))).toEqual(['p1', 'p2']);
    expect(piecesOfStep(pieceKeyOf('place', ['p3']))).toEqual(['p3']);
    expect(piecesOfStep(pieceKeyOf('write', ['text:p3']))).toEqual([]);
    expect(piecesOfStep('white-out:0:3:120')).toEqual([]);
    expect(piecesOfStep('')).toEqual([]);
  });
});

describe('a place measured from edges', () => {
  const at = { page: 0, x: 10, y: 20, w: 38.1, h: 12 };
  it('is from the outer edge, whichever side that is', () => {
    expect(measuredFrom(threeBox, at, 'mm')).toBe('10 mm from the left edge, 20 mm from the top');
    expect(measuredFrom(threeBox, { ...at, page: 1 }, 'mm')).toBe('129.7 mm from the right edge, 20 mm from the top');
  });
  it('is in the book’s own unit where nobody says another', () =>
    expect(measuredFrom(threeBox, { ...at, x: 25.4, y: 50.8 })).toBe('1 in from the left edge, 2 in from the top'));
  it('names pages left and right, or by number in books with more', () => {
    expect([0, 1].map((p) => pageName(threeBox, p))).toEqual(['left page', 'right page']);
    expect([0, 3].map((p) => pageName(BOOKS['four-page'] as Book, p))).toEqual(['page 1', 'page 4']);
  });
  it('needs no measuring across where a piece fills its column', () => {
    expect(fillsColumn(threeBox, placement())).toBe(true);
    expect(fillsColumn(threeBox, placement({ w: 36 }))).toBe(false);
    expect(fillsColumn(threeBox, placement({ x: 47 }))).toBe(false);
    expect(fillsColumn(threeBox, placement({ day: null }))).toBe(false);
  });
});

describe('near the binding (P3)', () => {
  const beside = placement({ day: 2, x: 126.3, text: 'bins' });
  it('is a text of a day whose piece ends within eight millimeters of the coil', () => {
    expect(isNearBinding(threeBox, beside)).toBe(true);
    expect(isNearBinding(threeBox, { ...beside, x: 120 })).toBe(false);
    expect(isNearBinding(threeBox, { ...beside, page: 1, day: 3, x: 13.4 })).toBe(true);
    expect(isNearBinding(threeBox, { ...beside, page: 1, day: 6, x: 133 })).toBe(false);
  });
  it('is nothing without a text, nor of the sidebar', () => {
    expect(isNearBinding(threeBox, { ...beside, text: null })).toBe(false);
    expect(isNearBinding(threeBox, { ...beside, role: 'sidebar' })).toBe(false);
  });
  it('is nothing in a book whose pages come out, or lie flat', () => {
    const bound = (kind: Book['binding']['kind'], width = 11.4): Book => ({ ...threeBox, binding: { kind, width } });
    expect((['coil', 'sewn', 'discs', 'rings'] as const).map((k) => isNearBinding(bound(k), beside))).toEqual([
      true,
      true,
      false,
      false,
    ]);
    expect(isNearBinding(bound('sewn', 3.5), { ...beside, x: 134 })).toBe(false);
  });
});

describe('white-out', () => {
  it('of a printed box is its four edges, all of it and nothing twice', () => {
    const edges = inkOf({ kind: 'box', page: 0, x: 10, y: 20, w: 30, h: 40 });
    expect(edges).toHaveLength(4);
    expect(edges.reduce((sum, r) => sum + r.w * r.h, 0)).toBeCloseTo(2 * 30 * 0.3 + 2 * (40 - 0.6) * 0.3);
    expect(inkOf({ kind: 'line', page: 0, x: 1, y: 2, w: 30, h: 0.1 })).toMatchObject([{ w: 30, h: 0.3 }]);
  });
  it('is under washi and film, not under paper', () => {
    const over = (code: string) => [placement({ code, x: 46.1, y: 14, w: 38.1, h: 16, role: 'base', day: null })];
    const film = whiteOutOf(c, over('W')).filter((w) => w.why.includes('shows through'));
    expect(film.length).toBeGreaterThan(0);
    const paper = whiteOutOf(c, over('Q-1'));
    expect(paper.filter((w) => w.y > 14 && w.y + w.h < 30 && w.x >= 46.1 && w.x + w.w <= 84.2)).toEqual([]);
  });
  it('is summed up by day, or by the part of the page outside the columns', () => {
    const list = whiteOutOf(c, [
      placement({ y: 60 }),
      placement({ id: 'p2', code: 'W', x: 6, y: 205, w: 158.4, h: 12.7, role: 'base', day: null, cut: null }),
    ]);
    const pulls = strokesOf({ book: threeBox, placements: [] }, list);
    const places = whiteOutPlaces(pulls);
    expect(places.find((p) => p.day === 0)?.count).toBeGreaterThan(3);
    expect(places.find((p) => p.region === 'bottom-strip')?.day).toBeNull();
    expect(places.reduce((n, p) => n + p.count, 0)).toBe(pulls.length);
    expect(places.reduce((sum, p) => sum + p.length, 0)).toBeCloseTo(tapeLength(pulls));
    const voice = voiceOf(c, []);
    expect(places.map((p) => whiteOutName(voice, p))).toEqual(expect.arrayContaining(['Monday', 'bottom strip']));
    expect(whiteOutName(voice, { day: null, region: null, count: 1, length: 1 })).toBe('elsewhere');
  });
  it('lies in the region that shares most of its area', () => {
    expect(regionOf(threeBox, { kind: 'line', page: 0, x: 46.1, y: 100, w: 38.1, h: 0.3 })?.id).toBe('day-0');
    expect(regionOf(threeBox, { kind: 'line', page: 0, x: 46.1, y: 20, w: 38.1, h: 0.3 })?.id).toBe('header-0');
    expect(regionOf(threeBox, { kind: 'line', page: 1, x: 0, y: 0, w: 1, h: 0.3 })).toBeUndefined();
  });
  it('leaves hour lines to be read', () => {
    const hourly = context({ kit, book: BOOKS.hourly as Book });
    const found = whiteOutOf(hourly, [placement({ x: 46.1, y: 180, w: 38.1, h: 12 })]);
    expect(found.filter((w) => regionOf(hourly.book, w)?.kind === 'day' && w.w > 30)).toEqual([]);
  });
});

describe('the order of work', () => {
  it('writes near the binding before the piece is laid where that is the way (P3)', () => {
    const written = context({ kit, ways: { nearBinding: 'written first' } });
    const p = placement({ day: 2, x: 126.3, text: 'bins' });
    const steps = stepsOf(written, [p], [], []);
    expect(steps.map((s) => [s.do, s.about.is])).toEqual([
      ['write', 'write first'],
      ['place', 'lay'],
    ]);
    expect(stepsOf(c, [p], [], []).map((s) => s.do)).toEqual(['place', 'write']);
  });
  it('writes a day at a time, sidebar and strips first, each text once', () => {
    const texts = [
      placement({ id: 'a', day: 4, text: 'swim' }),
      placement({ id: 'b', day: null, role: 'sidebar', text: 'dinners', y: 80 }),
      placement({ id: 'd', day: 4, text: 'bins', y: 90, ink: 'teal' }),
      placement({ id: 'e', day: 1, text: null, y: 120 }),
    ];
    const writes = stepsOf(c, texts, [], []).filter((s) => s.do === 'write');
    expect(writes.map((s) => s.refs)).toEqual([['text:b'], ['text:a', 'text:d']]);
    expect(writes[1]?.about).toEqual({ is: 'write', day: 4, texts: 2, pens: ['teal'], paper: [] });
  });
  it('is whole for an empty spread: nothing to do', () => {
    expect(benchOf(c, [])).toEqual({ placements: [], whiteOut: [], cuts: [], steps: [], edges: [] });
    expect(benchOf(context({ kit, week: weekWith() }), []).steps).toEqual([]);
  });
});

it('every caution is one for a step that there is', () => {
  expect(Object.keys(CAUTIONS)).toEqual(['cut', 'white-out', 'place']);
  expect(CAUTIONS.cut).toContain('metal ruler');
  expect(CAUTIONS['white-out']).toContain('flammable');
});

describe('what a spread leaves (K5)', () => {
  const stash = {
    name: 'stash',
    pieces: [piece({ kit: 'stash', code: 'S', count: 3 }), piece({ kit: 'stash', code: 'T' })],
  };
  it('counts each design of the kit, and of the stash only what is used', () => {
    const lines = stockOf(
      context({ kit, stash: [stash] }),
      [placement(), placement({ id: 'p2', kit: 'stash', code: 'S' })],
      [],
    );
    expect(lines.map((l) => [l.code, l.had, l.used, l.left])).toEqual([
      ['Q-1', 4, 1, 3],
      ['L', 2, 0, 2],
      ['W', 1, 0, 1],
      ['I', 1, 0, 1],
      ['V', 1, 0, 1],
      ['S', 3, 1, 2],
    ]);
  });
  it('does not count what other weeks have', () => {
    const used = context({ kit, usedElsewhere: [{ kit: 'test', code: 'Q-1', copy: 2, cut: null }] });
    expect(stockOf(used, [placement()], [])[0]).toMatchObject({ had: 3, used: 1, left: 2 });
  });
  it('keeps offcuts that are worth keeping', () => {
    const part = placement({ code: 'L', h: 16, cut: { x: 0, y: 0, w: 38.1, h: 16 } });
    const bench = benchOf(c, [part]);
    expect(stockOf(c, [part], bench.cuts)[1]?.offcuts).toEqual([{ x: 0, y: 16, w: 38.1, h: 32, rows: 4 }]);
    const whole = placement({ code: 'L', h: 46, cut: { x: 0, y: 0, w: 38.1, h: 46 } });
    expect(stockOf(c, [whole], benchOf(c, [whole]).cuts)[1]?.offcuts).toEqual([]);
  });
});
