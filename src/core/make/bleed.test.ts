import sharp from 'sharp';
import { piece } from '../../../tests/fixtures';
import { bleedOf } from './bleed';
import { BLEED } from './lay-out';

/** Pixels a millimeter. */
const SCALE = 20;

/** A bleed of a piece of 20 x 10 mm as it comes out of a printer: the color at a place in the piece's own mm. */
async function printed(svg: string): Promise<(x: number, y: number) => number[]> {
  const [w, h] = [20 + 2 * BLEED, 10 + 2 * BLEED];
  const whole = `<svg xmlns="http://www.w3.org/2000/svg" width="${w * SCALE}" height="${h * SCALE}" viewBox="${-BLEED} ${-BLEED} ${w} ${h}">${svg}</svg>`;
  const { data, info } = await sharp(Buffer.from(whole)).removeAlpha().raw().toBuffer({ resolveWithObject: true });
  return (x, y) => {
    const at = (Math.floor((y + BLEED) * SCALE) * info.width + Math.floor((x + BLEED) * SCALE)) * 3;
    return [...data.subarray(at, at + 3)];
  };
}

const RED = [194, 84, 61];
const BLUE = [61, 79, 124];
/** Two halves, and a band along the top. */
const FACE =
  '<rect width="10" height="10" fill="#c2543d"/><rect x="10" width="10" height="10" fill="#3d4f7c"/><rect y="0" width="20" height=".5" fill="#ffffff"/>';

describe('what is printed beyond the edge', () => {
  it('goes on as the face ends there, on every side and at the corners', async () => {
    const at = await printed(bleedOf(piece({ width: 20, height: 10, shape: 'rect' }), FACE));
    expect(at(-0.6, 5)).toEqual(RED);
    expect(at(20.6, 5)).toEqual(BLUE);
    expect(at(5, 10.6)).toEqual(RED);
    expect(at(15, 10.6)).toEqual(BLUE);
    expect(at(20.6, 10.6)).toEqual(BLUE);
    // the band along the edge is mirrored: as wide beyond it, then the face again
    expect(at(5, -0.3)).toEqual([255, 255, 255]);
    expect(at(5, -0.8)).toEqual(RED);
    expect(at(-0.6, -0.3)).toEqual([255, 255, 255]);
  });

  it('is grown about its middle where a sticker is round', async () => {
    const disc = '<circle cx="10" cy="5" r="5" fill="#c2543d"/>';
    const at = await printed(bleedOf(piece({ width: 20, height: 10, shape: 'circle' }), disc));
    expect(at(10, -0.6)).toEqual(RED);
    expect(at(10, 10.6)).toEqual(RED);
    expect(at(3, 5)).not.toEqual(RED);
  });
});
