import { piece } from '../../../tests/fixtures';
import { BadInput } from './fault';
import { blankLine, copyDown, copyLines, pasteLines } from './paste-lines';
import { freshCode } from '../kit/correction';

const lines = [
  piece({ kit: 'fog', code: 'QB-1', count: 4, width: 38.1, height: 12, color: '#112233' }),
  piece({ kit: 'fog', code: 'QB-2', count: 2, width: 38.1, height: 12, color: '#445566' }),
  piece({ kit: 'fog', code: 'IC-1', kind: 'icon', count: 9, width: 9, height: 9, picture: 'f'.repeat(64) }),
];
const codes = (of: readonly { code: string }[]) => of.map((p) => p.code);

describe('cells from a spreadsheet', () => {
  it('lie over the cells from the one that is chosen, to the right and down', () => {
    const after = pasteLines('fog', lines, '7\t40,5\n8\t41\n', { row: 0, field: 'count' });
    expect(after.map((p) => [p.count, p.width])).toEqual([
      [7, 40.5],
      [8, 41],
      [9, 9],
    ]);
    expect(after[0]).toEqual({ ...lines[0], count: 7, width: 40.5 });
  });

  it('go on in new lines below the last, each with a code of its own', () => {
    const after = pasteLines('fog', lines, 'IC-1\nX-9\nX-10', { row: 2, field: 'code' });
    expect(codes(after)).toEqual(['QB-1', 'QB-2', 'IC-1', 'X-9', 'X-10']);
    expect(after[3]).toMatchObject({ kind: 'icon', width: 9 });
    expect(after[3]!.picture).toBeUndefined();
  });

  it('beyond the last column are passed over; what is no number is left for the reader to say', () => {
    expect(pasteLines('fog', lines, 'gold\tand more', { row: 0, field: 'foil' })[0]!.foil).toBe('gold');
    expect(pasteLines('fog', lines, 'many', { row: 0, field: 'count' })[0]!.count).toBeNaN();
    expect(pasteLines('fog', lines, ' ', { row: 1, field: 'count' })[1]!.count).toBeNaN();
  });

  it('with the names of their columns are read as a kit is, and added', () => {
    const text = 'code\tkind\tcount\twidth_mm\theight_mm\nQB-1\theader\t3\t38\t6\nHD-1\theader\t2\t38\t6\n';
    const after = pasteLines('fog', lines, text, { row: 0, field: 'code' });
    expect(codes(after)).toEqual(['QB-1', 'QB-2', 'IC-1', 'QB-3', 'HD-1']);
    expect(after[4]).toMatchObject({ kit: 'fog', kind: 'header', count: 2 });
    expect(() =>
      pasteLines('fog', lines, 'code,kind,count,width_mm,height_mm\nA,none,1,1,1', { row: 0, field: 'code' }),
    ).toThrow(BadInput);
  });
});

it('a new line is like the last one, without what only that one says or shows', () => {
  expect(blankLine('fog', lines)).toMatchObject({ code: 'IC-2', kind: 'icon', width: 9, words: '', icon: '' });
  expect(blankLine('fog', lines).picture).toBeUndefined();
  expect(blankLine('fog', [])).toMatchObject({ kit: 'fog', kind: 'label', count: 1 });
});

it('lines are copied below their own, and a field is copied down', () => {
  const twice = copyLines(lines, new Set([0, 2]));
  expect(codes(twice)).toEqual(['QB-1', 'QB-3', 'QB-2', 'IC-1', 'IC-2']);
  expect(twice[1]).toEqual({ ...lines[0], code: 'QB-3' });
  const down = copyDown(lines, { row: 0, field: 'color' }, new Set([1, 2]));
  expect(down.map((p) => p.color)).toEqual(['#112233', '#112233', '#112233']);
  expect(copyDown(lines, { row: 9, field: 'color' }, new Set([1]))).toEqual(lines);
});

it.each([
  [['QB-1', 'QB-8'], 'QB-4', 'QB-9'],
  [['FB'], 'FB', 'FB-1'],
  [[], 'X1', 'X1'],
  [['X1', 'X2'], 'X1', 'X3'],
  [['A-1', 'AB-7'], 'A-1', 'A-2'],
])('behind %p a code like %s goes on as %s', (taken, like, next) => expect(freshCode(taken, like)).toBe(next));
