import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { matchDemands } from '../spread/placement';
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
  const wall = [40, 88, 136].map((y, i) => placement({ id: `w${i}`, code: 'B', h: 47, y, role: 'box' }));
  it('is told with the millimeters there are and the millimeters it needs', () => {
    const c = context({ kit, week: weekWith(demand()) });
    expect(only(c, wall).reason).toMatch(
      /^(Monday’s longest free place is|“swim” has no place on Monday yet;) .*\d+\/\d+ in.*1\/8 in\.$/,
    );
    expect(only(c, []).reason).toBe('“swim” has no place on Monday yet; 6 3/4 in are free there and it needs 1/8 in.');
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
      'No base that is left takes the 54 letters of “an extraordinarily long-winded matter of no imp…” at your hand; the roomiest takes 40.',
    );
    expect(waysOut).toContain('Let it be written on the paper');
    expect(waysOut.at(-1)).toBe('Shorten its text to 40 letters');
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
