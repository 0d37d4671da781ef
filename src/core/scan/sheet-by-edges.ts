import type { Point, Quad } from './homography';
import type { LabPlanes } from './lab-planes';
import type { StraightLine } from './straight-lines';
import { straightLines } from './straight-lines';

/** What is seen along a line, every PROBE px. */
interface Probed {
  readonly line: StraightLine;
  /** color before the line and after it */
  readonly from: readonly Strip[];
  readonly to: readonly Strip[];
  /** by how much the line itself is darker than both */
  readonly dark: readonly number[];
}
type Lab = readonly [l: number, a: number, b: number];
type Strip = readonly [l: number, a: number, b: number, stray: number];

const PROBE = 4;
/** The strips beside a line that are held against each other, px from it. */
const NEAREST = 3;
const FARTHEST = 7;
/** So many lines of each way are looked at, and so many of those that part colors best are tried as sides. */
const LINES = 90;
const SIDES = 20;
/** Of lines that lie so near to one another, px, no more than so many. */
const CLOSE = 6;
const ALIKE = 2;
/** How a line is moved and turned, px and px a px, so often; a stronger step counts no more, CIELAB. */
const MOVES = [[1, 0], [-1, 0], [0, 0.006], [0, -0.006]] as const; // prettier-ignore
const ROUNDS = 10;
const STRONG = 30;
/** A sheet takes so much of the picture's width and of its height. */
const LEAST = 0.3;
/** The colors on both sides of an edge differ by so much; a shadow in a crack is so much darker, CIELAB. */
const DIFFERS = 1.1;
const SHADOW = 0.8;
/** So much of each side must be seen; and all four in the mean. */
const SEEN = 0.62;
const SEEN_ALL = 0.78;
/** Just within its sides a sheet has one color, but for the light, CIELAB. */
const LIGHT = 16;
const HUE = 9;
const EVEN = 7;
const SMOOTH = 2.5;
const MOSTLY = 0.5;
/** A step of so much is of something that lies there; and a table is even on which next to none are, px,
 * as far as its rim shows, a share of the picture. */
const CONTENT = 12;
const STRAY = 60;
const RIM = 0.05;
/** The rim is looked at in so many parts a side; a table is busy where something is in so many of them. */
const PARTS = 10;
const BUSY = 0.8;
/** Nothing is counted so near to the picture's rim: a sliver of what is behind may show there, px. */
const SLIVER = 4;

/** Figures are nearly the same where the smaller is so much of the larger. */
const LARGER = 0.93;

/** A sheet's corners, px, and how much of its sides was seen, 0-1. */
export interface ByEdges {
  readonly corners: Quad;
  readonly seen: number;
}

/**
 * The sheet as the largest four-sided figure of straight edges, each with another color beyond it or with a shadow in
 * it, within which the same paper is seen along all four sides. Where what is behind is as light as the sheet only the
 * shadow tells.
 */
