import { alongEdges } from './along-edges';
import { cardAmong } from './bank-card';
import { besideOf } from './beside-sheet';
import { areaOf, fourCorners, inOrder } from './four-corners';
import type { Point, Quad } from './homography';
import { isSheet, sheetByEdges } from './sheet-by-edges';
import { hullOf } from './hull';
import type { LabPlanes } from './lab-planes';
import { labPlanes } from './lab-planes';
import type { Raster } from './raster';
import { shrunk } from './raster';
import type { Part } from './parts';
import { partsOf } from './parts';

/** Where the sheet lies in a picture. */
export interface FoundSheet {
  /** its corners, px of the picture */
  readonly corners: Quad;
  /** false: no sheet could be told from what is behind it, so that the picture is taken for the sheet */
  readonly sure: boolean;
  /** corners of a bank card that lies beside it, px */
  readonly card: Quad | null;
}

/** The picture is looked at so small, px of its longer side. */
const LOOKED_AT = 640;
/** Less of the picture is no sheet; more of it is the whole picture. */
const LEAST = 0.12;
const MOST = 0.985;
/** What lies beside it and is smaller is dust, a pencil's end, a crumb. */
const LEAST_BESIDE = 0.02;
const MOST_LAID = 6;

interface Laid {
  readonly count: number;
  readonly rim: readonly Point[];
}

/**
 * Finds the corners of a sheet that lies on a table or on a scanner's glass: what is like the picture's rim, and hangs
 * together with it, is behind the sheet; the rest is brought down to the four corners of its hull, and each side is
 * laid anew through the steps of light that are found along it. Where that is no sheet, as on a lid as white as it is,
 * its edges are looked for.
 */
export function findSheet(picture: Raster): FoundSheet {
  const by = Math.max(1, Math.ceil(Math.max(picture.width, picture.height) / LOOKED_AT));
  const small = labPlanes(shrunk(picture, by));
  const whole: FoundSheet = {
    corners: [
      { x: 0, y: 0 },
      { x: picture.width, y: 0 },
      { x: picture.width, y: picture.height },
      { x: 0, y: picture.height },
    ],
    sure: false,
    card: null,
  };
  const all = small.width * small.height;
  const [sheet, ...others] = laid(notBehind(small), small.width, small.height);
  const back = (corners: readonly Point[]): Quad =>
    inOrder(corners.map(({ x, y }) => ({ x: (x + 0.5) * by, y: (y + 0.5) * by })) as unknown as Quad);
  const fine = (thing: Laid): Quad | null => {
    const rough = fourCorners(hullOf(thing.rim));
    if (!rough || areaOf(rough) < thing.count * 0.85 || areaOf(rough) > thing.count * 1.25) return null;
    return alongEdges(picture, back(rough), by * 3);
  };
  const apart = sheet && sheet.count > LEAST * all && sheet.count < MOST * all ? fine(sheet) : null;
  const looked = apart && (apart.map(({ x, y }) => ({ x: x / by - 0.5, y: y / by - 0.5 })) as unknown as Quad);
  const beside = besideOf(small);
  const isApart = looked !== null && isSheet(small, looked, beside);
  // edges are looked for where what is behind the sheet does not part from it: that takes longer
  const edges = isApart ? null : sheetByEdges(small, beside);
  // what is dark or colored all round is no sheet's margin, whatever lies on it
  const corners = edges ? closer(picture, back(edges.corners), by) : isApart || isDark(small) ? apart : null;
  if (!corners) return whole;
  const things = others
    .filter((o) => o.count > LEAST_BESIDE * all)
    .map(fine)
    .filter((quad) => quad !== null);
  return { corners, sure: true, card: cardAmong(things, corners) };
}

/** Paper is lighter, and paler, CIELAB. */
const DARK = 78;
const COLORED = 18;

function isDark(small: LabPlanes): boolean {
  const { ml, ma, mb } = rimOf(small);
  return ml < DARK || Math.hypot(ma, mb) > COLORED;
}

/** Sides that were told roughly, laid anew twice. */
const closer = (picture: Raster, rough: Quad, by: number): Quad =>
  alongEdges(picture, alongEdges(picture, rough, by * 5), by * 3);

/** The rim's color, and how far it strays from that. */
function rimOf({ width, height, l, a, b }: LabPlanes) {
  const rim: number[] = [];
  for (let x = 0; x < width; x++) rim.push(x, width + x, (height - 1) * width + x, (height - 2) * width + x);
  for (let y = 0; y < height; y++) rim.push(y * width, y * width + 1, y * width + width - 1, y * width + width - 2);
  const middle = (plane: Float32Array) =>
    rim.map((i) => plane[i] as number).sort((p, q) => p - q)[rim.length >> 1] as number;
  const [ml, ma, mb] = [middle(l), middle(a), middle(b)];
  const far = rim
    .map((i) => Math.hypot((l[i] as number) - ml, (a[i] as number) - ma, (b[i] as number) - mb))
    .sort((p, q) => p - q);
  return { rim, ml, ma, mb, spread: far[Math.floor(far.length * 0.8)] as number };
}

/** 1 where a pixel does not belong to what is behind the sheet. */
function notBehind(planes: LabPlanes): Uint8Array {
  const { width, height, l, a, b } = planes;
  const { rim, ml, ma, mb, spread } = rimOf(planes);
  const limit = Math.min(30, Math.max(9, spread * 2.5));
  const on = new Uint8Array(width * height).fill(1);
  const like = (i: number): boolean => {
    const dl = ((l[i] as number) - ml) * 0.8; // light changes over a table more than its color does
    return Math.hypot(dl, (a[i] as number) - ma, (b[i] as number) - mb) < limit;
  };
  const queue = new Int32Array(width * height);
  let end = 0;
  for (const i of rim)
    if (on[i] && like(i)) {
      on[i] = 0;
      queue[end++] = i;
    }
  for (let at = 0; at < end; at++) {
    const i = queue[at] as number;
    const x = i % width;
    for (const j of [x > 0 ? i - 1 : -1, x < width - 1 ? i + 1 : -1, i - width, i + width])
      if (j >= 0 && j < on.length && on[j] && like(j)) {
        on[j] = 0;
        queue[end++] = j;
      }
  }
  return on;
}

/** What lies there, the largest first. */
function laid(on: Uint8Array, width: number, height: number): Laid[] {
  const { labels, parts } = partsOf(on, width, height);
  return [...parts]
    .sort((p, q) => q.count - p.count)
    .slice(0, MOST_LAID)
    .map((part) => ({ count: part.count, rim: rimOfPart(part, labels, width) }));
}

function rimOfPart({ label, y0, y1 }: Part, labels: Int32Array, width: number): Point[] {
  const rim: Point[] = [];
  for (let y = y0; y <= y1; y++) {
    let [first, last] = [-1, -1];
    for (let x = 0; x < width; x++)
      if (labels[y * width + x] === label) {
        if (first < 0) first = x;
        last = x;
      }
    if (first >= 0) rim.push({ x: first, y }, { x: last, y });
  }
  return rim;
}
