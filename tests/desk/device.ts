/**
 * What takes a desk's pictures: a flatbed with a lid of some color, or a phone held over a table. Light has a color and
 * falls off, a lens bends, paper has grain, the sheet throws a shadow. Made apart from demo/scanner-service.
 */
import sharp from 'sharp';
import { hashOf, randomFrom } from '../../src/core/measure/random';
import type { Homography, Point, Quad } from '../../src/core/scan/homography';
import { homography, mapped } from '../../src/core/scan/homography';
import type { Raster } from '../../src/core/scan/raster';
import type { DeskSheet } from './sheets';

type Rgb = readonly [number, number, number];
/** What lies behind the sheet at a place of its plane, mm; 0-255. */
type Table = (x: number, y: number) => Rgb;

interface Way {
  readonly dpi: number;
  readonly table: (seed: number) => Table;
  /** mm of table around */
  readonly around: number;
  /** degrees, and share by which the far side looks shorter */
  readonly askew: number;
  readonly slope: number;
  /** gains of red, green and blue; and how much of the light is lost at the far corner, and at the rim by the lens */
  readonly light: Rgb;
  readonly fall: number;
  readonly rim: number;
  /** of a lens, at the picture's corner */
  readonly bow: number;
  readonly noise: number;
  readonly jpeg: number;
  /** mm that the edges of things are soft over */
  readonly soft: number;
  readonly shadow: number;
  readonly quarterTurns: number;
  readonly hairs: number;
}

/** Smooth noise over the plane: between the values at whole places. Source: value noise, from memory. */
function noiseOf(seed: number): (x: number, y: number) => number {
  const at = (i: number, j: number): number => {
    let h = Math.imul(i, 374761393) ^ Math.imul(j, 668265263) ^ Math.imul(seed, 974634541);
    h = Math.imul(h ^ (h >>> 13), 1274126177);
    return ((h ^ (h >>> 16)) >>> 0) / 4294967296;
  };
  const ease = (t: number): number => t * t * (3 - 2 * t);
  return (x, y) => {
    const [i, j] = [Math.floor(x), Math.floor(y)];
    const [u, v] = [ease(x - i), ease(y - j)];
    const up = at(i, j) * (1 - u) + at(i + 1, j) * u;
    const low = at(i, j + 1) * (1 - u) + at(i + 1, j + 1) * u;
    return up * (1 - v) + low * v;
  };
}

const lid =
  (color: Rgb) =>
  (seed: number): Table => {
    const cloud = noiseOf(seed);
    return (x, y) => color.map((c) => c + 3 * (cloud(x / 40, y / 40) - 0.5)) as unknown as Rgb;
  };
const wood = (seed: number): Table => {
  const [grain, fine, wave] = [noiseOf(seed), noiseOf(seed + 1), noiseOf(seed + 2)];
  return (x, y) => {
    const ring = Math.sin((y + 6 * wave(x / 60, y / 30)) / 2.1);
    const k = 0.82 + 0.1 * ring + 0.16 * (grain(x / 30, y / 0.9) - 0.5) + 0.1 * (fine(x / 4, y / 0.35) - 0.5);
    return [156 * k, 112 * k, 76 * k];
  };
};
const marble = (seed: number): Table => {
  const [cloud, vein] = [noiseOf(seed), noiseOf(seed + 1)];
  return (x, y) => {
    const turbulent = cloud(x / 18, y / 18) + cloud(x / 7, y / 7) / 2 + cloud(x / 3, y / 3) / 4;
    const line = Math.abs(Math.sin((x + 0.6 * y) / 26 + 3.4 * turbulent));
    const k = 233 - 14 * (vein(x / 25, y / 25) - 0.3) - 62 * Math.exp(-line * 9);
    return [k, k * 0.995, k * 0.985];
  };
};
const mat = (): Table => (x, y) => {
  const line = (n: number, every: number, wide: number): boolean => Math.abs(n - every * Math.round(n / every)) < wide;
  if (line(x, 50, 0.25) || line(y, 50, 0.25)) return [214, 226, 210];
  return line(x, 10, 0.12) || line(y, 10, 0.12) ? [150, 182, 158] : [52, 104, 84];
};

const bed: Way = {
  dpi: 300,
  table: lid([52, 53, 55]),
  around: 9,
  askew: 1.2,
  slope: 0,
  light: [1, 1, 1],
  fall: 0.02,
  rim: 0,
  bow: 0,
  noise: 1.6,
  jpeg: 90,
  soft: 0.05,
  shadow: 0.5,
  quarterTurns: 0,
  hairs: 1,
};
const phone: Way = {
  ...bed,
  dpi: 260,
  table: wood,
  around: 22,
  askew: 4,
  slope: 0.08,
  light: [1.04, 0.97, 0.84],
  fall: 0.2,
  rim: 0.14,
  bow: 0.012,
  noise: 3.4,
  jpeg: 85,
  soft: 0.09,
  shadow: 1.6,
  hairs: 0,
};

