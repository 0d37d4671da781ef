import type { Blobs } from './blobs';
import { SMALLEST } from './blobs';
import type { LabPlanes } from './lab-planes';
import type { Marks } from './marks';
import type { Part } from './reach';

/** A sticker's share of a part: all of the part's pixels in a rectangle. Px, the last pixel included. */
export interface Share {
  readonly label: number;
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  /** edges that were laid by a cut line rather than by the backing beside it */
  readonly cut: { readonly left: boolean; readonly top: boolean; readonly right: boolean; readonly bottom: boolean };
}

/** No sticker is narrower, mm. */
const NARROWEST = 4.2;
/** So much of a cut must show its line. */
const SHOWN = 0.93;
/** So much of it by the line itself; where two colors meet, the step between them will do for the rest. */
const LINED = 0.25;
/** A line that is stronger was printed, lightness. */
const STRONGEST = 34;
/** Colors that differ by less are one, CIELAB. */
const STEP = 7;
/** Parts that hang together by less were joined by a speck, mm. */
const NECK = 2;
/** Rows and columns with fewer pixels are what a cut left of the neighbor, px. */
const SLIVER = 4;
/** A sticker fills so much of its rectangle; a flag's notch or a heart's shoulders are the emptiest. */
const FILLED = 0.45;
/** Px to both sides of a cut that are looked at. */
const ASIDE = 4;

/**
 * Parts stickers that touch: again and again by the straight line, from one edge of the part to the other, along which
 * the knife's line shows best. Lines that stop short of an edge, as printed ones do, part nothing.
 */
export function splitAll(blobs: Blobs, marks: Marks, planes: LabPlanes, grain: number, scale: number): Share[] {
  const sight: Sight = { blobs, marks, planes, least: Math.max(1.3, grain * 1.3), narrow: NARROWEST * scale };
  return blobs.parts.flatMap((part) => split(whole(part), sight)).filter((share) => isSticker(share, blobs, scale));
}

function isSticker({ label, x0, y0, x1, y1 }: Share, { labels, width }: Blobs, scale: number): boolean {
  const [w, h] = [x1 - x0 + 1, y1 - y0 + 1];
  if (Math.max(w, h) < SMALLEST[0] * scale || Math.min(w, h) < SMALLEST[1] * scale) return false;
  let filled = 0;
  for (let y = y0; y <= y1; y++) for (let x = x0; x <= x1; x++) if (labels[y * width + x] === label) filled++;
  return filled > FILLED * w * h;
}

/** What a part is looked at with. */
interface Sight {
  readonly blobs: Blobs;
  readonly marks: Marks;
  readonly planes: LabPlanes;
  /** a weaker line is grain, lightness */
  readonly least: number;
  /** of the narrowest sticker, px */
  readonly narrow: number;
}

const whole = ({ label, x0, y0, x1, y1 }: Part): Share => ({
  label,
  x0,
  y0,
  x1,
  y1,
  cut: { left: false, top: false, right: false, bottom: false },
});

function split(share: Share, sight: Sight): Share[] {
  const { narrow } = sight;
  const tight = tightened(share, sight.blobs);
  if (!tight) return [];
  if (tight.x1 - tight.x0 < 2 * narrow && tight.y1 - tight.y0 < 2 * narrow) return [tight];
  const upright = bestCut(tight, sight, true);
  const level = bestCut(tight, sight, false);
  const best = !upright || (level && level.shown > upright.shown) ? level : upright;
  if (!best) return [tight];
  const { cut } = tight;
  const halves: Share[] = best.upright
    ? [
        { ...tight, x1: best.at - 1, cut: { ...cut, right: true } },
        { ...tight, x0: best.at + 1, cut: { ...cut, left: true } },
      ]
    : [
        { ...tight, y1: best.at - 1, cut: { ...cut, bottom: true } },
        { ...tight, y0: best.at + 1, cut: { ...cut, top: true } },
      ];
  return halves.flatMap((half) => split(half, sight));
}

/** The share's rectangle without empty rim; null when nothing is in it. */
function tightened(share: Share, { labels, width }: Blobs): Share | null {
  const rows = new Int32Array(share.y1 - share.y0 + 1);
  const columns = new Int32Array(share.x1 - share.x0 + 1);
  for (let y = share.y0; y <= share.y1; y++)
    for (let x = share.x0; x <= share.x1; x++)
      if (labels[y * width + x] === share.label) {
        rows[y - share.y0] = (rows[y - share.y0] as number) + 1;
        columns[x - share.x0] = (columns[x - share.x0] as number) + 1;
      }
  const full = (n: number): boolean => n >= SLIVER;
  if (!rows.some(full) || !columns.some(full)) return null;
  const x0 = share.x0 + columns.findIndex(full);
  const x1 = share.x0 + columns.findLastIndex(full);
  const y0 = share.y0 + rows.findIndex(full);
  const y1 = share.y0 + rows.findLastIndex(full);
  const { cut } = share;
  return {
    ...share,
    x0,
    y0,
    x1,
    y1,
    cut: {
      left: cut.left && x0 === share.x0,
      top: cut.top && y0 === share.y0,
      right: cut.right && x1 === share.x1,
      bottom: cut.bottom && y1 === share.y1,
    },
  };
}