export function sheetByEdges(planes: LabPlanes): ByEdges | null {
  const { width, height } = planes;
  const content = contentOf(planes);
  const isEven = !isBusy(planes, content);
  const sides = [true, false].map((upright) =>
    straightLines(planes, upright, LINES)
      .map((line) => probed(planes, line))
      .map((p) => ({ p, much: worth(p) }))
      .sort((p, q) => q.much - p.much)
      .filter(
        ({ p }, i, all) => all.slice(0, i).filter((o) => Math.abs(o.p.line.at - p.line.at) < CLOSE).length < ALIKE,
      )
      .slice(0, SIDES)
      .flatMap(({ p }) => (isEven ? [p] : [p, settled(planes, p)]))
      .sort((p, q) => p.line.at - q.line.at),
  ) as [Probed[], Probed[]];
  let best: (ByEdges & { area: number }) | null = null;
  const pairs = (all: readonly Probed[], long: number): [Probed, Probed][] =>
    all.flatMap((p, i) => all.slice(i + 1).flatMap((q) => (q.line.at - p.line.at >= LEAST * long ? [[p, q] as [Probed, Probed]] : []))); // prettier-ignore
  const level = pairs(sides[1], height);
  const looked = new Map<string, SideLook>();
  const number = new Map(sides.flat().map((p, i) => [p, i]));
  /** a side between two others that it meets; each is looked at once */
  const look = (p: Probed, from: Probed, to: Probed, inward: 1 | -1): SideLook => {
    const key = `${number.get(p)} ${number.get(from)} ${number.get(to)} ${inward}`;
    const ends = [from, to].map((o) => (p.line.upright ? meeting(p.line, o.line, planes).y : meeting(o.line, p.line, planes).x)); // prettier-ignore
    const found = looked.get(key) ?? side(p, ends[0]!, ends[1]!, inward);
    looked.set(key, found);
    return found;
  };
  for (const [left, right] of pairs(sides[0], width))
    for (const [top, bottom] of level) {
      const area = (right.line.at - left.line.at) * (bottom.line.at - top.line.at);
      if (best && area <= best.area * LARGER) continue;
      const quad = [[left, top], [right, top], [right, bottom], [left, bottom]].map(([u, v]) => meeting(u!.line, v!.line, planes)) as unknown as Quad; // prettier-ignore
      // on an even table nothing lies beside the sheet: what would is a sticker, and the picture is cut to the sheet
      if (isEven && content.beyond(...boundsOf(quad))) continue;
      const looks = [look(left, top, bottom, 1), look(right, top, bottom, -1), look(top, left, right, 1), look(bottom, left, right, -1)]; // prettier-ignore
      const seen = seenOf(looks);
      if (seen === null) continue;
      // nearly the same sides are told by how much is seen of them
      if (best && area < best.area / LARGER && seen <= best.seen) continue;
      best = { corners: quad, seen, area };
    }
  return best;
}

/** How much is seen of four sides; null: they are no sheet's. */
function seenOf(looks: readonly SideLook[]): number | null {
  const seen = looks.reduce((sum, s) => sum + s.seen, 0) / 4;
  return seen < SEEN_ALL || looks.some((s) => s.seen < SEEN || s.even < MOSTLY) || !isOnePaper(looks) ? null : seen;
}

/** Whether a figure that was found otherwise has a sheet's sides: paper within them, nothing beside it. */
export function isSheet(planes: LabPlanes, quad: Quad): boolean {
  const content = contentOf(planes);
  if (!isBusy(planes, content) && content.beyond(...boundsOf(quad))) return false;
  const looks = quad.map((p, i) => {
    const q = quad[(i + 1) % 4] as Point;
    const line = lineThrough(p, q, planes);
    const [start, end] = line.upright ? [p.y, q.y] : [p.x, q.x];
    // clockwise: after the line is within where it goes right or up
    const inward = line.upright ? (q.y < p.y ? 1 : -1) : q.x > p.x ? 1 : -1;
    return side(probed(planes, line), Math.min(start, end), Math.max(start, end), inward);
  });
  return seenOf(looks) !== null;
}

function lineThrough(p: Point, q: Point, { width, height }: LabPlanes): StraightLine {
  const upright = Math.abs(q.y - p.y) > Math.abs(q.x - p.x);
  const tilt = upright ? (q.x - p.x) / (q.y - p.y) : (q.y - p.y) / (q.x - p.x);
  return { upright, tilt, at: upright ? p.x + tilt * (height / 2 - p.y) : p.y + tilt * (width / 2 - p.x) };
}

/** Where an upright line and a level one meet. */
function meeting(upright: StraightLine, level: StraightLine, { width, height }: LabPlanes): Point {
  // x = a + s (y - h/2), y = b + t (x - w/2)
  const [a, s, b, t] = [upright.at, upright.tilt, level.at, level.tilt];
  const x = (a + s * (b - t * (width / 2) - height / 2)) / (1 - s * t);
  return { x, y: b + t * (x - width / 2) };
}