export const DEVICES: Readonly<Record<string, Way>> = {
  'flatbed, dark lid': bed,
  'flatbed, white lid': { ...bed, table: lid([238, 239, 240]) },
  'flatbed, gray lid': { ...bed, table: lid([222, 222, 219]), jpeg: 80 },
  'flatbed, 150 dpi': { ...bed, dpi: 150, jpeg: 75, soft: 0.08 },
  'flatbed, 200 dpi': { ...bed, dpi: 200, jpeg: 75, table: lid([120, 122, 125]) },
  'flatbed, cropped': { ...bed, around: 0, askew: 0 },
  'phone, wood, warm light': phone,
  'phone, marble': { ...phone, table: marble, light: [0.97, 1, 1.03] },
  'phone, cutting mat': { ...phone, table: mat, light: [1.02, 1, 0.93] },
  'phone, white table': { ...phone, table: lid([236, 234, 230]), light: [1.03, 0.99, 0.9] },
  'phone, sideways': { ...phone, quarterTurns: 1, light: [1.05, 0.98, 0.8] },
  'shop picture': { ...bed, around: 0, askew: 0, noise: 0, hairs: 0, jpeg: 88, soft: 0.03 },
};

/** A picture and where the sheet's corners really are in it, px; the first is the sheet's own top left. */
export interface DeskShot {
  readonly bytes: Buffer;
  readonly corners: Quad;
  readonly isPhone: boolean;
}

const MM = 25.4;

/** The sheet without any device, RGB. @param dpi of the drawing */
export async function printed({ svg, width, height }: DeskSheet, dpi: number) {
  const w = Math.round((width * dpi) / MM);
  const h = Math.round((height * dpi) / MM);
  const { data } = await sharp(Buffer.from(svg), { density: dpi, unlimited: true })
    .resize(w, h, { fit: 'fill' })
    .removeAlpha()
    .raw()
    .toBuffer({ resolveWithObject: true });
  return { data, width: w, height: h };
}

/**
 * Takes a sheet's picture.
 * @throws RangeError for a device that is not there
 */
export async function taken(sheet: DeskSheet, device: string): Promise<DeskShot> {
  const way = new Map(Object.entries(DEVICES)).get(device);
  if (!way) throw new RangeError(`no such device: ${device}`);
  const r = randomFrom(hashOf(`${sheet.name} ${device}`));
  const paper = await printed(sheet, 400);
  const perMm = way.dpi / MM;
  const [width, height] = [sheet.width + 2 * way.around, sheet.height + 2 * way.around].map((mm) =>
    Math.round(mm * perMm),
  ) as [number, number];
  const corners = cornersOf(sheet, way, width, height, r);
  const { width: w, height: h } = sheet;
  const flat: Quad = [
    { x: 0, y: 0 },
    { x: w, y: 0 },
    { x: w, y: h },
    { x: 0, y: h },
  ];
  const out = exposed(sheet, paper, way, homography(corners, flat), width, height, r);
  const straight = sharp(out, { raw: { width, height, channels: 3 } }).blur(Math.max(0.3, way.soft * perMm));
  const lined = await straight.raw().toBuffer();
  grained(lined, way.noise, r);
  for (let i = 0; i < way.hairs * 3; i++) hair(lined, width, height, r);
  const done = sharp(lined, { raw: { width, height, channels: 3 } }).rotate(90 * way.quarterTurns);
  const bytes = await done.withMetadata({ density: way.dpi }).jpeg({ quality: way.jpeg }).toBuffer();
  const bent = corners.map((c) => bowed(c, way.bow, width, height)) as unknown as Quad;
  const turned = way.quarterTurns ? (bent.map(({ x, y }) => ({ x: height - y, y: x })) as unknown as Quad) : bent;
  return { bytes, corners: turned, isPhone: way.bow > 0 };
}

/** Where the corners would be without the lens's bow, px. */
function cornersOf(
  { width: w, height: h }: DeskSheet,
  { dpi, askew, slope }: Way,
  width: number,
  height: number,
  r: () => number,
): Quad {
  const turn = ((2 * r() - 1) * askew * Math.PI) / 180;
  const [sx, sy] = [(2 * r() - 1) * slope, (2 * r() - 1) * slope];
  const k = (dpi / MM) * (1 - 0.3 * slope);
  return (
    [
      [-1, -1],
      [1, -1],
      [1, 1],
      [-1, 1],
    ] as const
  ).map(([i, j]) => {
    const depth = 1 + (sx * i + sy * j) / 2;
    const [x, y] = [(i * w * k) / 2 / depth, (j * h * k) / 2 / depth];
    return {
      x: width / 2 + x * Math.cos(turn) - y * Math.sin(turn),
      y: height / 2 + x * Math.sin(turn) + y * Math.cos(turn),
    };
  }) as unknown as Quad;
}

/** Where a lens puts a point: nearer to the middle the farther out it is. Source: Brown's radial model, one term. */
function bowed({ x, y }: Point, bow: number, width: number, height: number): Point {
  const far = Math.hypot(width, height) / 2;
  const [dx, dy] = [x - width / 2, y - height / 2];
  const k = 1 - bow * ((dx * dx + dy * dy) / (far * far));
  return { x: width / 2 + dx * k, y: height / 2 + dy * k };
}

