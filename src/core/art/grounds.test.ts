import sharp from 'sharp';
import { context, kitOf, piece, placement } from '../../../tests/fixtures';
import { contrast } from '../color/color';
import { writtenOn } from '../format/written';
import type { Kind } from '../kit/kinds';
import { traits } from '../kit/kinds';
import { randomFrom } from '../measure/random';
import { BLACK, WHITE, inkFor, showsOn } from '../spread/ink';
import { drawPiece } from './draw-piece';

const KINDS: readonly Kind[] = [
  'date-cover', 'quarter-box', 'half-box', 'third-box', 'label', 'flag', 'circle', 'checklist', 'check-flag', 'header',
]; // prettier-ignore
const COLORS = ['#101820', '#2b2d5b', '#1f6f78', '#7a00ff', '#ff2b6b', '#c96f4a', '#8a8a8a', '#e8c9a0', '#ffd400', '#ffffff']; // prettier-ignore
/** px to the mm */
const FINE = 8;

/** The middle color that is painted where a sticker is written on, as the picture of it shows. */
async function paintedUnder(kind: Kind, color: string, accent: string) {
  const { usual, shape } = traits(kind);
  const one = piece({ kind, color, accent, width: usual[0], height: usual[1], shape, rows: 6, code: 'X' });
  const laid = placement({ code: 'X', w: usual[0], h: usual[1], text: '8', items: ['a'] });
  const line = writtenOn(context({ kit: kitOf(one) }), laid, [laid])?.lines[0];
  if (!line) throw new Error(`nothing is written on a ${kind}`);
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${one.width * FINE}" height="${one.height * FINE}" viewBox="0 0 ${one.width} ${one.height}">${drawPiece(one, 'x')}</svg>`;
  const [left, top] = [line.anchor === 'middle' ? line.x - 1 : line.x + 0.3, line.y - 1.8];
  const { data } = await sharp(Buffer.from(svg))
    .flatten({ background: '#fffdf9' })
    .extract({ left: Math.round(left * FINE), top: Math.round(top * FINE), width: 2 * FINE, height: 1.5 * FINE })
    .raw()
    .toBuffer({ resolveWithObject: true });
  const middle = (channel: number): number =>
    [...data].filter((_, i) => i % 3 === channel).sort((a, b) => a - b)[data.length / 6] as number;
  const hex = [0, 1, 2].map((c) => middle(c).toString(16).padStart(2, '0')).join('');
  return { one, painted: `#${hex}` };
}

it.each(KINDS)('the pen for a %s shows on what is painted under the letters (pixels, WCAG 2)', async (kind) => {
  const random = randomFrom(31);
  const pairs = COLORS.map((color) => [color, COLORS[Math.floor(random() * COLORS.length)] as string] as const);
  for (const [color, accent] of pairs) {
    const { one, painted } = await paintedUnder(kind, color, accent);
    const pen = inkFor(one).startsWith('white') ? WHITE : BLACK;
    const best = Math.max(contrast(BLACK, painted), contrast(WHITE, painted));
    expect([color, contrast(pen, painted) >= Math.min(4, 0.8 * best)]).toEqual([color, true]);
    // what the review measures is no better than what is there
    expect([color, showsOn(one, pen) <= 1.1 * contrast(pen, painted)]).toEqual([color, true]);
  }
});

it('a dark date cover is written on in black, on the disc that is painted there', () => {
  const cover = piece({ kind: 'date-cover', color: '#1c1f4a' });
  expect(inkFor(cover)).toBe('black gel pen');
  expect(showsOn(cover, BLACK)).toBeGreaterThan(10);
  expect(inkFor({ ...cover, picture: 'f'.repeat(64) })).toBe('white gel pen');
});
