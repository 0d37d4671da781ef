import type { Blobs } from './blobs';
import { leastUnlike } from './blobs';
import type { LabPlanes } from './lab-planes';
import type { Marks } from './marks';
import type { Share } from './share';

/** What a part is looked at with. */
export interface Sight {
  readonly blobs: Blobs;
  readonly marks: Marks;
  readonly planes: LabPlanes;
  /** of the backing, CIELAB */
  readonly grain: number;
  /** a weaker line is grain, lightness */
  readonly least: number;
  /** pixels a millimeter */
  readonly scale: number;
  /** of the narrowest sticker, px */
  readonly narrow: number;
}

/** A straight way through a part from edge to edge. */
export interface Chord {
  /** px from the left, or from the top */
  readonly at: number;
  readonly upright: boolean;
  /** how surely the knife went there, 0-1.5 */
  readonly sure: number;
}

/** So much of a cut must show. */
const SHOWN = 0.93;
/** On short cuts so much may be missing nevertheless, mm. */
const GAPS = 1;
/** So much of it by the knife's line; where two colors meet, the step between them will do for the rest. */
const LINED = 0.25;
/** A line that is stronger was printed, lightness; so much of a cut may go over print. */
const STRONGEST = 34;
const PRINTED = 0.3;
/** Colors that differ by less are one, CIELAB. */
export const STEP = 7;
/** Parts that hang together by less were joined by a speck, mm. */
const NECK = 2;
/** Rounded corners leave a wedge of backing at a cut's ends, mm. */
const WEDGE = 3;
/** Px to both sides of a cut that are looked at, and how far the line may stray. */
export const ASIDE = 4;
export const STRAY = 2;
/** Beside it, px, so much less shows. */
const BESIDE = [-18, -9, 9, 18];
const ALONE = 0.3;
/** Where lines are compared, a stronger one counts no more, lightness: print must not outweigh the knife. */
const ENOUGH = 6;

/** What is seen at one pixel of a chord. */
const NOTHING = 0;
const LINE = 1;
const MEETING = 2;
const BARE = 3;

/** The chord along which the knife most surely went; null when it went along none. */
export function bestCut(share: Share, sight: Sight, upright: boolean): Chord | null {
  const { narrow, scale } = sight;
  const [from, to] = upright ? [share.x0, share.x1] : [share.y0, share.y1];
  const neck = Math.round(NECK * scale);
  let best: Chord | null = null;
  for (let at = from + Math.ceil(narrow); at <= to - narrow; at++) {
    const seen = seenAlong(share, sight, upright, at, neck);
    if (!seen) continue;
    if (seen.length <= neck) return { at: thinnest(share, sight, upright, at, neck), upright, sure: 1.5 };
    const sure = surenessOf(seen, scale);
    if (sure > (best?.sure ?? 0) && standsAlone(share, sight, upright, at)) best = { at, upright, sure };
  }
  return best && { ...best, at: middleOf(share, sight, upright, best.at) };
}

/** What is seen along a chord, pixel by pixel where both its sides are of the part; null when too much is missing. */
function seenAlong(
  { label, x0, y0, x1, y1 }: Share,
  { blobs: { labels, width }, marks, planes, grain, least }: Sight,
  upright: boolean,
  at: number,
  neck: number,
): Uint8Array | null {
  const [start, end] = upright ? [y0, y1] : [x0, x1];
  const across = upright ? 1 : width;
  const lines = upright ? marks.upright : marks.level;
  const bare = leastUnlike(grain);
  const most = Math.max(neck, (1 - SHOWN) * (end - start + 1));
  const seen = new Uint8Array(end - start + 1);
  let [count, missing, strong] = [0, 0, 0];
  for (let along = start; along <= end; along++) {
    const i = upright ? along * width + at : at * width + along;
    const [one, other] = [i - ASIDE * across, i + ASIDE * across];
    if (labels[one] !== label || labels[other] !== label) continue;
    let line = 0;
    for (let k = -STRAY; k <= STRAY; k++) line = Math.max(line, lines[i + k * across] as number);
    if (line > STRONGEST) strong++;
    const what =
      line > least
        ? LINE
        : apart(planes, one, other) > STEP
          ? MEETING
          : Math.min(marks.unlike[one] as number, marks.unlike[other] as number) < bare
            ? BARE
            : NOTHING;
    seen[count++] = what;
    if (what === NOTHING && ++missing > most) return null;
  }
  return strong > count * PRINTED ? null : seen.subarray(0, count);
}

