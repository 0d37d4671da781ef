import sharp from 'sharp';
import { randomFrom } from '../../src/core/measure/random';
import { PAPER } from '../../src/core/measure/paper';
import type { Homography, Quad } from '../../src/core/scan/homography';
import { homography, mapped } from '../../src/core/scan/homography';
import type { PrintedSheet } from './sheet';
import { sheetSvg } from './sheet';

/** The knobs of the simulated device. */
export interface Knobs {
  readonly device: 'flatbed' | 'phone';
  /** dots per inch; of a phone: about how many fall on an inch of the sheet */
  readonly dpi: number;
  /** degrees that the sheet lies askew */
  readonly tilt: number;
  /** how far the phone was held from straight above: share of the sheet's width that its far edge looks shorter */
  readonly perspective: number;
  /** share of light that is lost from one corner to the other */
  readonly shadow: number;
  /** standard deviation of each channel, 0-255 */
  readonly noise: number;
  /** JPEG quality; 0: PNG */
  readonly jpeg: number;
  /** glare: share of the sheet's width that a white spot takes */
  readonly glare: number;
  readonly dust: number;
  /** 1: a bank card lies beside the sheet */
  readonly card: number;
  /** what is behind the sheet */
  readonly behind: readonly [number, number, number];
  readonly seed: number;
}

export const FLATBED: Knobs = {
  device: 'flatbed', dpi: 300, tilt: 0.8, perspective: 0, shadow: 0.03, noise: 2, jpeg: 92, glare: 0, dust: 10, card: 0, behind: [58, 60, 62], seed: 1,
}; // prettier-ignore
export const PHONE: Knobs = {
  ...FLATBED, device: 'phone', dpi: 280, tilt: 2.5, perspective: 0.06, shadow: 0.14, noise: 4, jpeg: 86, behind: [96, 72, 52],
}; // prettier-ignore

/** A picture with its truth: where each corner of the sheet is in it, px. */
export interface Shot {
  readonly bytes: Buffer;
  readonly type: 'image/jpeg' | 'image/png';
  readonly width: number;
  readonly height: number;
  readonly corners: Quad;
  /** the corners that the sides of the card meet in; null: none lies there */
  readonly card: Quad | null;
}

const MM = 25.4;

/** A sheet drawn as it was printed, without any device between. RGB, three bytes a pixel. */
export async function drawn(
  sheet: PrintedSheet,
  dpi: number,
): Promise<{ data: Buffer; width: number; height: number }> {
  const width = Math.round((sheet.width * dpi) / MM);
  const { data, info } = await sharp(Buffer.from(sheetSvg(sheet)), {
    density: dpi,
    limitInputPixels: false,
    unlimited: true,
  })
    .resize(width, Math.round((sheet.height * dpi) / MM), { fit: 'fill' })
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: info.width, height: info.height };
}

/** Lays a sheet before the device and takes its picture. */
export async function scanned(sheet: PrintedSheet, knobs: Knobs): Promise<Shot> {
  const { dpi, seed } = knobs;
  const paper = await drawn(sheet, dpi);
  const random = randomFrom(seed);
  const border = Math.round((knobs.device === 'phone' ? 18 : 6) * (dpi / MM));
  const card = knobs.card ? cardBeside(paper.width, dpi) : null;
  const width = paper.width + 2 * border + (card ? Math.ceil(card.w + card.gap) : 0);
  const height = paper.height + 2 * border;
  const corners = askew(paper.width, paper.height, border, knobs);
  const flat = cornersOf({ x: 0, y: 0, w: paper.width, h: paper.height });
  const back = homography(corners, flat);
  const out = Buffer.alloc(width * height * 3);
  const glare = { x: width * (0.3 + 0.4 * random()), y: height * (0.3 + 0.4 * random()), r: knobs.glare * width };
  const grain = grainOf(random, knobs.noise);
  const seen: [number, number, number] = [0, 0, 0];
  const wood = knobs.device === 'phone' ? 6 : 0;
  for (let y = 0, o = 0, g = Math.floor(random() * grain.length); y < height; y++)
    for (let x = 0; x < width; x++, o += 3, g += 3) {
      const light = 1 - knobs.shadow * ((x / width + y / height) / 2);
      const near = glare.r && Math.hypot(x - glare.x, y - glare.y) / glare.r;
      const shine = glare.r && near < 1 ? (1 - near) ** 2 * 90 : 0;
      const w = back[6] * x + back[7] * y + back[8];
      const u = (back[0] * x + back[1] * y + back[2]) / w;
      const v = (back[3] * x + back[4] * y + back[5]) / w;
      const on = u >= 0 && v >= 0 && u < paper.width - 1 && v < paper.height - 1;
      const inked = !on && card ? cardAt(card, u, v) : null;
      const behind = on ? 0 : wood * Math.sin(x / 9 + Math.sin(y / 40) * 2);
      if (on) sample(paper, u, v, seen);
      for (let c = 0; c < 3; c++) {
        const value = on ? (seen[c] as number) : inked ? (inked[c] as number) : (knobs.behind[c] as number) + behind;
        const lit = value * light + shine + (grain[(g + c) % grain.length] as number);
        out[o + c] = lit < 0 ? 0 : lit > 255 ? 255 : lit;
      }
    }
  for (let i = 0; i < knobs.dust; i++) speck(out, width, height, random, dpi);
  const raw = sharp(out, { raw: { width, height, channels: 3 } }).withMetadata({ density: dpi });
  const bytes = await (knobs.jpeg ? raw.jpeg({ quality: knobs.jpeg }) : raw.png()).toBuffer();
  return {
    bytes,
    type: knobs.jpeg ? 'image/jpeg' : 'image/png',
    width,
    height,
    corners,
    card: card && seenCorners(homography(flat, corners), card),
  };
}