/** The light that comes to each pixel. */
function exposed(
  sheet: DeskSheet,
  paper: { data: Buffer; width: number; height: number },
  way: Way,
  back: Homography,
  width: number,
  height: number,
  r: () => number,
): Buffer {
  const out = Buffer.alloc(width * height * 3);
  const table = way.table(Math.floor(r() * 1e6));
  const fiber = noiseOf(Math.floor(r() * 1e6));
  const from = r() * 2 * Math.PI;
  const [fx, fy] = [Math.cos(from), Math.sin(from)];
  const far = Math.hypot(width, height) / 2;
  const per = [paper.width / sheet.width, paper.height / sheet.height] as const;
  for (let y = 0, o = 0; y < height; y++)
    for (let x = 0; x < width; x++, o += 3) {
      const [dx, dy] = [(x - width / 2) / far, (y - height / 2) / far];
      const out2 = dx * dx + dy * dy;
      // what the lens bent is looked up where it came from
      const k = 1 + way.bow * out2;
      const at = mapped(back, { x: width / 2 + dx * far * k, y: height / 2 + dy * far * k });
      const on = at.x >= 0 && at.y >= 0 && at.x < sheet.width && at.y < sheet.height;
      const dark = 1 - way.fall * (0.5 + (fx * dx + fy * dy) / 2) - way.rim * out2;
      // the bulb is warmer where it is near
      const warm = 1 + (way.bow ? 0.03 : 0) * (fx * dx + fy * dy);
      const color = on ? inked(paper, at.x * per[0], at.y * per[1]) : table(at.x, at.y);
      const shade = on ? 1 + 0.012 * (fiber(at.x * 5, at.y * 5) - 0.5) : 1 - shadowAt(at, sheet, way.shadow, fx, fy);
      for (let c = 0; c < 3; c++) {
        const gain = (way.light[c] as number) * (c === 2 ? 2 - warm : warm);
        out[o + c] = Math.min(255, Math.max(0, (color[c] as number) * dark * shade * gain));
      }
    }
  return out;
}

/** The sheet's shadow on what is behind it: on the side away from the light, soft. @param long mm */
function shadowAt({ x, y }: Point, { width, height }: DeskSheet, long: number, fx: number, fy: number): number {
  const [px, py] = [x + 0.35 * long * fx, y + 0.35 * long * fy];
  const dx = Math.max(0, -px, px - width);
  const dy = Math.max(0, -py, py - height);
  return 0.38 * Math.exp(-Math.hypot(dx, dy) / (0.45 * long));
}

const four: [number, number, number] = [0, 0, 0];
function inked({ data, width, height }: { data: Buffer; width: number; height: number }, x: number, y: number): Rgb {
  const [u, v] = [Math.min(width - 2, Math.max(0, x - 0.5)), Math.min(height - 2, Math.max(0, y - 0.5))];
  const [i, j] = [Math.floor(u), Math.floor(v)];
  const [s, t] = [u - i, v - j];
  for (let c = 0; c < 3; c++) {
    const p = (j * width + i) * 3 + c;
    const q = p + width * 3;
    four[c] =
      ((data[p] as number) * (1 - s) + (data[p + 3] as number) * s) * (1 - t) +
      ((data[q] as number) * (1 - s) + (data[q + 3] as number) * s) * t;
  }
  return four;
}

/** Noise of light: more where there is more of it, coarser in dim channels. Uniform sums for a normal, from memory. */
function grained(data: Buffer, noise: number, r: () => number): void {
  if (!noise) return;
  const some = Float32Array.from({ length: 65_521 }, () => (r() + r() + r() + r() - 2) * 1.73);
  let k = Math.floor(r() * some.length);
  for (let i = 0; i < data.length; i++) {
    if (i % 9973 === 0) k = (k + 3571) % some.length;
    const value = data[i] as number;
    const grain = (some[k] as number) * noise * (0.5 + 0.5 * Math.sqrt(value / 255));
    data[i] = Math.min(255, Math.max(0, value + grain));
    k = k + 1 === some.length ? 0 : k + 1;
  }
}

/** A hair on the glass. */
function hair(data: Buffer, width: number, height: number, r: () => number): void {
  let [x, y, way] = [r() * width, r() * height, r() * 7];
  for (let step = 0; step < 90; step++) {
    way += (r() - 0.5) * 0.35;
    x += Math.cos(way);
    y += Math.sin(way);
    if (x < 0 || y < 0 || x >= width || y >= height) return;
    const i = (Math.floor(y) * width + Math.floor(x)) * 3;
    for (let c = 0; c < 3; c++) data[i + c] = (data[i + c] as number) * 0.62;
  }
}

export async function asRaster(bytes: Buffer): Promise<Raster> {
  const { data, info } = await sharp(bytes).ensureAlpha().raw().toBuffer({ resolveWithObject: true });
  return { width: info.width, height: info.height, data };
}