function probed({ width, height, l, a, b }: LabPlanes, line: StraightLine): Probed {
  const { upright } = line;
  const [across, along] = upright ? [width, height] : [height, width];
  const strip = (u: number, v: number, first: number, last: number): Strip => {
    const sum: [number, number, number, number] = [0, 0, 0, 0];
    let n = 0;
    for (let d = first; d <= last; d++)
      for (let k = 0; k < PROBE; k++) {
        const [p, q] = [Math.round(u + d + line.tilt * k), v + k];
        if (p < 0 || p >= across || q >= along) continue;
        const i = upright ? q * width + p : p * width + q;
        const light = l[i] as number;
        sum[0] += light;
        sum[3] += light * light;
        sum[1] += a[i] as number;
        sum[2] += b[i] as number;
        n++;
      }
    const mean = sum[0] / n;
    return n ? [mean, sum[1] / n, sum[2] / n, Math.sqrt(Math.max(0, sum[3] / n - mean * mean))] : [Number.NaN, 0, 0, 0];
  };
  const [from, to, dark]: [Strip[], Strip[], number[]] = [[], [], []];
  for (let v = 0; v < along; v += PROBE) {
    const u = line.at + line.tilt * (v - along / 2);
    const [before, after] = [strip(u, v, -FARTHEST, -NEAREST), strip(u, v, NEAREST, FARTHEST)];
    from.push(before);
    to.push(after);
    dark.push(Math.min(before[0], after[0]) - Math.min(...[-1, 0, 1].map((d) => strip(u, v, d, d)[0])));
  }
  return { line, from, to, dark };
}

/** How much of a line parts two colors, the same way all along, or is a shadow. */
function worth({ from, to, dark }: Probed): number {
  const ways = from.map((p, k): Lab => {
    const q = to[k] as Strip;
    const far = between(p, q);
    return far > DIFFERS ? [(q[0] - p[0]) / far, (q[1] - p[1]) / far, (q[2] - p[2]) / far] : [0, 0, 0];
  });
  const sum = [0, 1, 2].map((c) => ways.reduce((n, w) => n + (w[c] as number), 0));
  const much = Math.hypot(...sum) || 1;
  const along = ([l, a, b]: Lab): number => (l * sum[0]! + a * sum[1]! + b * sum[2]!) / much;
  return ways.reduce((n, w, k) => n + Math.max(along(w), (dark[k] as number) > SHADOW ? 1 : 0), 0);
}

/** How much color changes across a line, all along. */
function strength({ from, to }: Probed): number {
  const steps = from.map((p, k) => [0, 1, 2].map((c) => (to[k] as Strip)[c]! - p[c]!));
  const sum = [0, 1, 2].map((c) => steps.reduce((n, s) => n + s[c]!, 0));
  const much = Math.hypot(...sum) || 1;
  const across = (s: readonly number[]): number => (s[0]! * sum[0]! + s[1]! * sum[1]! + s[2]! * sum[2]!) / much;
  return steps.reduce((n, s) => n + Math.max(-STRONG, Math.min(STRONG, across(s))), 0);
}

/** A line moved and turned by small steps to where most color changes across it; a mere shadow stays where it is. */
function settled(planes: LabPlanes, first: Probed): Probed {
  let [best, much] = [first, strength(first)];
  for (let round = 0; round < ROUNDS; round++) {
    const { line } = best;
    const before = best;
    for (const [at, tilt] of MOVES) {
      const moved = probed(planes, { ...line, at: line.at + at, tilt: line.tilt + tilt });
      const now = strength(moved);
      if (now > much) [best, much] = [moved, now];
    }
    if (best === before) break;
  }
  return best;
}

const between = (p: Lab | Strip, q: Lab | Strip): number => Math.hypot(q[0] - p[0], q[1] - p[1], q[2] - p[2]);

interface SideLook {
  readonly seen: number;
  /** how much of what lies just within has the color that most of it has, and no pattern */
  readonly even: number;
  readonly within: Lab;
}

