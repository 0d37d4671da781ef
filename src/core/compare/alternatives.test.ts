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
const ways = alternativesOf(c);
const three = ways.slice(0, 3);

it('are six that really differ, each with its score by rule and a sentence', () => {
  expect(ways).toHaveLength(6);
  for (const a of ways) for (const b of ways) if (a !== b) expect(apart(a, b)).toBeGreaterThan(0.35);
  expect(new Set(ways.map((a) => a.says)).size).toBe(6);
  for (const a of ways) {
    expect(a.says).toMatch(/^[A-Z][a-z]+ full box.*; \d+ % stays white, most on [A-Z][a-z]+day; .* lead\.$/);
    expect(a.score.total).toBeGreaterThan(75);
    expect(a.unplaced).toBe(0);
    const own = { ...c, options: { ...c.options, ...a.options }, ways: { ...c.ways, ...a.ways } };
    expect(a.minds).toEqual(sayEye(sightOf(own, a.placements)));
    expect(a.eye).toBeGreaterThan(0);
    expect(overdrawnPlacements(c, a.placements)).toEqual([]);
  }
  expect(apart(three[0]!, three[0]!)).toBe(0);
});

it('are others when they are asked for again: unlike all that were shown', () => {
  const shown = ways.map((a) => a.placements);
  const more = alternativesOf(c, [], { round: 1, like: null, unlike: shown });
  expect(more.length).toBeGreaterThan(2);
  for (const a of more) for (const placements of shown) expect(apart(a, { placements })).toBeGreaterThanOrEqual(0.35);
});

it('are near one that is liked: in its settings, but for one, and nearer to it than the others are', () => {
  const liked = ways.find((a) => a.ways.deco === 'cluster')!;
  const wish = { round: 1, like: liked, unlike: [liked.placements] };
  const alike = alternativesOf(c, [], wish);
  expect(alike.length).toBeGreaterThan(2);
  const isOther = (a: (typeof alike)[number]): number =>
    Object.entries({ ...c.options, ...c.ways, ...liked.options, ...liked.ways }).filter(
      ([key, value]) =>
        JSON.stringify({ ...c.options, ...c.ways, ...a.options, ...a.ways }[key as 'gap']) !== JSON.stringify(value),
    ).length;
  for (const a of alike) expect(isOther(a)).toBeLessThanOrEqual(1);
  const mean = (list: typeof ways) => list.reduce((sum, a) => sum + apart(a, liked), 0) / list.length;
  expect(mean(alike)).toBeLessThan(mean(ways.filter((a) => a !== liked)));
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
