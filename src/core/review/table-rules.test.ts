import {
  context,
  demand,
  demoSpread,
  found,
  kitOf,
  piece,
  placement,
  weekWith,
  whiteOutKeyOf,
} from '../../../tests/fixtures';
import { discOpen } from '../book/disc-open';
import { sayStep } from '../bench/say-step';
import { stepsOf } from '../bench/steps';
import { voiceOf } from '../spread/voice';
import { copyKey } from '../kit/ledger';
import { viewOf } from './review';

const kit = kitOf(
  piece({ count: 20 }),
  piece({ code: 'V', finish: 'vinyl', count: 9 }),
  piece({ code: 'W', kind: 'washi', width: 170, height: 9, opacity: 0.55, count: 4 }),
  piece({ code: 'C', kind: 'date-cover', count: 5 }),
);
const bare = { dateCovers: true, headers: 'none', weekendBanner: false, bottomWashi: 'none', sidebar: [] } as const;

it('B1 is silent once its step of the bench is ticked, and speaks again when more must go', () => {
  const { context: c, placements } = demoSpread();
  const [first] = found('B1', c, placements);
  const page = first?.page ?? 0;
  const key = whiteOutKeyOf(c, placements, page);
  expect(found('B1', { ...c, ticked: [key] }, placements).map((f) => f.page)).not.toContain(first?.page);
  expect(
    found(
      'B1',
      { ...c, ticked: [key] },
      placements.filter((p) => p.role !== 'box'),
    ).map((f) => f.page),
  ).toContain(first?.page);
});

describe('D4', () => {
  const c = context({
    kit,
    week: weekWith(
      demand({ uid: 'a', start: 540 }),
      demand({ uid: 'late', key: 'late', title: 'plumber', start: 600 }),
    ),
  });
  const down = (y: number, over = {}) => placement({ y, items: ['a'], text: 'swim', ...over });
  it('says that a late item goes in, and how many move', () => {
    expect(found('D4', c, [down(60)])).toMatchObject([
      { severity: 'stop', message: '“plumber” came late to Monday; there is room, and nothing has to move.' },
    ]);
    const walls = [placement({ id: 'f1', copy: 2, y: 90, h: 112.4, locked: true })];
    expect(found('D4', c, [down(60), ...walls])[0]?.message).toContain('there is room');
    expect(
      found('D4', c, [down(76), ...walls, placement({ id: 'f2', copy: 3, y: 31, h: 26.5, locked: true })])[0]?.message,
    ).toContain('it goes in when 1 piece moves');
    expect(found('D5', c, [down(60)])).toEqual([]);
  });
  it('leaves to D5 what does not go in, and a day that nothing stands on yet', () => {
    const full = placement({ id: 'f', copy: 2, y: 73, h: 129.4, locked: true });
    expect(
      found('D4', c, [down(60, { locked: true }), full, placement({ id: 'g', copy: 3, y: 31, h: 28, locked: true })]),
    ).toEqual([]);
    expect(found('D4', c, [placement({ day: 2, x: 126.3 })])).toEqual([]);
  });
});

it('R3 speaks of what was peeled too often, and of vinyl that was peeled at all', () => {
  const [paper, vinyl] = [placement(), placement({ id: 'v', code: 'V', y: 90 })];
  const peeled = (p: typeof paper, times: number) => context({ kit, peeled: { [copyKey(p)]: times } });
  expect(found('R3', peeled(paper, 1), [paper])).toEqual([]);
  expect(found('R3', peeled(paper, 2), [paper])).toMatchObject([
    { severity: 'look', message: 'Monday’s quarter box was peeled 2 times; its glue may not hold any more.' },
  ]);
  expect(found('R3', peeled(vinyl, 1), [paper, vinyl])).toMatchObject([
    { severity: 'fix', placements: ['v'], message: expect.stringContaining('was peeled 1 time') },
  ]);
});

