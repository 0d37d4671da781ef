import { context, demoSpread, kitOf, piece, placement } from '../../../tests/fixtures';
import { looksName } from '../spread/looks-name';
import { voiceOf } from '../spread/voice';
import { alikeRuns, sayAlike, sayNumbers } from './alike';
import { benchOf } from './bench';
import { runsOf } from './groups';
import { measuresOf } from './measures';

const kit = kitOf(
  piece({ code: 'H1', kind: 'header', words: 'today', color: '#0f5c5c', width: 60, height: 6.4, count: 4, sheet: 1 }),
  piece({ code: 'H2', kind: 'header', color: '#e8836b', width: 60, height: 6.4, count: 4, sheet: 2 }),
  piece({ code: 'B', kind: 'full-box', width: 60, height: 50, count: 4 }),
);
const c = context({ kit });
const cut = (id: string, code: string, copy: number, w = 38.1) =>
  placement({ id, code, copy, day: copy - 1, x: 46.1, y: 40 + 12 * copy, w, h: 6.4, role: 'base', cut: { x: 0, y: 0, w, h: 6.4 } }); // prettier-ignore
const setsOf = (...placements: ReturnType<typeof cut>[]) => {
  const bench = benchOf(c, placements, []);
  const voice = voiceOf(c, placements);
  const sets = runsOf(bench.steps).flatMap((run) => alikeRuns(run.steps, voice));
  const said = sets.filter((s) => s[0]!.do === 'cut').map((s) => sayAlike(s, voice, measuresOf(c, bench)));
  return { bench, sets, said };
};

describe('acts that are alike', () => {
  it('are one: a kind of sticker cut into the same parts', () => {
    const { said, sets } = setsOf(cut('a', 'H1', 1), cut('b', 'H1', 2), cut('d', 'H2', 3));
    expect(said).toEqual([
      'Cut 3 headers alike, 1 1/2 in × 1/4 in of each: 2 of the dark teal header “today” (sheet 1), the coral header (sheet 2).',
    ]);
    expect(sayNumbers(sets[0]!)).toBe('1–3');
    expect(sayNumbers(sets[1]!)).toBe('4');
  });
  it('are not one where they differ, by length or by kind', () => {
    expect(setsOf(cut('a', 'H1', 1), cut('b', 'H1', 2, 30)).said).toHaveLength(2);
    expect(setsOf(cut('a', 'H1', 1), cut('b', 'B', 2)).said).toHaveLength(2);
    // less than a ruler shows is no difference
    expect(setsOf(cut('a', 'H1', 1), cut('b', 'H1', 2, 38.3)).said).toHaveLength(1);
  });
  it('hold every step once, in their order, and lay each sticker by itself', () => {
    const { context: demo, placements } = demoSpread();
    const { steps } = benchOf(demo, placements);
    const sets = runsOf(steps).flatMap((run) => alikeRuns(run.steps, voiceOf(demo, placements)));
    expect(sets.flat()).toEqual(steps);
    expect(sets.filter((s) => s.length > 1 && s.some((step) => step.do !== 'cut'))).toEqual([]);
  });
});

it('a design is called by what it looks like, never by its code', () => {
  const name = (over: Parameters<typeof piece>[0]) => looksName(piece({ color: '#0f5c5c', ...over }));
  expect(name({ kind: 'header', words: 'today', motif: 'waves', icon: 'tv' })).toBe('dark teal header “today”');
  expect(name({ kind: 'icon', icon: 'coffee', motif: 'waves' })).toBe('dark teal coffee icon');
  expect(name({ kind: 'full-box', motif: 'waves' })).toBe('dark teal full box with waves');
  expect(name({ kind: 'full-box', motif: 'heron' })).toBe('dark teal full box with the heron');
  expect(name({ kind: 'label', motif: '' })).toBe('dark teal label');
});
