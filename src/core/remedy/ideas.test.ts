import { bare, CASES, kit, label, plain, with_ } from '../../../tests/cases';
import type { Spread } from '../../../tests/cases';
import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { hourly } from '../book/hourly';
import { apply } from '../edit/change';
import type { Finding } from '../review/finding';
import { findingKey } from '../review/wave';
import { review, viewOf } from '../review/review';
import { voiceOf } from '../spread/voice';
import { IDEAS } from './ideas/registry';
import type { Idea, Remedy } from './remedy';
import { withPatch } from './remedy';
import { sayRemedy } from './say';

const findingsOf = (rule: string, [c, placements]: Spread): Finding[] =>
  review(viewOf(c, placements)).filter((f) => f.rule === rule);

const after = ([c, placements]: Spread, remedy: Remedy): Spread => [
  remedy.patch ? withPatch(c, remedy.patch) : c,
  remedy.change ? apply(placements, remedy.change) : placements,
];

/** What an idea makes of a spread, and what of it takes the finding away. */
function thought(idea: Idea, rule: string, spread: Spread): { all: Remedy[]; good: Remedy[] } {
  const [c, placements] = spread;
  const findings = findingsOf(rule, spread);
  const each = findings.map((finding) => ({ finding, all: idea({ context: c, placements, finding }) }));
  return {
    all: each.flatMap(({ all }) => all),
    good: each.flatMap(({ finding, all }) =>
      all.filter((r) => !findingsOf(rule, after(spread, r)).some((f) => findingKey(f) === findingKey(finding))),
    ),
  };
}

const every = Object.entries(IDEAS).flatMap(([rule, ideas]) => ideas.map((idea) => ({ rule, idea })));
const the = (name: string): Idea => {
  const found = every.find(({ idea }) => idea.name === name);
  if (!found) throw new Error(`no idea ${name}`);
  return found.idea;
};

const two = (first: object, second: object) => weekWith(demand(first), demand({ uid: 'b', key: 'b', ...second }));
const boxed = (id: string, code: string, day: number, over: object = {}) =>
  placement({
    id,
    code,
    day,
    role: 'box',
    page: day > 2 ? 1 : 0,
    x: (day > 2 ? 13.4 : 46.1) + (day % 3) * 40.1,
    h: 48.3,
    ...over,
  });
/** Monday full of things to do, each on a base of its own, so many mm from one to the next. */
const full = (count: number, pitch: number, ...more: object[]): Spread => {
  const chores = Array.from({ length: count }, (_, i) => `c${i}`);
  return [
    with_({
      week: weekWith(
        ...chores.map((uid) => demand({ uid, key: uid, title: `dig ${uid}`, kind: 'chore' })),
        ...more.map((d) => demand(d)),
      ),
    }),
    chores.map((uid, i) =>
      label({ id: uid, copy: i + 1, y: 31 + (pitch - 12) / 2 + i * pitch, items: [uid], text: `dig ${uid}` }),
    ),
  ];
};
const late = { uid: 'late', key: 'late', title: 'plumber', kind: 'to-do' };
const [packedWeek, packed] = full(13, 13.15, late);
const inSidebar = placement({
  id: 'note',
  code: 'L',
  role: 'sidebar',
  day: null,
  x: 6,
  y: 60,
  h: 48.3,
  text: 'call Mum',
  ink: 'black gel pen',
});
const striped = context({
  kit: kitOf(piece({ code: 'S', kind: 'full-box', height: 48.3, motif: 'stripes', count: 4 })),
  options: bare,
});
const monday = hourly.regions.find((r) => r.kind === 'day' && r.day === 0)!;
const atSix: Spread = [
  context({
    kit,
    book: hourly,
    options: bare,
    week: two({ title: 'vet', start: 960 }, { title: 'dig', kind: 'chore' }),
  }),
  [
    label({ x: monday.x, w: monday.w, cut: { x: 0, y: 0, w: monday.w, h: 12 }, y: monday.y + 1, text: '4p vet' }),
    label({
      id: 'q',
      copy: 2,
      x: monday.x,
      w: monday.w,
      cut: { x: 0, y: 0, w: monday.w, h: 12 },
      y: monday.y + 20,
      text: 'dig',
      items: ['b'],
    }),
  ],
];

