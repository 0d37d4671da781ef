import { placement } from '../../../tests/fixtures';
import { apply, invert } from './change';
import type { Change } from './change';
import { statesBack } from './states-back';

const [a, b] = [placement({ id: 'a', x: 1 }), placement({ id: 'b', x: 50 })];
const lay: Change = { deed: { do: 'arrange', what: 'week' }, before: [], after: [a, b] };
const off: Change = { deed: { do: 'lift all' }, before: [a], after: [] };
const moved = { ...b, x: 60 };
const move: Change = { deed: { do: 'arrange', what: 'anew' }, before: [b], after: [moved] };
const now = [moved];
const back = [move, off, lay].map(invert);

describe('the states that undo leads back through', () => {
  it('are each as it was before a deed, the latest first, with all that leads there from now', () => {
    const states = statesBack(now, back);
    expect(states.map((s) => s.before)).toEqual([move.deed, off.deed, lay.deed]);
    expect(states.map((s) => s.placements.map((p) => p.id).sort())).toEqual([['b'], ['a', 'b'], []]);
    expect(states[0]!.placements[0]!.x).toBe(50);
    for (const { change, placements } of states)
      expect(new Set(apply(now, change).map((p) => JSON.stringify(p)))).toEqual(
        new Set(placements.map((p) => JSON.stringify(p))),
      );
  });
  it('end where what lies there is not what the log says', () => {
    expect(statesBack([{ ...moved, x: 9 }], back)).toEqual([]);
    expect(statesBack(now, [back[0]!, back[2]!])).toHaveLength(1);
  });
});