/** A printed line stops short of the sticker's edge; the knife's does not. @returns 0 when it was not the knife */
function surenessOf(seen: Uint8Array, scale: number): number {
  const wedge = Math.round(WEDGE * scale);
  const reach = Math.min(wedge, seen.length >> 2);
  const first = seen.subarray(0, reach).lastIndexOf(BARE) + 1;
  const bareEnd = seen.subarray(seen.length - reach).indexOf(BARE);
  const last = bareEnd < 0 ? seen.length - 1 : seen.length - reach + bareEnd - 1;
  const count = last - first + 1;
  const end = Math.round(scale);
  let [shown, lined, head, tail] = [0, 0, 0, 0];
  for (let i = first; i <= last; i++) {
    const there = seen[i] === LINE || seen[i] === MEETING ? 1 : 0;
    shown += there;
    if (seen[i] === LINE) lined++;
    if (i - first < end) head += there;
    if (last - i < end) tail += there;
  }
  if (shown < count - Math.max((1 - SHOWN) * count, GAPS * scale) || lined < LINED * count) return 0;
  const enough = Math.min(end, count) * 0.6;
  return head >= enough && tail >= enough ? shown / count + (0.5 * lined) / count : 0;
}

/** Print repeats: beside the knife's way there is less to see than on it. */
const standsAlone = (share: Share, sight: Sight, upright: boolean, near: number): boolean =>
  contrastOf(share, sight, upright, near).by > ALONE;

/** How much of a chord shows, 0-1, at its strongest nearby, and by how much more than beside it. */
export function contrastOf(
  share: Share,
  sight: Sight,
  upright: boolean,
  near: number,
): { at: number; on: number; by: number } {
  const at = middleOf(share, sight, upright, near);
  const on = shownAt(share, sight, upright, at);
  const beside = BESIDE.map((d) => shownAt(share, sight, upright, at + d));
  return { at, on, by: on - beside.reduce((sum, s) => sum + s, 0) / beside.length };
}

/** How much of a chord shows, lines only where they are, without straying. */
function shownAt(
  { label, x0, y0, x1, y1 }: Share,
  { blobs: { labels, width }, marks, planes, least }: Sight,
  upright: boolean,
  at: number,
): number {
  const [start, end] = upright ? [y0, y1] : [x0, x1];
  const across = upright ? 1 : width;
  const lines = upright ? marks.upright : marks.level;
  let [count, shown] = [0, 0];
  for (let along = start; along <= end; along++) {
    const i = upright ? along * width + at : at * width + along;
    const [one, other] = [i - ASIDE * across, i + ASIDE * across];
    if (labels[one] !== label || labels[other] !== label) continue;
    count++;
    const line = Math.max(lines[i - across] as number, lines[i] as number, lines[i + across] as number);
    if (line > least || apart(planes, one, other) > STEP) shown++;
  }
  return count ? shown / count : 0;
}

/** How far two pixels are apart in color, CIELAB, by the sum of differences. */
export function apart({ l, a, b }: LabPlanes, p: number, q: number): number {
  return (
    Math.abs((l[p] as number) - (l[q] as number)) +
    Math.abs((a[p] as number) - (a[q] as number)) +
    Math.abs((b[p] as number) - (b[q] as number))
  );
}

/** Where the least of the part is, from a place on. */
function thinnest(
  { label, x0, y0, x1, y1 }: Share,
  { blobs: { labels, width }, narrow }: Sight,
  upright: boolean,
  from: number,
  neck: number,
): number {
  const [start, end, to] = upright ? [y0, y1, x1] : [x0, x1, y1];
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
function middleOf(
  { x0, y0, x1, y1 }: Share,
  { blobs: { width }, marks }: Sight,
  upright: boolean,
  near: number,
): number {
  const lines = upright ? marks.upright : marks.level;
  const [start, end] = upright ? [y0, y1] : [x0, x1];
  let top = { at: near, sum: -1 };
  for (let at = near - 1; at <= near + 2 * STRAY; at++) {
    let sum = 0;
    for (let along = start; along <= end; along++)
      sum += Math.min(ENOUGH, lines[upright ? along * width + at : at * width + along] as number);
    if (sum > top.sum) top = { at, sum };
  }
  return top.at;
}
