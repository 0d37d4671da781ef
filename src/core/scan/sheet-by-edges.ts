import type { Beside } from './beside-sheet';
import type { Point, Quad } from './homography';
import type { LabPlanes } from './lab-planes';
import type { Probed, SideLook } from './line-probe';
import { probed, settled, side, worth } from './line-probe';
import type { StraightLine } from './straight-lines';
import { straightLines } from './straight-lines';

/** So many lines of each way are looked at, and so many of those that part colors best are tried as sides. */
const LINES = 90;
const SIDES = 20;
/** On a busy table fewer, each of them settled. */
const BUSY_SIDES = 12;
/** Of lines that lie so near to one another, px, no more than so many. */
const CLOSE = 6;
const ALIKE = 2;
/** A sheet takes so much of the picture's width and of its height. */
const LEAST = 0.3;
/** So much of each side must be seen; and all four in the mean. */
const SEEN = 0.62;
const SEEN_ALL = 0.78;
/** Just within its sides a sheet has one color, but for the light, CIELAB, over so much of each. */
const LIGHT = 16;
const HUE = 9;
const MOSTLY = 0.5;
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
export function sheetByEdges(planes: LabPlanes, beside: Beside): ByEdges | null {
  const [upright, level] = [true, false].map((way) =>
    pairsOf(sidesOf(planes, way, beside), way ? planes.width : planes.height),
  ) as [Pair[], Pair[]];
  const look = lookingAt(planes);
  let best: (ByEdges & { area: number }) | null = null;
  for (const [left, right] of upright)
    for (const [top, bottom] of level) {
      const area = (right.line.at - left.line.at) * (bottom.line.at - top.line.at);
      if (best && area <= best.area * LARGER) continue;
      const at = (u: Probed, v: Probed): Point => meeting(u.line, v.line, planes);
      const quad: Quad = [at(left, top), at(right, top), at(right, bottom), at(left, bottom)];
      // on an even table nothing lies beside the sheet: what would is a sticker, and the picture is cut to the sheet
      if (beside.isEven && beside.beyond(quad)) continue;
      const looks = [
        look(left, top, bottom, 1),
        look(right, top, bottom, -1),
        look(top, left, right, 1),
        look(bottom, left, right, -1),
      ];
      const seen = seenOf(looks);
      if (seen === null) continue;
      // nearly the same sides are told by how much is seen of them
      if (best && area < best.area / LARGER && seen <= best.seen) continue;
      best = { corners: quad, seen, area };
    }
  return best;
}

/** Lines that may be a side of the sheet, from the left or from the top. */
const sidesOf = (planes: LabPlanes, upright: boolean, { isEven }: Beside): Probed[] =>
  straightLines(planes, upright, LINES)
    .map((line) => probed(planes, line))
    .map((p) => ({ p, much: worth(p) }))
    .sort((p, q) => q.much - p.much)
    .filter(({ p }, i, all) => all.slice(0, i).filter((o) => Math.abs(o.p.line.at - p.line.at) < CLOSE).length < ALIKE)
    .slice(0, isEven ? SIDES : BUSY_SIDES)
    .flatMap(({ p }) => (isEven ? [p] : [p, settled(planes, p)]))
    .sort((p, q) => p.line.at - q.line.at);

type Pair = readonly [Probed, Probed];

/** Those that are far enough apart. @param long the picture's width or height, px */
const pairsOf = (all: readonly Probed[], long: number): Pair[] =>
  all.flatMap((p, i) =>
    all.slice(i + 1).flatMap((q): Pair[] => (q.line.at - p.line.at >= LEAST * long ? [[p, q]] : [])),
  );

/** Looks at a line between two others that it meets; at each but once. */
function lookingAt(planes: LabPlanes): (p: Probed, from: Probed, to: Probed, inward: 1 | -1) => SideLook {
  const looked = new Map<string, SideLook>();
  const key = ({ line: { at, tilt } }: Probed): string => `${at} ${tilt}`;
  return (p, from, to, inward) => {
    const name = `${p.line.upright} ${[p, from, to].map(key).join(' ')} ${inward}`;
    const end = ({ line }: Probed): number =>
      p.line.upright ? meeting(p.line, line, planes).y : meeting(line, p.line, planes).x;
    const found = looked.get(name) ?? side(p, end(from), end(to), inward);
    looked.set(name, found);
    return found;
  };
}

/** How much is seen of four sides; null: they are no sheet's. */
function seenOf(looks: readonly SideLook[]): number | null {
  const seen = looks.reduce((sum, s) => sum + s.seen, 0) / 4;
  return seen < SEEN_ALL || looks.some((s) => s.seen < SEEN || s.even < MOSTLY) || !isOnePaper(looks) ? null : seen;
}

/** Whether a figure that was found otherwise has a sheet's sides: paper within them, nothing beside it. */
export function isSheet(planes: LabPlanes, quad: Quad, beside: Beside): boolean {
  if (beside.isEven && beside.beyond(quad)) return false;
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

const isOnePaper = (sides: readonly SideLook[]): boolean =>
  sides.every(({ within: p }, i) =>
    sides
      .slice(i + 1)
      .every(({ within: q }) => Math.abs(p[0] - q[0]) < LIGHT && Math.hypot(p[1] - q[1], p[2] - q[2]) < HUE),
  );
