import { drawPiece } from '../src/core/art/draw-piece';
import { MOTIFS, isPattern, motifOf } from '../src/core/art/motifs/registry';
import { parseMarkup, writeMarkup } from '../src/core/format/markup';
import { KIND_NAMES, traits } from '../src/core/kit/kinds';
import { SHAPES } from '../src/core/kit/kind-table';
import { piece } from './fixtures';

/** What no drawing may hold: a number that is none, something forgotten, an address that leads out. */
const FORBIDDEN = /NaN|undefined|null|Infinity|\[object|https?:\/\/(?!www\.w3\.org)/;

const drawn = (over: Parameters<typeof piece>[0]): string => drawPiece(piece(over), 'a');
const sound = (svg: string): void => {
  expect(FORBIDDEN.exec(svg)?.[0]).toBeUndefined();
  const written = writeMarkup(parseMarkup(svg));
  expect(written === svg.replace(/<(text[^>]*)><\/text>/g, '<$1/>')).toBe(true);
};

describe.each(Object.keys(MOTIFS))('the motif %s', (motif) => {
  it('is drawn on a tall, a wide and a tiny sticker, the same each time', () => {
    for (const [width, height] of [[38.1, 48.3], [160, 11], [6, 6]] as const) {
      const svg = drawn({ motif, width, height, kind: 'full-box' });
      sound(svg);
      expect(svg === drawn({ motif, width, height, kind: 'full-box' })).toBe(true);
    }
  }); // prettier-ignore
  it('is another picture in another color', () => {
    const [one, other] = ['#1f6f78', '#b03a2e'].map((color) =>
      drawn({ motif, color, accent: color, kind: 'full-box' }),
    );
    expect(one === other).toBe(false);
  });
});

describe.each(KIND_NAMES)('a %s', (kind) => {
  it('is drawn in its usual size, with words, with rows, blank, and in every shape', () => {
    const [width, height] = traits(kind).usual;
    for (const over of [
      {},
      { words: 'to do' },
      { rows: 6 },
      { words: 'a “quote” & <more>', rows: 1 },
      { foil: 'gold' },
    ])
      sound(drawn({ kind, width, height, ...over }));
    for (const shape of SHAPES) sound(drawn({ kind, width, height, shape }));
  });
});

it('a name that nobody has drawn is leaves and dots, and no word of every object is a motif', () => {
  for (const name of ['zeppelin', 'constructor', '__proto__', '']) {
    expect(motifOf(name)).toBe(motifOf('zeppelin'));
    expect(isPattern(name)).toBe(false);
    sound(drawn({ motif: name, kind: 'full-box' }));
  }
});
