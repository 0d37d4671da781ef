import { context, demand, piece } from '../../../../tests/fixtures';
import { rowsFor } from './list-forms';

describe('an item on the rows of a list', () => {
  const list = piece({ kind: 'checklist', width: 38.1, height: 30, rows: 5 });
  const form = { pitch: 6, w: 38.1, designs: [list], rows: 5, strange: 0 };
  const rows = (title: string, smallest: number) =>
    rowsFor([demand({ title })], form, { ...context().options, smallest });

  it('is written smaller before it goes on over a tick box of nothing', () => {
    const title = 'wash the mud off tents';
    expect(rows(title, 1)).toMatchObject({ rows: 2, size: 1 });
    const small = rows(title, 0.7);
    expect(small?.rows).toBe(1);
    expect(small?.size).toBeLessThan(0.85); // not worth it for the row alone
  });
});
