import { dilated } from './dilated';
import type { Marks } from './marks';
import { leastUnlike } from './marks';
import type { Part } from './parts';
import { partsOf } from './parts';
import { textLines } from './text-lines';

/** What lies on the backing: 1 where a sticker is; stickers that touch are one part. */
export interface Blobs {
  readonly width: number;
  readonly height: number;
  readonly labels: Int32Array;
  readonly parts: readonly Part[];
}

/** Gaps in a cut line up to twice this are closed, mm. */
const CLOSED = 0.2;
/** And between two prints, mm: they end at the knife's line, or a little beyond it, and that is whole. */
const BETWEEN = 0.1;
/** What is thinner is a line on the backing, not a sticker, mm. */
const THIN = 0.7;
/** A tip is given back so far, mm. */
const TIP = 1;
/** What stands alone on the backing and is smaller is dust, mm. */
const SPECK = 1.4;
/** What is smaller is the punched hole of a sheet, mm of its longer and its shorter side. */
const SMALLEST = [3.5, 2.5] as const;

/** Such a pocket is so large, mm², fills no more of its rectangle, and is not alone. */
const POCKET = [1, 60] as const;
const HOLLOW = 0.55;
const POCKETS = 3;
/** So much of its rim may look like a knife's line. */
const LINED = 0.3;
/** Print lies so near to it, mm. */
const AROUND = 0.2;

/** @param scale pixels a millimeter */
export function isLargeEnough({ x0, y0, x1, y1 }: Omit<Part, 'label' | 'count'>, scale: number): boolean {
  const [w, h] = [(x1 - x0 + 1) / scale, (y1 - y0 + 1) / scale];
  return Math.max(w, h) >= SMALLEST[0] && Math.min(w, h) >= SMALLEST[1];
}

/**
 * Tells stickers from the backing: backing is what is reached from the sheet's rim without stepping over anything that
 * looks different or over a fine line. So a white sticker on white backing is found by the line that the knife left.
 * @param grain of the backing
 * @param scale pixels a millimeter
 */
export function blobsOf({ width, height, unlike, line }: Marks, grain: number, scale: number): Blobs {
  const n = width * height;
  const differs = leastUnlike(grain);
  const cut = Math.max(1.5, grain * 1.6);
  const wall = new Uint8Array(n);
  for (let i = 0; i < n; i++) wall[i] = (unlike[i] as number) > differs || (line[i] as number) > cut ? 1 : 0;
  const rim = Math.round(0.7 * scale);
  clearRim(wall, width, height, rim);
  clearSpecks(wall, width, height, SPECK * scale);
  const ink = wall.map((on, i) => (on && (unlike[i] as number) > differs ? 1 : 0));
  const outside = reached(wall, ink, width, height, scale);
  const inside = without(outside);
  clearText(inside, width, height, scale);
  clearPockets(inside, wall, ink, width, height, scale);
  const solid = opened(inside, width, height, (THIN * scale) / 2);
  const { labels, parts: cores } = partsOf(solid, width, height);
  // into what looks different only: a narrow gap that was closed is no tip
  const printed = new Uint8Array(n);
  for (let i = 0; i < n; i++) printed[i] = inside[i] && (unlike[i] as number) > differs ? 1 : 0;
  const parts = grown(labels, cores, printed, width, height, Math.round(TIP * scale));
  return { width, height, labels, parts: parts.filter((p) => isLargeEnough(p, scale)) };
}

/** Gives each part back the tips that were too thin, step by step from its rim. */
function grown(
  labels: Int32Array,
  parts: readonly Part[],
  inside: Uint8Array,
  width: number,
  height: number,
  steps: number,
): Part[] {
  const out = parts.map((p) => ({ ...p }));
  const free = (j: number): boolean => inside[j] === 1 && labels[j] === 0;
  let front: number[] = [];
  for (let y = 1; y < height - 1; y++)
    for (let x = 1; x < width - 1; x++) {
      const i = y * width + x;
      if (labels[i] && (free(i - 1) || free(i + 1) || free(i - width) || free(i + width))) front.push(i);
    }
  for (let step = 0; step < steps && front.length; step++) {
    const next: number[] = [];
    for (const i of front)
      for (const j of [i - 1, i + 1, i - width, i + width]) {
        if (j < 0 || j >= labels.length || !inside[j] || labels[j]) continue;
        labels[j] = labels[i] as number;
        next.push(j);
        const p = out[labels[j] - 1] as { -readonly [K in keyof Part]: Part[K] };
        const [x, y] = [j % width, (j / width) | 0];
        p.count++;
        if (x < p.x0) p.x0 = x;
        if (x > p.x1) p.x1 = x;
        if (y < p.y0) p.y0 = y;
        if (y > p.y1) p.y1 = y;
      }
    front = next;
  }
  return out;
}