describe('K2', () => {
  it('says what neither kit nor stash has, and what can be made of', () => {
    const c = context({ kit, options: bare, ways: { boxes: 0 } });
    expect(found('K2', c, [])).toMatchObject([
      {
        severity: 'fix',
        message: '2 date covers are lacking: the week wants 7, the kit “Test” has 5, the stash 0.',
        remedy: 'Order more, or do without this week.',
      },
    ]);
    const broad = kitOf(...kit.pieces, piece({ code: 'W12', kind: 'washi', width: 170, height: 12 }));
    expect(found('K2', context({ kit: broad, options: bare, ways: { boxes: 0 } }), [])).toMatchObject([
      { severity: 'look', remedy: 'Cut covers of 38.1 mm from the washi W12.' },
    ]);
  });
  it('leaves to K1 what the stash fills in', () => {
    const stash = [{ name: 'stash', pieces: [piece({ kit: 'stash', code: 'S', kind: 'date-cover', count: 2 })] }];
    expect(found('K2', context({ kit, stash, options: bare, ways: { boxes: 0 } }), [])).toEqual([]);
  });
});

it('K5 speaks of a new strip where a leftover would do', () => {
  const strip = (over = {}) =>
    placement({ id: 's', code: 'W', copy: 2, w: 38.1, h: 9, cut: { x: 0, y: 0, w: 38.1, h: 9 }, ...over });
  const left = (mm: number) =>
    context({ kit, usedElsewhere: [{ kit: 'test', code: 'W', copy: 1, cut: { x: 0, y: 0, w: 170 - mm, h: 9 } }] });
  expect(found('K5', left(60), [strip()])[0]?.message).toBe(
    'Monday’s strip of washi is cut from a new white washi strip, while 2 3/8 in of a begun one are left for its 1 1/2 in.'.replace(
      'Monday’s strip of washi',
      found('K5', left(60), [strip()])[0]?.message.split(' is cut')[0] ?? '',
    ),
  );
  expect(found('K5', left(30), [strip()])).toEqual([]);
  expect(found('K5', left(60), [strip({ copy: 1, cut: { x: 110, y: 0, w: 38.1, h: 9 } })])).toEqual([]);
});

describe('K6', () => {
  const stash = [{ name: 'frost', pieces: [piece({ kit: 'frost', code: 'F', count: 3 })] }];
  it('speaks of what is past its day', () => {
    expect(
      found('K6', context({ kit, stash, useBy: { frost: '2027-01-31' } }), [placement({ kit: 'frost', code: 'F' })])[0]
        ?.message,
    ).toBe('Monday’s quarter box is from “Frost”, which was to be used by Jan 31.');
    expect(
      found('K6', context({ kit, stash, useBy: { frost: '2027-02-28' } }), [placement({ kit: 'frost', code: 'F' })]),
    ).toEqual([]);
  });
  it('reminds of what suits and is soon over', () => {
    expect(found('K6', context({ kit, stash, useBy: { frost: '2027-02-28' } }), [placement()])[0]?.message).toContain(
      '“Frost” is to be used by Feb 28, and none of it is here; 1 design of it',
    );
    expect(found('K6', context({ kit, stash, useBy: { frost: '2027-06-30' } }), [placement()])).toEqual([]);
  });
});

describe('P3', () => {
  const near = placement({ id: 'n', x: 126.3, day: 2, text: 'vet', ink: 'black gel pen', items: ['a'] });
  const c = context({ kit, week: weekWith(demand({ day: 2 })), ways: { nearBinding: 'written first' } });
  it('is settled when the bench has it written before it goes down', () => {
    expect(found('P3', c, [near])).toEqual([]);
    const steps = stepsOf(c, [near], [], []);
    expect(steps.map((s) => [s.do, s.refs[0]])).toEqual([
      ['write', 'text:n'],
      ['place', 'n'],
    ]);
    expect(sayStep(steps[0]!, voiceOf(c, [near]))).toBe(
      'On its backing sheet write “vet” with black gel pen: its place is near the coil.',
    );
  });
  it('changes nothing where pages come out', () => {
    const discs = { ...c, book: discOpen };
    expect(stepsOf(discs, [near], [], []).map((s) => s.do)).toEqual(['place', 'write']);
    expect(viewOf(discs, [near]).placements).toHaveLength(1);
  });
});
