import { esc, num } from '../art/svg';
import type { PictureAt } from '../art/draw-piece';
import { drawPiece } from '../art/draw-piece';
import type { Kit, Piece } from '../kit/kit';
import { calledName, palette, pieceKey } from '../kit/kit';
import type { Letters } from './letters';
import { lettersAsPaths } from './text-as-path';

/** What became of a kit. */
export interface KitUse {
  /** copies that there were, and those that were begun */
  readonly total: number;
  readonly used: number;
  /** weeks it lies on */
  readonly weeks: number;
  /** what a week of it cost, in its owner's money; null: the price is not known */
  readonly costAWeek: number | null;
  readonly currency: string;
  /** `kit/code` of what was loved, the most loved first */
  readonly loved: readonly string[];
}

/** Width and height of the card, mm. */
export const KIT_CARD = { width: 180, height: 112 } as const;
const MARGIN = 10;
const DOTS = 40;
const FACES = 7;
/** mm, of a loved sticker */
const FACE = { w: 20, h: 24 } as const;

/** A card of a kit to be given away: its colors, how much of it was used, what was loved. No week, no text, no day. */
export function kitCard(kit: Kit, use: KitUse, letters: Letters | null, pictureAt?: PictureAt): string {
  const { width, height } = KIT_CARD;
  const colors = palette(kit, 7);
  const pieces = new Map(kit.pieces.map((p) => [pieceKey(p), p]));
  const loved = use.loved.flatMap((key) => pieces.get(key) ?? []).slice(0, FACES);
  const raised = Math.round((DOTS * use.used) / Math.max(1, use.total));
  const swatch = (color: string, i: number) =>
    `<rect x="${num(MARGIN + i * 13)}" y="31" width="11" height="11" rx="2" fill="${color}" stroke="#0002" stroke-width=".2"/>`;
  const dot = (i: number) =>
    `<circle cx="${num(MARGIN + 2 + (i % 20) * 4.4)}" cy="${num(53 + Math.floor(i / 20) * 4.6)}" r="1.6" ${i < raised ? 'fill="#17443F"' : 'fill="#F7F5F0" stroke="#B9B3A6" stroke-width=".3"'}/>`;
  const cost = use.costAWeek === null ? [] : [`${use.currency}${use.costAWeek.toFixed(2)} a week`];
  const numbers = [
    `${use.used} of ${use.total} stickers used`,
    `${use.total - use.used} left`,
    use.weeks === 1 ? '1 week' : `${use.weeks} weeks`,
    ...cost,
  ];
  const svg = `<svg xmlns="http://www.w3.org/2000/svg" width="${width}mm" height="${height}mm" viewBox="0 0 ${width} ${height}"><rect width="${width}" height="${height}" rx="5" fill="#FFFDF9" stroke="#DED9CC" stroke-width=".5"/><text x="${MARGIN}" y="22" font-family="Fraunces" font-size="10" fill="#17443F">${esc(calledName(kit))}</text>${colors.map(swatch).join('')}${Array.from({ length: DOTS }, (_, i) => dot(i)).join('')}${numbers.map((line, i) => `<text x="112" y="${num(37 + i * 7)}" font-family="Figtree" font-size="4.6" fill="#1F2423">${esc(line)}</text>`).join('')}${loved.length ? `<text x="${MARGIN}" y="71" font-family="Figtree" font-size="4" fill="#5C635F">loved</text>` : ''}${loved.map((p, i) => face(p, i, pictureAt)).join('')}</svg>`;
  return letters ? lettersAsPaths(svg, letters) : svg;
}

/** A sticker, as large as its place allows and no larger than it is. */
function face(piece: Piece, i: number, pictureAt?: PictureAt): string {
  const scale = Math.min(1, FACE.w / piece.width, FACE.h / piece.height);
  const [w, h] = [piece.width * scale, piece.height * scale];
  const x = MARGIN + i * (FACE.w + 3) + (FACE.w - w) / 2;
  const y = 75 + (FACE.h - h) / 2;
  return `<svg x="${num(x)}" y="${num(y)}" width="${num(w)}" height="${num(h)}" viewBox="0 0 ${num(piece.width)} ${num(piece.height)}">${drawPiece(piece, `card${i}`, pictureAt)}</svg>`;
}
