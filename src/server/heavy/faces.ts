import sharp from 'sharp';
import { drawPiece, drawnWidth } from '../../core/art/draw-piece';
import { num } from '../../core/art/svg';
import { lettersAsPaths } from '../../core/format/text-as-path';
import type { Piece } from '../../core/kit/kit';
import { shippedLetters } from '../fonts';
import { picturesToDraw } from '../pictures';

/** px a mm: a page's width of a small picture, and a little more */
const SCALE = 2.2;
/** Letters of all faces that are held, at most: some 20 MB. */
const MOST_HELD = 20_000_000;

/** Faces that were drawn lately, what was wanted last at the end. */
const held = new Map<string, string>();
let sum = 0;

/**
 * The faces of some stickers as small pictures, each an address that holds it. Each design is drawn once and then kept
 * as long as there is room: the same kit is looked at in many weeks and manners.
 */
export async function facesOf(pieces: readonly Piece[]): Promise<(piece: Piece) => string> {
  const keyed = new Map(pieces.map((p) => [p, JSON.stringify({ ...p, count: 0 })] as const));
  const lacking = [...keyed].filter(([, key]) => !held.has(key));
  const pictureAt = await picturesToDraw(lacking.map(([p]) => p));
  const drawn = await Promise.all(lacking.map(async ([p, key]) => [key, await faceOf(p, pictureAt)] as const));
  const faces = new Map<string, string>(drawn);
  for (const key of keyed.values()) {
    const face = faces.get(key) ?? held.get(key) ?? '';
    faces.set(key, face);
    hold(key, face);
  }
  return (piece) => faces.get(keyed.get(piece) ?? '') ?? '';
}

function hold(key: string, face: string): void {
  sum += held.delete(key) ? 0 : face.length;
  held.set(key, face);
  for (const [oldest, old] of held) {
    if (sum <= MOST_HELD) return;
    held.delete(oldest);
    sum -= old.length;
  }
}

async function faceOf(piece: Piece, pictureAt: (hash: string) => string): Promise<string> {
  const [w, h] = [drawnWidth(piece), piece.height];
  const face = lettersAsPaths(drawPiece(piece, 'f', pictureAt), shippedLetters());
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${Math.ceil(w * SCALE)}" height="${Math.ceil(h * SCALE)}" viewBox="0 0 ${num(w)} ${num(h)}" preserveAspectRatio="none">${face}</svg>`;
  const png = await sharp(Buffer.from(svg)).png({ compressionLevel: 1 }).toBuffer();
  return `data:image/png;base64,${png.toString('base64')}`;
}
