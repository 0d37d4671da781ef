import type { LabPlanes } from './lab-planes';
import type { StraightLine } from './straight-lines';

/** What is seen along a line, every PROBE px. */
export interface Probed {
  readonly line: StraightLine;
  /** color before the line and after it */
  readonly from: readonly Strip[];
  readonly to: readonly Strip[];
  /** by how much the line itself is darker than both */
  readonly dark: readonly number[];
}
export type Lab = readonly [l: number, a: number, b: number];
export type Strip = readonly [l: number, a: number, b: number, stray: number];

const PROBE = 4;
/** The strips beside a line that are held against each other, px from it. */
const NEAREST = 3;
const FARTHEST = 7;
/** How a line is moved and turned, px and px a px, so often; a stronger step counts no more, CIELAB. */
const MOVES = [
  [1, 0],
  [-1, 0],
  [0, 0.006],
  [0, -0.006],
] as const;
const ROUNDS = 6;
const STRONG = 30;
/** The colors on both sides of an edge differ by so much; a shadow in a crack is so much darker, CIELAB. */
const DIFFERS = 1.1;
const SHADOW = 0.8;
/** A stretch steps as the others do that goes so much of their way. */
const ALONG = 0.4;
/** What lies just within has the color that most of it has but for so much, and no pattern, CIELAB. */
const EVEN = 7;
const SMOOTH = 2.5;

/** Looks along a line of a picture. */
export function probed({ width, height, l, a, b }: LabPlanes, line: StraightLine): Probed {
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
export function worth({ from, to, dark }: Probed): number {
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
export function settled(planes: LabPlanes, first: Probed): Probed {
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

/** What one side of a figure looks like: how much of it parts two colors or is a shadow. */
export interface SideLook {
  readonly seen: number;
  /** how much of what lies just within has the color that most of it has, and no pattern */
  readonly even: number;
  readonly within: Lab;
}

/** A part of a line as a sheet's side. @param inward 1: the sheet is after the line, -1: before it */
export function side({ from, to, dark }: Probed, start: number, end: number, inward: 1 | -1): SideLook {
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
  const within = [0, 1, 2].map((c) =>
    middleOf(inside.slice(first, last + 1).map((s) => s[c] as number)),
  ) as unknown as Lab;
  for (let k = first; k <= last; k++) {
    const s = steps[k - first] as Lab;
    const dot = s[0] * way[0] + s[1] * way[1] + s[2] * way[2];
    if ((much > DIFFERS && dot > ALONG * much * much) || (dark[k] as number) > SHADOW) seen++;
    const own = inside[k] as Strip;
    if (between(own, within) < EVEN && own[3] < SMOOTH) even++;
  }
  return { seen: seen / n, even: even / n, within };
}

const middleOf = (numbers: readonly number[]): number => {
  const sorted = numbers.filter((n) => !Number.isNaN(n)).sort((p, q) => p - q);
  return sorted[sorted.length >> 1] ?? 0;
};
