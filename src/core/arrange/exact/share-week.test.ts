import { asDays, bestShare, sharedWeek } from '../../../../tests/shared-weeks';
import { packDay, shareWeek } from './share-week';
import type { SharedItem, SharedOption } from './shared-day';
import { usageOf } from './shared-day';
import { packColumn } from './day-packing';

const WEEKS = Array.from({ length: 24 }, (_, i) => i + 1);
const leftOut = (plans: ReturnType<typeof shareWeek>): number =>
  plans.reduce((n, p) => n + p.packing.chosen.filter((o) => o === null).length, 0);

describe('a week’s stock shared among its days', () => {
  it.each(WEEKS)(
    'costs within 2 %% of the optimum of HiGHS in generated week %i, and leaves out no item that it places',
    async (seed) => {
      const week = sharedWeek(seed);
      const plans = shareWeek(asDays(week), week.supply);
      const cost = plans.reduce((sum, p) => sum + p.cost, 0);
      const best = (await bestShare(week)) as number;
      expect(cost).toBeGreaterThanOrEqual(best - 1e-6);
      expect(cost).toBeLessThanOrEqual(best * 1.02 + 0.05);
      expect(Math.floor(cost / 700)).toBe(Math.floor(best / 700));
    },
  );

  it.each(WEEKS)('uses nothing more often than it is there, in week %i', (seed) => {
    const week = sharedWeek(seed);
    const days = asDays(week);
    const used = new Map<string, number>();
    shareWeek(days, week.supply).forEach((plan, d) => {
      for (const [key, n] of usageOf(days[d]!, plan)) used.set(key, (used.get(key) ?? 0) + n);
    });
    for (const [key, n] of used) expect([key, n <= (week.supply.get(key) ?? 0)]).toEqual([key, true]);
  });
});

const option = (cost: number, height = 10, key: string | null = 'label'): SharedOption => ({
  cost,
  height,
  uses: key ? { key, amount: 1 } : null,
});
const ink = (cost = 6): SharedOption => option(cost, 5, null);
const item = (...options: SharedOption[]): SharedItem => ({ options, leaveOut: 1000 });
const day = (...items: SharedItem[]) => ({
  alternatives: [
    { items, pack: (given: Parameters<typeof packColumn>[0]) => packColumn(given, [{ from: 0, to: 100 }], 2) },
  ],
});

describe('scarce bases', () => {
  it('go where they matter most, whichever day comes first', () => {
    const monday = day(item(option(3), ink(4)), item(option(3), ink(4)));
    const tuesday = day(item(option(0), ink(9)));
    const plans = shareWeek([monday, tuesday], new Map([['label', 1]]));
    expect(plans.map((p) => p.packing.chosen)).toEqual([[1, 1], [0]]);
  });
  it('are all used when they are as many as the items, and as far as they go when they are fewer', () => {
    const week = (items: number) =>
      Array.from({ length: 7 }, (_, d) =>
        day(...Array.from({ length: Math.ceil((items - d) / 7) }, () => item(option(1), ink()))),
      );
    const used = (items: number): number => {
      const days = week(items);
      return shareWeek(days, new Map([['label', 12]])).reduce(
        (n, p, d) => n + (usageOf(days[d]!, p).get('label') ?? 0),
        0,
      );
    };
    expect([6, 12, 16, 40].map(used)).toEqual([6, 12, 12, 12]);
  });
  it('are spread evenly over days that want them alike', () => {
    const days = Array.from({ length: 7 }, () =>
      day(item(option(1), ink()), item(option(1), ink()), item(option(1), ink())),
    );
    const used = shareWeek(days, new Map([['label', 14]])).map((p, d) => usageOf(days[d]!, p).get('label'));
    expect(used).toEqual([2, 2, 2, 2, 2, 2, 2]);
  });
  it('that nobody named are not there', () => {
    const plans = shareWeek([day(item(option(0), ink()))], new Map());
    expect(plans[0]?.packing.chosen).toEqual([1]);
    expect(leftOut(shareWeek([day(item(option(0)))], new Map()))).toBe(1);
  });
  it('count by what an option takes of them', () => {
    const two: SharedOption = { ...option(0), uses: { key: 'label', amount: 2 } };
    const plans = shareWeek([day(item(two, ink()), item(option(1), ink()))], new Map([['label', 2]]));
    const chosen = plans[0]?.packing.chosen;
    expect(chosen?.filter((o) => o === 0)).toHaveLength(1);
  });
});

describe('ways to see a day', () => {
  const pack = (given: Parameters<typeof packColumn>[0]) => packColumn(given, [{ from: 0, to: 30 }], 2);
  const apart = { items: [item(option(1, 12)), item(option(1, 12)), item(option(1, 12))], pack };
  const together = { items: [item(option(4, 24, null))], pack };
  it('the one is taken that costs less, what is left out counted', () => {
    expect(packDay({ alternatives: [apart, together] }, new Map(), null).alternative).toBe(1);
    expect(packDay({ alternatives: [apart] }, new Map(), null).cost).toBe(1002);
  });
  it('prices can make another one the better', () => {
    const roomy = { ...apart, items: apart.items.slice(0, 2) };
    const seen = { alternatives: [roomy, together] };
    expect(packDay(seen, new Map(), null).alternative).toBe(0);
    expect(packDay(seen, new Map([['label', 3]]), null).alternative).toBe(1);
  });
  it('a day without any is a day without items', () =>
    expect(shareWeek([{ alternatives: [] }], new Map())).toEqual([
      { alternative: 0, packing: { chosen: [], stretch: [], cost: 0 }, cost: 0 },
    ]));
});
