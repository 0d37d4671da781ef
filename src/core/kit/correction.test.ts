import { piece } from '../../../tests/fixtures';
import type { Hold } from './correction';
import { correctionOf, isNoChange, objectionsTo } from './correction';
import type { Piece } from './kit';

const of = (code: string, over: Partial<Piece> = {}): Piece => piece({ kit: 'fog', code, count: 4, ...over });
const kit = (...pieces: Piece[]) => ({ name: 'fog', pieces });
const before = kit(of('A'), of('B'), of('C'));
const hold = (over: Partial<Hold> = {}): Hold => ({ weeks: [], highest: 0, found: 0, ...over });

describe('a corrected list', () => {
  it('says which lines came, changed and went, by their codes', () => {
    const c = correctionOf(before, kit(of('A'), of('C', { words: 'rest' }), of('D')));
    expect(c.added).toEqual([{ piece: of('D'), position: 2 }]);
    expect(c.changed).toEqual([{ piece: of('C', { words: 'rest' }), position: 1, before: of('C') }]);
    expect(c.removed).toEqual([of('B')]);
    expect(isNoChange(c)).toBe(false);
  });

  it('changes nothing where it says the same, or leaves out what is empty', () => {
    expect(isNoChange(correctionOf(before, kit(of('A'), of('B'), of('C'))))).toBe(true);
    const shown = kit(of('A', { picture: 'f', clear: { x: 0, y: 0, w: 9, h: 9 } }));
    expect(isNoChange(correctionOf(shown, structuredClone(shown)))).toBe(true);
    expect(correctionOf(shown, kit(of('A', { picture: 'f' }))).changed).toHaveLength(1);
    expect(correctionOf(before, kit(of('B'), of('A'), of('C'))).changed.map((l) => l.piece.code)).toEqual(['B', 'A']);
  });
});

describe('what weeks have', () => {
  const holds = new Map([['B', hold({ weeks: ['2027-W05', '2027-W06'], highest: 3 })]]);

  it('is not removed, and keeps what was measured', () => {
    expect(objectionsTo(correctionOf(before, kit(of('A'), of('C'))), holds)).toEqual([
      { is: 'lies on spreads', code: 'B', weeks: ['2027-W05', '2027-W06'] },
    ]);
    const other = of('B', { width: 20, rows: 3, kind: 'label', height: 30, shape: 'circle' });
    const fields = objectionsTo(correctionOf(before, kit(of('A'), other, of('C'))), holds).map((o) =>
      o.is === 'measured so' ? o.field : o.is,
    );
    expect(fields).toEqual(['kind', 'width', 'height', 'rows', 'shape']);
  });

  it('may change in color and words, and in number down to what is spoken of', () => {
    const told = (over: Partial<Piece>) =>
      objectionsTo(correctionOf(before, kit(of('A'), of('B', over), of('C'))), holds);
    expect(told({ color: '#123456', words: 'rest', count: 9 })).toEqual([]);
    expect(told({ count: 3 })).toEqual([]);
    expect(told({ count: 2 })).toEqual([{ is: 'too few copies', code: 'B', count: 2, least: 3 }]);
    const found = new Map([['B', hold({ highest: 6, found: 2 })]]);
    const fewer = correctionOf(before, kit(of('A'), of('B', { count: 3 }), of('C')));
    expect(objectionsTo(fewer, found)).toEqual([{ is: 'too few copies', code: 'B', count: 3, least: 4 }]);
  });

  it('holds nothing of lines that no week has', () =>
    expect(objectionsTo(correctionOf(before, kit(of('B'))), holds)).toEqual([]));
});