/** A printed line stops short of the sticker's edge; the knife's does not. @param ends px at each end that are looked at */
function reachesEnds(seen: Uint8Array, count: number, ends: number): boolean {
  if (count < 4 * ends) return count === 0 || seen.subarray(0, count).every((s) => s > 0);
  let [first, last] = [0, 0];
  for (let i = 2; i < 2 + ends; i++) {
    first += seen[i] as number;
    last += seen[count - 1 - i] as number;
  }
  return first >= ends * 0.6 && last >= ends * 0.6;
}

/** Two even colors that meet here, at the `i`th pixel. */
function isStep({ l, a, b }: LabPlanes, i: number, across: number): boolean {
  const apart = (p: number, q: number): number =>
    Math.abs((l[p] as number) - (l[q] as number)) +
    Math.abs((a[p] as number) - (a[q] as number)) +
    Math.abs((b[p] as number) - (b[q] as number));
  return apart(i - ASIDE * across, i + ASIDE * across) > STEP;
}

interface Cut {
  readonly at: number;
  readonly shown: number;
  readonly upright: boolean;
}

function bestCut({ label, x0, y0, x1, y1 }: Share, sight: Sight, upright: boolean): Cut | null {
  const { marks, planes, least, narrow } = sight;
  const { labels, width } = sight.blobs;
  const lines = upright ? marks.upright : marks.level;
  const [from, to] = upright ? [x0, x1] : [y0, y1];
  const [start, end] = upright ? [y0, y1] : [x0, x1];
  const across = upright ? 1 : width;
  const ends = Math.round(narrow / NARROWEST);
  const neck = ends * NECK;
  const missing = Math.max(neck, (1 - SHOWN) * (end - start + 1));
  const seen = new Uint8Array(end - start + 1);
  let best: Cut | null = null;
  for (let at = from + Math.ceil(narrow); at <= to - narrow; at++) {
    let [covered, shown, lined, strong] = [0, 0, 0, 0];
    for (let along = start; along <= end && covered - shown <= missing; along++) {
      const i = upright ? along * width + at : at * width + along;
      const here = labels[i] === label;
      const one = labels[i - ASIDE * across] === label;
      const other = labels[i + ASIDE * across] === label;
      if (!one || !other) {
        if (here && (one || other)) continue; // the rim of a neighbor's edge
        continue;
      }
      covered++;
      const line = Math.max(
        lines[i - 2 * across] as number,
        lines[i - across] as number,
        lines[i] as number,
        lines[i + across] as number,
        lines[i + 2 * across] as number,
      );
      const isLine = line > least;
      if (isLine) lined++;
      const there = isLine || isStep(planes, i, across) ? 1 : 0;
      shown += there;
      seen[covered - 1] = there;
      if (line > STRONGEST) strong++;
    }
    if (covered - shown > missing) continue;
    if (covered <= neck) return { at: thinnest(at), shown: 1, upright };
    const share = shown / covered;
    if (share < SHOWN || lined < covered * LINED || strong > covered * 0.3 || !reachesEnds(seen, covered, ends))
      continue;
    if (!best || share > best.shown + 0.01) best = { at: strongest(at), shown: share, upright };
  }
  return best;

  /** Where the least of the part is, from a place on. */
  function thinnest(from: number): number {
    let least = { at: from, count: Infinity };
    for (let at = from; at <= to - narrow; at++) {
      let count = 0;
      for (let along = start; along <= end; along++)
        if (labels[upright ? along * width + at : at * width + along] === label) count++;
      if (count > neck) break;
      if (count < least.count) least = { at, count };
    }
    return least.at;
  }

  /** The line's middle: where it is strongest nearby. */
  function strongest(near: number): number {
    let top = { at: near, sum: -1 };
    for (let at = near; at <= near + 4; at++) {
      let sum = 0;
      for (let along = start; along <= end; along++)
        sum += lines[upright ? along * width + at : at * width + along] as number;
      if (sum > top.sum) top = { at, sum };
    }
    return top.at;
  }
}
