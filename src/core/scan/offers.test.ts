import { kitOf, piece as pieceOf } from '../../../tests/fixtures';
import { stickerOf } from './correct';
import type { FoundPiece } from './found';
import { wordsInOrder, wordsOf } from './in-order';
import { knownDesigns, ofSizeOf, offersFor } from './offers';

const found = (id: number, over: Partial<FoundPiece>) =>
  stickerOf(
    {
      x: 5, y: 5, w: 38, h: 12, shape: 'rect', color: '#c2543d', accent: '#c2543d', foil: 'none', rows: 0,
      kind: 'label', design: id, doubts: [], ...over,
    }, // prettier-ignore
    id,
  );
const told = (offers: ReturnType<typeof offersFor>) => offers.map((o) => [o.facts.kind, o.facts.words, o.of]);

describe('what a sticker may be', () => {
  const one = found(1, { doubts: ['kind'] });
  const near = found(2, { x: 5, y: 20, kind: 'header' });
  const far = found(3, { x: 90, y: 150, kind: 'quarter-box', h: 12.7 });
  it('is what others of its size are, the nearest first, and never what it is taken for already', () => {
    const scan = [far, one, near, found(4, {}), found(5, { y: 40, kind: 'washi', h: 12.9 })];
    expect(told(offersFor(one, scan, []))).toEqual([
      ['header', '', null],
      ['quarter-box', '', null],
    ]);
  });
  it('is not what others are guessed to be', () => {
    expect(offersFor(one, [one, found(2, { kind: 'header', doubts: ['kind'] })], [])).toEqual([]);
  });
  it('is what known kits have in its size, the most frequent first, words and all; three at most', () => {
    const design = (code: string, words: string, height = 12) =>
      pieceOf({ code, words, kind: 'header', width: 38.5, height });
    const kits = [
      { ...kitOf(design('a', 'today'), design('b', 'to do'), design('c', 'bills', 15)), title: 'Gull Cove' },
      kitOf(design('a', 'to do'), design('b', 'chores'), design('c', 'weekend')),
    ];
    const known = knownDesigns(kits);
    expect(known).toHaveLength(5);
    expect(told(offersFor(one, [one], known))).toEqual([
      ['header', 'to do', 'Gull Cove'],
      ['header', 'today', 'Gull Cove'],
      ['header', 'chores', 'Test'],
    ]);
  });
  it('all of one size are chosen by one of them', () => {
    expect(ofSizeOf([one, near, far, found(4, { w: 39 })], 1)).toEqual([1, 2, 3]);
    expect(ofSizeOf([one], 9)).toEqual([]);
  });
});

describe('words in order', () => {
  const all = [
    found(1, { x: 50, y: 5.4, design: 0, doubts: ['kind'] }),
    found(2, { x: 5, y: 6, design: 0 }),
    found(3, { x: 5, y: 12, design: 0 }),
    found(4, { x: 5, y: 60 }),
  ];
  it('go row by row, though a row is a little askew, and make designs', () => {
    const said = wordsInOrder(all, [1, 2, 3], wordsOf('mon, tue , wed'));
    expect(said.map((s) => s.words)).toEqual(['tue', 'mon', 'wed', '']);
    expect(new Set(said.map((s) => s.design)).size).toBe(4);
    expect(said[0]?.doubts).toEqual([]);
  });
  it('alike words are copies', () => {
    const said = wordsInOrder(all, [1, 2, 3], ['to do', 'today', 'to do']);
    expect(said[1]?.design).toBe(said[2]?.design);
    expect(said[0]?.design).not.toBe(said[1]?.design);
  });
  it('are refused where they are too many or too few', () => {
    expect(() => wordsInOrder(all, [1, 2], ['a'])).toThrow(RangeError);
  });
});