/** A card beside the sheet, in the sheet's own px, a little askew. ISO/IEC 7810: ID-1, corners rounded by 3.18 mm. */
interface Card {
  readonly x: number;
  readonly y: number;
  readonly w: number;
  readonly h: number;
  readonly gap: number;
  readonly turn: number;
  readonly round: number;
}

function cardBeside(sheetWidth: number, dpi: number): Card {
  const px = (mm: number): number => (mm * dpi) / MM;
  const gap = px(9);
  return {
    x: sheetWidth + gap,
    y: px(20),
    w: px(PAPER.card.height),
    h: px(PAPER.card.width),
    gap,
    turn: 0.06,
    round: px(3.18),
  };
}

/** Where a point of the sheet's plane is on the card, from its corner. */
function onCard({ x, y, turn }: Card, u: number, v: number): { x: number; y: number } {
  const [dx, dy] = [u - x, v - y];
  return { x: dx * Math.cos(turn) + dy * Math.sin(turn), y: dy * Math.cos(turn) - dx * Math.sin(turn) };
}

/** The card's color there: a plain one with a dark band, as on its back; null beside it. */
function cardAt(card: Card, u: number, v: number): readonly [number, number, number] | null {
  const { x, y } = onCard(card, u, v);
  const { w, h, round } = card;
  if (x < 0 || y < 0 || x > w || y > h) return null;
  const [ex, ey] = [Math.max(0, round - Math.min(x, w - x)), Math.max(0, round - Math.min(y, h - y))];
  if (Math.hypot(ex, ey) > round) return null;
  return x > w * 0.14 && x < w * 0.36 ? [40, 40, 44] : [178, 196, 214];
}

const cornersOf = ({ x, y, w, h }: { x: number; y: number; w: number; h: number }): Quad => [
  { x, y },
  { x: x + w, y },
  { x: x + w, y: y + h },
  { x, y: y + h },
];

function seenCorners(there: Homography, { x, y, w, h, turn }: Card): Quad {
  const [cos, sin] = [Math.cos(turn), Math.sin(turn)];
  return cornersOf({ x: 0, y: 0, w, h }).map((p) =>
    mapped(there, { x: x + p.x * cos - p.y * sin, y: y + p.x * sin + p.y * cos }),
  ) as unknown as Quad;
}

/** Where the sheet's corners are in the picture. */
function askew(w: number, h: number, border: number, { tilt, perspective }: Knobs): Quad {
  const turn = (tilt * Math.PI) / 180;
  const center = { x: border + w / 2, y: border + h / 2 };
  const shrink = 1 - Math.min(0.02, Math.abs(Math.sin(turn)));
  const corner = (sx: number, sy: number) => {
    const narrow = sy < 0 ? 1 - perspective : 1;
    const x = sx * (w / 2) * narrow * shrink;
    const y = sy * (h / 2) * (1 - perspective * 0.4) * shrink;
    return {
      x: center.x + x * Math.cos(turn) - y * Math.sin(turn),
      y: center.y + x * Math.sin(turn) + y * Math.cos(turn),
    };
  };
  return [corner(-1, -1), corner(1, -1), corner(1, 1), corner(-1, 1)];
}

/** The three channels between four pixels. */
function sample({ data, width }: { data: Buffer; width: number }, x: number, y: number, into: number[]): void {
  const x0 = Math.floor(x);
  const y0 = Math.floor(y);
  const fx = x - x0;
  const fy = y - y0;
  for (let c = 0; c < 3; c++) {
    const i = (y0 * width + x0) * 3 + c;
    const above = (data[i] as number) * (1 - fx) + (data[i + 3] as number) * fx;
    const below = (data[i + width * 3] as number) * (1 - fx) + (data[i + width * 3 + 3] as number) * fx;
    into[c] = above * (1 - fy) + below * fy;
  }
}

function speck(out: Buffer, width: number, height: number, random: () => number, dpi: number): void {
  const r = Math.max(1, Math.round(((0.05 + random() * 0.15) * dpi) / MM));
  const [cx, cy] = [Math.floor(random() * width), Math.floor(random() * height)];
  const shade = random() < 0.5 ? 70 : 235;
  for (let y = Math.max(0, cy - r); y < Math.min(height, cy + r); y++)
    for (let x = Math.max(0, cx - r); x < Math.min(width, cx + r); x++)
      if (Math.hypot(x - cx, y - cy) <= r) out.fill(shade, (y * width + x) * 3, (y * width + x) * 3 + 3);
}

const GRAINS = 300_007;

/** Noise, drawn once and gone through over and over. Normal by Box and Muller (1958), from memory. */
function grainOf(random: () => number, deviation: number): Float32Array {
  const grain = new Float32Array(GRAINS);
  for (let i = 0; i < GRAINS; i++)
    grain[i] = deviation * Math.sqrt(-2 * Math.log(1 - random())) * Math.cos(2 * Math.PI * random());
  return grain;
}
