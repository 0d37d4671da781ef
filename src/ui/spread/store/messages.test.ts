import { demoSpread } from '../../../../tests/fixtures';
import type { Change } from '../../../core/edit/change';
import type { Deed } from '../../../core/edit/deed';
import { voiceOf } from '../../../core/spread/voice';
import { WorkerStopped } from '../../../workers/arranger';
import { dropped, sayLetIn, sayMended, sayRecolored, stopped } from './messages';

const { context, placements } = demoSpread();
const voice = voiceOf(context, placements);
const thing = { kind: 'half-box' as const, code: 'HB-1', words: 'vet' };
const change = (deed: Deed, count = 1): Change => ({ deed, before: [], after: placements.slice(0, count) });

describe('work that did not come to its end', () => {
  it('says whether the worker crashed or could not do it, and that nothing was changed', () => {
    expect(stopped('The arranging', new WorkerStopped('out of memory'))).toBe(
      'The arranging crashed (out of memory). It was restarted, and nothing was changed: please try again.',
    );
    expect(stopped('The looking', new RangeError('no such day'))).toBe(
      'The looking stopped: no such day. Nothing was changed.',
    );
    expect(stopped('The looking', 'odd')).toContain('odd');
  });
  it('says how many edits fell with one that was refused', () => {
    expect(dropped(1)).toContain('The edit that you made after it');
    expect(dropped(3)).toContain('The 3 edits that you made after it');
  });
});

describe('what was done is said', () => {
  const letIn = (moved: number, said = moved): string =>
    sayLetIn({ change: change({ do: 'let in', title: 'vet', moved: said, how: 'as it is' }), moved, day: 1 }, voice);
  it('of a late item, with what moved for it, once', () => {
    expect(letIn(0)).toBe('Let “vet” in: nothing had to move.');
    expect(letIn(1)).toBe('Let “vet” in: 1 piece moved for it.');
    expect(letIn(4)).toBe('Let “vet” in: 4 pieces moved for it.');
  });
  it('of a mended sticker, with what is new and what made room', () => {
    const flat = placements.filter((p) => p.layer === 0);
    const mended = (count: number, moved: number): string =>
      sayMended(
        { change: { deed: { do: 'replace spoiled', thing }, before: [], after: flat.slice(0, count) }, moved, day: 1 },
        voice,
      );
    expect(mended(1, 0)).toMatch(/: 1 piece is new or moved\.$/);
    expect(mended(3, 2)).toMatch(/: 3 pieces are new or moved, 2 of them to make room\.$/);
  });
  it('of another color, with what stays', () => {
    const recolored = (swapped: number, left: number): string =>
      sayRecolored(
        {
          from: '#e4f3ef',
          to: '#1f6f78',
          change: change({ do: 'recolor', from: '#e4f3ef', to: '#1f6f78' }),
          swapped,
          left,
        } as never,
        voice,
      );
    expect(recolored(3, 0)).toMatch(/: 3 pieces changed, nothing moved\.$/);
    expect(recolored(1, 2)).toMatch(/: 1 piece changed, nothing moved\. 2 stay:/);
  });
});
