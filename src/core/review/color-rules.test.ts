import { context, found, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import type { Placement } from '../spread/placement';

const own = ['#9fd3c7', '#f2e3c4', '#23475a', '#e8836b'];
const kit = kitOf(
  ...own.map((color, i) => piece({ code: `Q${i}`, count: 20, color })),
  ...own.map((color, i) =>
    piece({
      code: `B${i}`,
      kind: 'full-box',
      height: 48.3,
      count: 2,
      color,
      motif: i ? 'waves' : 'heron',
      faces: i ? 'none' : 'left',
    }),
  ),
  ...own
    .slice(0, 2)
    .map((color, i) => piece({ code: `H${i}`, kind: 'header', height: 6.4, words: 'today', count: 7, color })),
  piece({ code: 'G', kind: 'header', height: 6.4, foil: 'gold', color: '#e6c98f', count: 4 }),
  piece({ code: 'R', kind: 'header', height: 6.4, foil: 'rose-gold', color: '#e6b0a0', count: 4 }),
);
const stash = [
  {
    name: 'stash',
    pieces: [
      piece({ kit: 'stash', code: 'loud', color: '#ff00a0' }),
      piece({ kit: 'stash', code: 'kin', color: '#a0d0c4' }),
      piece({ kit: 'stash', code: 'black', color: '#000000' }),
    ],
  },
];
const c = context({ kit, stash });
const X = [46.1, 86.2, 126.3, 13.4, 53.5, 93.6, 133.7];
const on = (day: number, code: string, over: Partial<Placement> = {}) =>
  placement({
    id: `${code}-${day}-${over.y ?? 60}`,
    code,
    copy: day + 1,
    page: day < 3 ? 0 : 1,
    x: X[day] as number,
    day,
    ...over,
  });
const header = (day: number, code: string) => on(day, code, { y: 31, h: 6.4, role: 'base' });
const box = (day: number, code: string, y = 60) => on(day, code, { y, h: 48.3, role: 'box', copy: day < 3 ? 1 : 2 });
const pulled = (code: string) => placement({ kit: 'stash', code });

it('C1 speaks of what does not match the kit by perceived difference', () => {
  expect(found('C1', c, [pulled('kin')])).toEqual([]);
  expect(found('C1', c, [pulled('loud')])[0]?.message).toMatch(/, the pink quarter box from “Stash”, is \d+ away/);
});

it('C5 speaks of what is bolder than the kit’s boldest', () => {
  expect(found('C5', c, [pulled('kin')])).toEqual([]);
  expect(found('C5', c, [pulled('black')])[0]?.message).toMatch(
    /bolder than anything in the kit: 1\.00 against 0\.\d\d/,
  );
});

describe('C2', () => {
  const day = (...codes: string[]) => codes.map((code, i) => on(0, code, { y: 60 + i * 14, copy: i + 1 }));
  it('is silent on a day of several colors', () => expect(found('C2', c, day('Q0', 'Q1', 'Q2', 'Q0'))).toEqual([]));
  it('speaks of a day owned by one', () =>
    expect(found('C2', c, day('Q3', 'Q3', 'Q3', 'Q1'))[0]?.message).toBe(
      'Monday is mostly coral: 75 % of what is covered, on 3 pieces.',
    ));
  it('speaks of a color on one page only', () => {
    const boxes = [box(0, 'B3'), box(2, 'B3', 120)].map((p, i) => ({ ...p, copy: i + 1 }));
    expect(found('C2', c, boxes)[0]?.message).toBe('Coral covers 37 cm² and nearly all of it is on the left page.');
  });
});

describe('C4', () => {
  it('is silent when the headers alternate, speaks of two alike side by side', () => {
    expect(found('C4', c, [header(0, 'H0'), header(1, 'H1'), header(2, 'H0')])).toEqual([]);
    expect(found('C4', c, [header(0, 'H0'), header(1, 'H0'), header(2, 'H1')])).toMatchObject([
      { placements: ['H0-1-31'], message: expect.stringContaining('they are to alternate') },
    ]);
  });
  it('wants a fan to be darkest in the middle, and one color where all are alike', () => {
    const fan = context({ kit, options: { headers: 'fanned' } });
    expect(found('C4', fan, [header(1, 'H1'), header(3, 'H0'), header(5, 'H1')])).toEqual([]);
    expect(found('C4', fan, [header(1, 'H0'), header(3, 'H1')])).toHaveLength(1);
    expect(
      found('C4', context({ kit, options: { headers: 'same' } }), [header(0, 'H0'), header(1, 'H1')]),
    ).toHaveLength(1);
  });
  it('speaks of a header that repeats the box it touches', () => {
    expect(found('C4', c, [header(0, 'H0'), box(0, 'B0', 38.4)])[0]?.message).toContain(
      'repeats the color of the box it touches',
    );
    expect(found('C4', c, [header(0, 'H1'), box(0, 'B0', 38.4)])).toEqual([]);
  });
});

describe('C6', () => {
  const two = context({ kit, options: { foils: ['gold', 'rose-gold'] } });
  it('is silent on one metal, and on two in turn by day', () => {
    expect(found('C6', c, [header(0, 'G'), header(1, 'G')])).toEqual([]);
    expect(found('C6', two, [header(0, 'G'), header(1, 'R')])).toEqual([]);
  });
  it('speaks of a mix nobody chose, of the wrong day, and of unequal shares', () => {
    expect(found('C6', c, [header(0, 'G'), header(1, 'R')])[0]?.message).toContain(
      'gold on 1 piece, rose-gold on 1 piece',
    );
    expect(found('C6', two, [header(1, 'G')])[0]?.message).toBe(
      'Tuesday has a piece with gold foil; its metal is rose-gold.',
    );
    expect(found('C6', two, [header(0, 'G'), header(2, 'G'), header(4, 'G')]).at(-1)?.message).toContain(
      'not in equal shares',
    );
  });
});

it('C7 speaks of a scene that looks out, and of two prints turned the same way', () => {
  expect(found('C7', c, [box(3, 'B0')])).toEqual([]);
  expect(found('C7', c, [box(0, 'B0')])[0]?.message).toBe('Monday’s heron looks left, out of the spread.');
  const twins = [box(0, 'B1'), box(4, 'B1')];
  expect(found('C7', c, twins)).toHaveLength(1);
  expect(found('C7', c, [twins[0]!, { ...twins[1]!, turn: 180 }])).toEqual([]);
});

it('W3 speaks of a page that weighs more', () => {
  const left = Array.from({ length: 10 }, (_, i) => on(i % 3, 'Q2', { id: `l${i}`, copy: i + 1, y: 40 + i * 14 }));
  expect(found('W3', c, left)[0]?.message).toContain('The left page is the heavier one by 100 %');
  expect(
    found('W3', c, [...left, ...left.map((p, i) => ({ ...p, id: `r${i}`, copy: 11 + i, page: 1, x: 13.4, day: 3 }))]),
  ).toEqual([]);
});

it('W4 names a rhythm, and speaks of heights that make none', () => {
  const heights = (ys: readonly number[]) => ys.map((y, day) => ({ ...box(day, `B${day % 4}`, y) }));
  const [hi, lo] = [40, 150];
  expect(found('W4', c, heights([lo, hi, lo, hi, lo, hi]))).toEqual([]);
  expect(found('W4', c, heights([lo, lo, hi, lo, hi, hi]))[0]?.message).toBe(
    'The boxes’ heights make no pattern: Mon low, Tue low, Wed high, Thu low, Fri high, Sat high.',
  );
});

it('K3 speaks of pieces left on their sheet while a day goes without', () => {
  const six = [0, 1, 2, 3, 4, 5].map((day) => header(day, day % 2 ? 'H0' : 'H1'));
  expect(found('K3', c, six)).toMatchObject([
    { message: 'The sheet still has 16 headers, while Sunday goes without.' },
  ]);
  expect(found('K3', c, [...six, header(6, 'H1')])).toEqual([]);
});

it('says once of a kit whose colors nobody knows what a dozen findings would say (C2, C3, C4)', () => {
  const colored = (color: (i: number) => string) => {
    const pieces = kit.pieces.map((p, i) => ({ ...p, motif: '', color: color(i) }));
    const c = context({ kit: { ...kit, pieces }, week: weekWith() });
    const laid = [0, 1, 2, 3].flatMap((day) => {
      const x = 46.1 + 40.1 * (day % 3);
      const at = { page: day < 3 ? 0 : 1, day, x };
      return [
        placement({ ...at, id: `h${day}`, code: 'H0', copy: day + 1, y: 40, h: 6.4, role: 'base' }),
        placement({ ...at, id: `b${day}`, code: `B${day}`, y: 46.4, h: 48.3, role: 'box' }),
        ...[0, 1, 2, 3].map((n) => placement({ ...at, id: `q${day}${n}`, code: 'Q0', copy: 4 * day + n + 1, y: 100 + 14 * n })), // prettier-ignore
      ];
    });
    return ['C2', 'C3', 'C4'].flatMap((rule) => found(rule, c, laid));
  };
  expect(colored(() => '#8a6f5c').map((f) => [f.rule, f.about])).toEqual([['C2', { is: 'one color', kit: 'test' }]]);
  expect(colored(() => '#8a6f5c')[0]!.message).toContain('have the same color on record');
  // a difference of 2.3 is just noticed: one piece of another color, and all is said as it is
  expect(colored((i) => (i ? '#8a6f5c' : '#8a6f5d')).length).toBe(1);
  expect(colored((i) => (i ? '#8a6f5c' : '#96786a')).length).toBeGreaterThan(3);
});