/** The sheet's own edge casts a line: nothing is read from it. */
function clearRim(set: Uint8Array, width: number, height: number, rim: number): void {
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++)
      if (x < rim || y < rim || x >= width - rim || y >= height - rim) set[y * width + x] = 0;
}

/** Paper between round stickers whose prints touch is closed in by them; it has hollow sides, and is none of theirs. */
function clearPockets(
  inside: Uint8Array,
  wall: Uint8Array,
  ink: Uint8Array,
  width: number,
  height: number,
  scale: number,
): void {
  const bare = inside.map((on, i) => (on && !wall[i] ? 1 : 0));
  const { labels, parts } = partsOf(bare, width, height);
  const pockets = parts.filter(({ count, x0, y0, x1, y1 }) => {
    const area = count / scale ** 2;
    return area > POCKET[0] && area < POCKET[1] && count < HOLLOW * (x1 - x0 + 1) * (y1 - y0 + 1);
  });
  if (pockets.length < POCKETS) return;
  // what the knife's line closes in is white paper of a sticker: a line is thin
  const thick = dilated(opened(ink, width, height, (THIN * scale) / 2), width, height, AROUND * scale);
  const [rims, lined] = [new Map<number, number>(), new Map<number, number>()];
  for (let i = width; i < inside.length - width; i++)
    for (const j of wall[i] ? [i - 1, i + 1, i - width, i + width] : []) {
      const label = labels[j] as number;
      if (!label) continue;
      rims.set(label, (rims.get(label) ?? 0) + 1);
      if (!thick[i]) lined.set(label, (lined.get(label) ?? 0) + 1);
    }
  const isLined = ({ label }: Part): boolean => (lined.get(label) ?? 0) > LINED * (rims.get(label) ?? 0);
  const are = new Set(pockets.filter((p) => !isLined(p)).map((p) => p.label));
  if (are.size < POCKETS) return;
  for (let i = 0; i < inside.length; i++) if (are.has(labels[i] as number)) inside[i] = 0;
}

/** Letters on the paper are no stickers. */
function clearText(inside: Uint8Array, width: number, height: number, scale: number): void {
  const { labels, parts } = partsOf(inside, width, height);
  const text = textLines(parts, { labels, width }, scale);
  if (text.size) for (let i = 0; i < inside.length; i++) if (text.has(labels[i] as number)) inside[i] = 0;
}

/** Dust bars no way. */
function clearSpecks(set: Uint8Array, width: number, height: number, size: number): void {
  const { labels, parts } = partsOf(set, width, height);
  const specks = new Uint8Array(parts.length + 1);
  for (const p of parts) if (p.x1 - p.x0 < size && p.y1 - p.y0 < size) specks[p.label] = 1;
  for (let i = 0; i < set.length; i++) if (specks[labels[i] as number]) set[i] = 0;
}

/**
 * What is reached from the rim by a disc that touches no wall: a small one between prints, which may lie near one
 * another, a larger one past the knife's line, which is broken here and there.
 */
function reached(wall: Uint8Array, ink: Uint8Array, width: number, height: number, scale: number): Uint8Array {
  const radius = CLOSED * scale;
  const barred = dilated(ink, width, height, BETWEEN * scale);
  const lines = dilated(wall.map((on, i) => (on && !ink[i] ? 1 : 0)), width, height, radius); // prettier-ignore
  for (let i = 0; i < barred.length; i++) if (lines[i]) barred[i] = 1;
  const { labels } = partsOf(without(barred), width, height);
  // the outermost pixels are open all round, so that all that is reached from them is one part
  const core = new Uint8Array(wall.length);
  for (let i = 0; i < core.length; i++) core[i] = labels[i] === labels[0] ? 1 : 0;
  const out = dilated(core, width, height, radius + 0.5);
  for (let i = 0; i < out.length; i++) if (wall[i]) out[i] = 0;
  return out;
}

/** What is left of a set after all that is thinner than a disc of the radius (px) is taken away. */
function opened(set: Uint8Array, width: number, height: number, radius: number): Uint8Array {
  const core = without(dilated(without(set), width, height, radius));
  return dilated(core, width, height, radius);
}

/** All that is not in a set. */
function without(set: Uint8Array): Uint8Array {
  const out = new Uint8Array(set.length);
  for (let i = 0; i < set.length; i++) out[i] = set[i] ? 0 : 1;
  return out;
}
