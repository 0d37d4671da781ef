import { context, demand, demoContext, demoSpread, weekWith } from '../../../tests/fixtures';
import { apply } from '../edit/change';
import { mixDays } from './mix';
import { overdrawnPlacements } from '../edit/stock-check';
import { sayEye } from '../eye/say-eye';
import { sightOf } from '../eye/sight';
import { intersect } from '../measure/rect';
import { alternativesOf, apart } from './alternatives';
import { footprint, matchDemands } from '../spread/placement';

const c = demoContext();
const three = alternativesOf(c);

it('are three that really differ, each with its score by rule and a sentence', () => {
  expect(three).toHaveLength(3);
  for (const a of three) for (const b of three) if (a !== b) expect(apart(a, b)).toBeGreaterThan(0.4);
  expect(new Set(three.map((a) => a.says)).size).toBe(3);
  for (const a of three) {
    expect(a.says).toMatch(/^[A-Z][a-z]+ full box.*; \d+ % stays white, most on [A-Z][a-z]+day; .* lead\.$/);
    expect(a.score.total).toBeGreaterThan(80);
    expect(a.unplaced).toBe(0);
    const own = { ...c, options: { ...c.options, ...a.options } };
    expect(a.minds).toEqual(sayEye(sightOf(own, a.placements)));
    expect(a.eye).toBeGreaterThan(0);
    expect(overdrawnPlacements(c, a.placements)).toEqual([]);
  }
  expect(apart(three[0]!, three[0]!)).toBe(0);
});

it('are fewer where another would be the same once more', () => {
  const small = context({ manner: 'three-rows', week: weekWith(demand({ title: 'post' })) });
  expect(alternativesOf(small)).toHaveLength(1);
});

it('leave what is locked alone, in all of them', () => {
  const { placements } = demoSpread();
  const kept = placements.filter((p) => p.day === 1).map((p) => ({ ...p, locked: true }));
  for (const a of alternativesOf(c, kept)) expect(a.placements.slice(0, kept.length)).toEqual(kept);
});

it('can be mixed day by day, each sticker used once and every item placed', () => {
  const { placements } = demoSpread();
  const after = apply(
    placements,
    mixDays(
      c,
      placements,
      three.map((a) => a.placements),
      [0, 1, 2, 0, 1, 2, 0],
      { do: 'lay out', from: 'several' },
    ),
  );
  expect(overdrawnPlacements(c, after)).toEqual([]);
  expect(matchDemands(after, c.week.demands).size).toBe(c.week.demands.length);
  const touching = after.filter((p, i) =>
    after.slice(0, i).some((q) => q.page === p.page && q.layer === p.layer && intersect(footprint(p), footprint(q))),
  );
  expect(touching).toEqual([]);
});
