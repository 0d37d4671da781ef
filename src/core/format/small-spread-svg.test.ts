import { demoContext } from '../../../tests/fixtures';
import { arrange } from '../arrange/arrange';
import { pieceKey } from '../kit/kit';
import { isWriting, piecesOn } from '../spread/placement';
import { smallSpreadSvg } from './small-spread-svg';

const context = demoContext();
const placements = arrange(context);
const svg = smallSpreadSvg(context, placements, (piece) => `data:,${pieceKey(piece)}`, 680);

describe('a spread in small', () => {
  it('has each design once, however often it lies there, and points to it', () => {
    const images = [...svg.matchAll(/<image [^>]*href="data:,([^"]*)"/g)].map((m) => m[1]);
    expect(images).toHaveLength(piecesOn(context, placements).length);
    expect(new Set(images).size).toBe(images.length);
    const uses = [...svg.matchAll(/<use href="#(f\d+)"/g)].map((m) => m[1]);
    expect(uses).toHaveLength(placements.filter((p) => !isWriting(p)).length);
    for (const id of uses) expect(svg).toContain(`<image id="${id}"`);
  });
  it('is as wide as asked, and as high as its pages are then', () => {
    const { pages } = context.book;
    const [width, height] = /width="(\d+)" height="(\d+)"/.exec(svg)!.slice(1).map(Number);
    expect(width).toBe(680);
    expect(height).toBe(Math.round((680 * pages[0]!.height) / (pages[0]!.width + pages[1]!.width)));
  });
  it('has handwriting as strokes: no font is asked for', () => {
    expect(svg).not.toMatch(/<text|font-/);
    expect(svg).toContain('<path d="M');
  });
});
