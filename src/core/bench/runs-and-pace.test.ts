import { strokes } from '../../../tests/fixtures';
import { sameGroup, runsOf } from './groups';
import { USUAL_PACE, paceOf, secondsOf, sizeOf, timesOf } from './pace';
import type { Step, StepAbout, StepGroup } from './step';
import { piecesOfStep, tapeOfStep, workOfStep } from './step-key';

const step = (n: number, group: StepGroup): Step => ({
  n,
  key: `k${n}`,
  do: 'place',
  refs: [],
  about: { is: 'lay' },
  group,
});

describe('runs of steps', () => {
  it('are those of one group that follow each other; one that is interrupted is two', () => {
    const monday = { is: 'day', day: 0 } as const;
    const runs = runsOf([step(1, monday), step(2, monday), step(3, { is: 'ink' }), step(4, monday)]);
    expect(runs.map((r) => r.steps.map((s) => s.n))).toEqual([[1, 2], [3], [4]]);
    expect(runsOf([])).toEqual([]);
  });
  it.each([
    [{ is: 'day', day: 0 }, { is: 'day', day: 0 }, true],
    [{ is: 'day', day: 0 }, { is: 'day', day: 1 }, false],
    [{ is: 'base', page: 0 }, { is: 'base', page: 1 }, false],
    [{ is: 'base', page: 0 }, { is: 'white-out', page: 0 }, false],
    [{ is: 'ink' }, { is: 'ink' }, true],
  ] as const)('%j and %j are the same: %j', (a, b, same) => expect(sameGroup(a, b)).toBe(same));
});

describe('the owner’s pace', () => {
  const at = (n: number, seconds: number, work: Step['do'] = 'place', size = 1) => ({
    do: work,
    size,
    at: n + 1000 * seconds,
  });
  it('leaves the first tick, pauses, and ticks made at once out', () => {
    const ticks = [at(0, 0), at(0, 60), at(0, 61), at(0, 700), at(0, 1301), at(0, 1340, 'cut')];
    expect(timesOf(ticks).map((t) => [t.do, t.seconds])).toEqual([
      ['place', 60],
      ['cut', 39],
    ]);
  });
  it('does not hang on the order in which ticks are told', () => {
    const ticks = [at(0, 120), at(0, 0), at(0, 50)];
    expect(timesOf(ticks).map((t) => t.seconds)).toEqual([50, 70]);
  });
  it('is the usual one till five steps of a sort are known, then their median a piece', () => {
    const four = Array.from({ length: 5 }, (_, i) => at(0, 40 * i));
    expect(paceOf(four)).toEqual({ pace: USUAL_PACE, own: [] });
    const five = [...four, at(0, 400)];
    expect(paceOf(five)).toEqual({ pace: { ...USUAL_PACE, place: 40 }, own: ['place'] });
    const texts = Array.from({ length: 6 }, (_, i) => at(0, 100 * i, 'write', 4));
    expect(paceOf(texts).pace.write).toBe(25);
  });
  it('says how long steps take, by how much each is', () => {
    const about: readonly StepAbout[] = [
      { is: 'white-out', page: 0, strokes: strokes(10) },
      { is: 'write', day: 0, texts: 3, pens: [], paper: [] },
      { is: 'lay' },
    ];
    expect(about.map((a) => sizeOf({ about: a }))).toEqual([10, 3, 1]);
    const pace = { 'white-out': 2, cut: 0, place: 50, stack: 0, write: 20 };
    const steps = [
      { do: 'white-out' as const, about: about[0]! },
      { do: 'write' as const, about: about[1]! },
      { do: 'place' as const, about: about[2]! },
    ];
    expect([secondsOf(steps, pace), secondsOf([], pace)]).toEqual([130, 0]);
  });
});

describe('the name of a step says', () => {
  it.each([
    ['place:p1', ['p1']],
    ['stack:p1,p2', ['p1', 'p2']],
    ['write:text:p1', []],
    ['white-out:0:3:900', []],
    ['cut:kit/A#1:0,0,10,10', []],
    ['strange', []],
  ])('%s: which pieces it sticks down, %j', (key, pieces) => expect(piecesOfStep(key)).toEqual(pieces));
  it.each([
    ['white-out:0:3:900', 0.9],
    ['white-out:0:3:x', 0],
    ['place:p1', 0],
  ])('%s: how much tape it takes, %d m', (key, meters) => expect(tapeOfStep(key)).toBe(meters));
  it.each([
    ['white-out:0:30:900', { do: 'white-out', size: 30 }],
    ['write:text:p1,text:p2', { do: 'write', size: 2 }],
    ['stack:p1,p2', { do: 'stack', size: 1 }],
    ['cut:kit/A#1:0', { do: 'cut', size: 1 }],
    ['constructor:p1', null],
    ['', null],
  ])('%s: what is done, %j', (key, work) => expect(workOfStep(key)).toEqual(work));
});