/** @param inward 1: the sheet is after the line, -1: before it */
function side({ from, to, dark }: Probed, start: number, end: number, inward: 1 | -1): SideLook {
  const [first, last] = [Math.max(0, Math.ceil(start / PROBE)), Math.min(from.length - 1, Math.floor(end / PROBE) - 1)];
  const [inside, outside] = inward > 0 ? [to, from] : [from, to];
  const steps: Lab[] = [];
  for (let k = first; k <= last; k++) {
    const [p, q] = [outside[k] as Strip, inside[k] as Strip];
    steps.push([q[0] - p[0], q[1] - p[1], q[2] - p[2]]);
  }
  const n = Math.max(1, steps.length);
  const way = [0, 1, 2].map((c) => middleOf(steps.map((s) => s[c] as number))) as unknown as Lab;
  const much = Math.hypot(...way);
  let [seen, even] = [0, 0];
  const within = [0, 1, 2].map((c) => middleOf(inside.slice(first, last + 1).map((s) => s[c] as number))) as unknown as Lab; // prettier-ignore
  for (let k = first; k <= last; k++) {
    const s = steps[k - first] as Lab;
    const dot = s[0] * way[0] + s[1] * way[1] + s[2] * way[2];
    if ((much > DIFFERS && dot > 0.4 * much * much) || (dark[k] as number) > SHADOW) seen++;
    const own = inside[k] as Strip;
    if (between(own, within) < EVEN && own[3] < SMOOTH) even++;
  }
  return { seen: seen / n, even: even / n, within };
}

const middleOf = (numbers: readonly number[]): number => {
  const sorted = numbers.filter((n) => !Number.isNaN(n)).sort((p, q) => p - q);
  return sorted[sorted.length >> 1] ?? 0;
};

const isOnePaper = (sides: readonly SideLook[]): boolean =>
  sides.every(({ within: p }, i) =>
    sides.slice(i + 1).every(({ within: q }) => Math.abs(p[0] - q[0]) < LIGHT && Math.hypot(p[1] - q[1], p[2] - q[2]) < HUE),
  ); // prettier-ignore

function boundsOf(quad: Quad): [number, number, number, number] {
  const [xs, ys] = [quad.map((p) => p.x), quad.map((p) => p.y)];
  return [Math.min(...xs) - FARTHEST, Math.min(...ys) - FARTHEST, Math.max(...xs) + FARTHEST, Math.max(...ys) + FARTHEST];
} // prettier-ignore

/** Tells whether more than dust and hairs lies beyond a rectangle. Source: summed-area tables, Crow (1984), from memory. */
function contentOf(planes: LabPlanes) {
  const { width, height, l } = planes;
  const sums = new Int32Array((width + 1) * (height + 1));
  for (let y = 0; y < height; y++)
    for (let x = 0, row = 0; x < width; x++) {
      const i = y * width + x;
      if (
        Math.min(x, y, width - 1 - x, height - 1 - y) >= SLIVER &&
        Math.max(Math.abs(l[i]! - l[i - 1]!), Math.abs(l[i]! - l[i - width]!)) > CONTENT
      )
        row++;
      sums[(y + 1) * (width + 1) + x + 1] = sums[y * (width + 1) + x + 1]! + row;
    }
  const at = (x: number, y: number): number =>
    sums[Math.min(height, Math.max(0, Math.round(y))) * (width + 1) + Math.min(width, Math.max(0, Math.round(x)))]!;
  const all = at(width, height);
  const within = (x0: number, y0: number, x1: number, y1: number): number =>
    at(x1, y1) - at(x0, y1) - at(x1, y0) + at(x0, y0);
  return {
    within,
    beyond: (x0: number, y0: number, x1: number, y1: number): boolean => all - within(x0, y0, x1, y1) > STRAY,
  };
}

/** Whether there is something to be seen all along the picture's rim, as on a mat with its lines. */
function isBusy({ width, height }: LabPlanes, { within }: ReturnType<typeof contentOf>): boolean {
  let busy = 0;
  for (let k = 0; k < PARTS; k++) {
    const [x0, x1, y0, y1] = [width, width, height, height].map((n, i) => (n * (k + (i % 2))) / PARTS) as [number, number, number, number]; // prettier-ignore
    const [wide, high] = [RIM * width, RIM * height];
    if (within(x0, 0, x1, high)) busy++;
    if (within(x0, height - high, x1, height)) busy++;
    if (within(0, y0, wide, y1)) busy++;
    if (within(width - wide, y0, width, y1)) busy++;
  }
  return busy > BUSY * 4 * PARTS;
}
