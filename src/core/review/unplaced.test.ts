import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { strangersWeek } from '../../../tests/strangers/weeks';
import { arrange } from '../arrange/arrange';
import { dayColumn } from '../book/columns';
import { intersect } from '../measure/rect';
import { footprint, matchDemands } from '../spread/placement';
import { voiceOf } from '../spread/voice';
import { sayReason, sayWayOut } from './say-missing';
import { unplacedOf } from './unplaced';

const kit = kitOf(piece({ count: 5 }), piece({ code: 'B', kind: 'full-box', height: 48.3, writable: 'no' }));
const only = (c: ReturnType<typeof context>, placements: Parameters<typeof unplacedOf>[1]) => {
  const [missing] = unplacedOf(c, placements);
  const voice = voiceOf(c, placements);
  return { reason: sayReason(missing!, voice), waysOut: missing!.waysOut.map((w) => sayWayOut(w, voice)) };
};

describe('what has no place', () => {
  it('is told with the paper that is bare and what it needs of it, or that there is room', () => {
    const c = context({ kit, week: weekWith(demand()) });
    const { y, h } = dayColumn(c.book, 0)!;
    // 4 mm bare at the foot: a line of 3.3 mm with its gap takes more
    const walls = [placement({ code: 'B', y, h: h - 4, role: 'box' })];
    expect(only(c, walls).reason).toMatch(
      /^Monday’s longest free place is \d.* in; “swim” needs \d.* in with its gaps\.$/,
    );
    expect(only(c, []).reason).toBe('“swim” is not laid yet; Monday has room for it.');
  });
  it('has numbers that are the page’s own', () => {
    for (let seed = 1; seed <= 60; seed++) {
      const c = strangersWeek(seed);
      const placements = arrange(c).filter((p, i) => !(p.items.length && i % 3 === 0));
      const crowded = placements.flatMap((p, i) =>
        p.role === 'day' && i % 4 ? [p, { ...p, id: `x${p.id}`, items: [], y: p.y + p.h + 1 }] : [p],
      );
      for (const { reason, demand: d } of unplacedOf(
        { ...c, options: { ...c.options, onPaper: seed % 2 > 0 } },
        crowded,
      )) {
        if (reason.is !== 'no room') continue;
        expect(reason.free).toBeLessThan(reason.needs);
        const column = dayColumn(c.book, d.day)!;
        const there = crowded.map(footprint).filter((f, i) => crowded[i]!.page === column.page && intersect(f, column));
        const edges = [column.y, ...there.flatMap((f) => [f.y, f.y + f.h]), column.y + column.h];
        const free = edges.flatMap((from) =>
          edges
            .filter((to) => to > from && !there.some((f) => f.y < to - 0.02 && f.y + f.h > from + 0.02))
            .map((to) => to - from),
        );
        expect(free.some((f) => Math.abs(f - reason.free) < 0.1) || reason.free === 0).toBe(true);
      }
    }
  });
  it('gets ways out that fit: the box out, a neighbor day, one list, a shorter text', () => {
    const c = context({
      kit,
      week: weekWith(...['a', 'b', 'c'].map((uid) => demand({ uid, key: uid, title: uid, day: 2 }))),
    });
    const ways = only(c, [placement({ code: 'B', day: 2, x: 126.3, h: 48.3, role: 'box' })]).waysOut;
    expect(ways).toEqual([
      'Take the full box out of Wednesday: that frees 1 7/8 in',
      expect.stringMatching(/^Move it to (Tuesday|Thursday), where 6 3\/4 in are free in one place$/),
      'Make “a”, “b”, “c” one list',
      'Let it be noted in the sidebar or on the bottom strip',
      'Shorten its text',
    ]);
  });
  it('is not sent to a neighbor day when its time is fixed', () => {
    const c = context({ kit, week: weekWith(demand({ start: 600 })) });
    expect(only(c, []).waysOut.some((w) => w.startsWith('Move'))).toBe(false);
  });
  it('is told when no base takes its text', () => {
    const c = context({
      kit,
      week: weekWith(demand({ title: 'an extraordinarily long-winded matter of no importance' })),
      options: { onPaper: false },
    });
    const { reason, waysOut } = only(c, []);
    expect(reason).toBe(
      'No base that is left takes “an extraordinarily long-winded matter of no imp…” at your hand; the roomiest has 2 lines of 20 letters.',
    );
    expect(waysOut).toContain('Let it be written on the paper');
    expect(waysOut.at(-1)).toBe('Shorten its text, such as “an extraordinarily long-winded matter…”');
  });
});

describe('which placement carries which item', () => {
  const daily = [0, 1].map((day) => demand({ uid: 'u', key: `u#${day}`, day }));
  const carrier = (id: string, day: number, y = 60) => placement({ id, day, y, items: ['u'] });
  it('is the one in the item’s own day first', () => {
    const matched = matchDemands([carrier('p1', 1), carrier('p2', 0)], daily);
    expect([matched.get('u#0')?.id, matched.get('u#1')?.id]).toEqual(['p2', 'p1']);
  });
  it('is a strayed one when its own day has none, and nobody carries two', () => {
    const matched = matchDemands([carrier('p1', 4)], daily);
    expect([...matched.values()].map((p) => p.id)).toEqual(['p1']);
  });
  it('goes down the column when a thing comes twice on a day', () => {
    const twice = [demand({ uid: 'u', key: 'u' }), demand({ uid: 'u', key: 'u~2' })];
    const matched = matchDemands([carrier('p1', 0, 120), carrier('p2', 0, 60)], twice);
    expect([matched.get('u')?.id, matched.get('u~2')?.id]).toEqual(['p2', 'p1']);
  });
});