/** Each idea on a spread that it must help, by the rule that speaks of it. */
const HELPED: Readonly<Record<string, readonly [rule: string, spread: Spread]>> = {
  tickWhiteOut: ['B1', CASES.B1!.bad],
  otherSetting: ['K4', CASES.K4!.bad],
  fitIn: ['F1', CASES.F1!.bad],
  cutLonger: ['F5', CASES.F5!.bad],
  arrangeOpen: ['B2', CASES.B2!.bad],
  layOnTop: ['B4', CASES.B4!.bad],
  takeOff: ['R2', CASES.R2!.bad],
  otherText: ['P4', CASES.P4!.bad],
  swapOne: ['C1', CASES.C1!.bad],
  bringInLine: ['F3', CASES.F3!.bad],
  lineUp: ['F4', CASES.F4!.bad],
  evenOut: ['W2', CASES.W2!.bad],
  recutList: ['L1', CASES.L1!.bad],
  letThemIn: ['D4', CASES.D4!.bad],
  toItsDay: ['D2', CASES.D2!.bad],
  sendOneNextDoor: ['D3', CASES.D3!.bad],
  putOff: ['D5', CASES.D5!.bad],
  keepBoth: ['D6', CASES.D6!.bad],
  breakUpTheColor: ['C2', CASES.C2!.bad],
  otherPen: ['P2', CASES.P2!.bad],
  anotherCopy: ['R3', CASES.R3!.bad],
  cutFromLeftover: ['K5', CASES.K5!.bad],
  changePlaces: [
    'D2',
    [
      with_({ week: two({ title: 'vet', start: 600 }, { title: 'choir', start: 1140 }) }),
      [label({ y: 90 }), label({ id: 'q', copy: 2, y: 60, items: ['b'], text: 'choir' })],
    ],
  ],
  writeAsItIsNow: [
    'D2',
    [with_({ week: weekWith(demand({ title: 'vet', start: 600 })) }), [label({ text: '9a vet' })]],
  ],
  exchangeBoxes: ['C3', [plain, [boxed('a', 'B', 0), boxed('b', 'B', 1, { copy: 2 }), boxed('c', 'B2', 5)]]],
  turnAround: ['C7', [striped, [boxed('o', 'S', 0), boxed('i', 'S', 1, { copy: 2 })]]],
  tipTheScales: [
    'W3',
    [
      plain,
      ['B', 'B', 'B', 'B', 'STRIPE', 'B', 'B', 'STRIPE', 'STRIPE', 'STRIPE'].map((code, i) =>
        boxed(`x${i}`, code, i < 5 ? i % 3 : 3 + (i % 3), { copy: i + 1, y: i % 5 < 3 ? 40 : 100 }),
      ),
    ],
  ],
  bringToTheOtherPage: [
    'C2',
    [
      plain,
      [
        ...Array.from({ length: 9 }, (_, i) =>
          label({ id: `l${i}`, copy: i + 1, day: i % 3, x: 46.1 + (i % 3) * 40.1, y: 40 + i * 15, code: 'TAN' }),
        ),
        label({ id: 'r', copy: 1, day: 3, page: 1, x: 13.4 }),
      ],
    ],
  ],
  lastWholeWord: [
    'D5',
    [
      with_({ week: weekWith(demand({ title: 'harbor walk with the greyhounds' })) }),
      [label({ text: 'harbor walk with t…' })],
    ],
  ],
  closeUp: ['D3', full(9, 18.9)],
  oneList: ['D3', full(9, 18.9)],
  toItsHour: ['D2', atSix],
  fewerAtTheirHours: ['D2', atSix],
  otherWaysOut: ['D5', [packedWeek, packed]],
  makeRoom: ['D5', [packedWeek, [...packed, inSidebar]]],
  useWhatIsSoonOver: [
    'K6',
    [
      with_({
        stash: [{ name: 'frost', pieces: [piece({ kit: 'frost', code: 'F' })] }],
        useBy: { frost: '2027-02-20' },
        week: weekWith(demand({ title: 'vet' })),
      }),
      [label()],
    ],
  ],
};

it('has a case for every idea of the registry', () => {
  expect(Object.keys(HELPED).sort()).toEqual([...new Set(every.map(({ idea }) => idea.name))].sort());
});

describe.each(Object.keys(HELPED))('%s', (name) => {
  const [rule, spread] = HELPED[name]!;
  const [c, placements] = spread;
  const { all, good } = thought(the(name), rule, spread);

  it('takes a finding of its rule away', () => {
    expect(good.length).toBeGreaterThan(0);
  });

  it('says what it does, in the owner’s units', () => {
    for (const { deed } of all) {
      const said = sayRemedy(deed, voiceOf(c, placements, 'in'));
      expect(said).toMatch(/^[A-Z]/);
      expect(said).not.toMatch(/undefined|NaN|null|\[object|\d mm/);
    }
  });

  it('is an edit that can be undone, of what lies there', () => {
    for (const { change } of all.filter((r) => r.change)) {
      for (const p of change!.before) expect(placements).toContainEqual(p);
      const done = apply(placements, change!);
      const back = apply(done, { ...change!, before: change!.after, after: change!.before });
      expect(new Set(back)).toEqual(new Set(placements));
    }
  });

  it('does nothing to what is locked', () => {
    const locked = placements.map((p) => ({ ...p, locked: true }));
    for (const { change } of thought(the(name), rule, [c, locked]).all)
      expect(change?.before.map((p) => p.id) ?? []).toEqual([]);
  });
});
