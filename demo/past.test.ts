import { plus } from '../src/core/week/typed/calendar-days';
import { DEMO_HABITS, lifeOf } from './past-life';
import { PAST_KITS, pastKit } from './past-kits';
import { demoKit } from '../tests/fixtures';
import { difference } from '../src/core/color/color';
import { randomFrom } from '../src/core/measure/random';
import { dinnersOf } from '../src/core/keep/dinners';
import { streaksOf } from '../src/core/keep/streaks';
import { palette } from '../src/core/kit/kit';

describe('a made-up life', () => {
  const life = () => lifeOf('2026-11-02', '2027-02-02', (day) => Number(day.slice(8)) % 8 < 4, randomFrom(1));
  it('is the same each time, and another by another seed', () => {
    expect(life()).toEqual(life());
    expect(lifeOf('2026-11-02', '2027-02-02', () => false, randomFrom(2))).not.toEqual(life());
  });
  it('has each record of a sort and name once a day, all of them within its days', () => {
    const keys = life().map((r) => `${r.day} ${r.what} ${r.name}`);
    expect(new Set(keys).size).toBe(keys.length);
    expect(life().every((r) => r.day >= '2026-11-02' && r.day <= '2027-02-02')).toBe(true);
  });
  it('never eats the same two days running, and has dishes that come often and dishes that are rare', () => {
    const dinners = life().filter((r) => r.what === 'dinner');
    for (const [i, d] of dinners.slice(1).entries()) {
      const before = dinners[i]!;
      if (plus(before.day, 1) === d.day) expect(d.text).not.toBe(before.text);
    }
    const times = dinnersOf(dinners, '2027-02-02').map((d) => d.times);
    expect(Math.max(...times) >= 3 * Math.min(...times)).toBe(true);
  });
  it('keeps some habits better than others, none always', () => {
    const kept = DEMO_HABITS.habits.map((name) => {
      const days = life().filter((r) => r.what === 'habit' && r.name === name).map((r) => r.day); // prettier-ignore
      return streaksOf(days, '2027-02-02').kept;
    });
    expect(new Set(kept).size).toBeGreaterThan(2);
    expect(Math.max(...kept)).toBeLessThan(93);
  });
  it('works on the ferry on the days of its shifts only', () => {
    for (const r of life().filter((x) => x.what === 'hours'))
      expect(r.name === 'ferry').toBe(Number(r.day.slice(8)) % 8 < 4);
  });
});

describe.each(PAST_KITS)('the past kit $name', (past) => {
  const like = demoKit('rockpool');
  const kit = pastKit(like, past);
  it('has the sheets of the one it is like, three times, under its own name', () => {
    expect(kit.pieces.map((p) => [p.kit, p.code, p.count])).toEqual(
      like.pieces.map((p) => [past.name, p.code, 3 * p.count]),
    );
  });
  it('is told from it and from every other past kit by its colors (CIEDE2000)', () => {
    for (const other of [like, ...PAST_KITS.filter((o) => o !== past).map((o) => pastKit(like, o))]) {
      const [mine, theirs] = [palette(kit, 5), palette(other, 5)];
      const apart = mine.map((c) => Math.min(...theirs.map((t) => difference(c, t))));
      expect(Math.max(...apart)).toBeGreaterThan(8);
    }
  });
});
