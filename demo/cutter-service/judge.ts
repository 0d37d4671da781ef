import type { CutJob, Stroke } from './read-cut-file';

/** What the simulated device is like. Lengths in mm, speed in mm a second. */
export interface Machine {
  readonly bed: { readonly width: number; readonly height: number };
  /** nearer to the sheet's edge the rollers hold it */
  readonly margin: number;
  /** how far the blade's tip trails its axis */
  readonly bladeOffset: number;
  /** nothing smaller stays on its backing */
  readonly least: number;
  readonly speed: number;
}

export const MACHINE: Machine = {
  bed: { width: 305, height: 305 },
  margin: 6,
  bladeOffset: 0.25,
  least: 4,
  speed: 40,
};

/** What a real one would spoil. */
export interface Fault {
  readonly what:
    | 'off the bed'
    | 'open path'
    | 'cut twice'
    | 'overlap'
    | 'too small'
    | 'too fine for the blade'
    | 'unknown layer'
    | 'nothing to cut';
  readonly layer: string;
  readonly x: number;
  readonly y: number;
}

export interface Verdict {
  readonly faults: readonly Fault[];
  /** mm that the blade travels down, and minutes that it takes */
  readonly length: number;
  readonly minutes: number;
}

const LAYERS: ReadonlySet<string> = new Set(['kiss-cut', 'through-cut', 'score']);
/** Lifting, turning and setting the blade down, s. */
const PER_STROKE = 1.2;

/** Looks a job over as the device would, before the blade comes down. */
export function judge(job: CutJob, machine: Machine = MACHINE): Verdict {
  const faults: Fault[] = [];
  const blame = (what: Fault['what'], { layer, points }: Stroke) => {
    const [x = 0, y = 0] = points[0] ?? [];
    faults.push({ what, layer, x, y });
  };
  const strokes = job.strokes.filter((s) => s.layer !== 'registration');
  for (const stroke of strokes) {
    if (!LAYERS.has(stroke.layer)) blame('unknown layer', stroke);
    if (stroke.layer !== 'score' && !stroke.closed) blame('open path', stroke);
    const b = boxOf(stroke);
    const { margin, bed } = machine;
    const [right, foot] = [Math.min(job.width, bed.width) - margin, Math.min(job.height, bed.height) - margin];
    if (b.x < margin || b.y < margin || b.x + b.w > right || b.y + b.h > foot) blame('off the bed', stroke);
    if (stroke.layer === 'kiss-cut' && Math.min(b.w, b.h) < machine.least) blame('too small', stroke);
    if (stroke.closed && turnsTooTightly(stroke, machine.bladeOffset)) blame('too fine for the blade', stroke);
  }
  const kiss = strokes.filter((s) => s.layer === 'kiss-cut');
  kiss.forEach((a, i) => {
    for (const b of kiss.slice(i + 1)) {
      const shared = sharedArea(boxOf(a), boxOf(b));
      if (shared > 0.01) blame('overlap', b);
    }
  });
  for (const stroke of cutTwice(strokes)) blame('cut twice', stroke);
  if (job.width > machine.bed.width || job.height > machine.bed.height)
    faults.push({ what: 'off the bed', layer: '', x: job.width, y: job.height });
  if (!strokes.length) faults.push({ what: 'nothing to cut', layer: '', x: 0, y: 0 });
  const length = strokes.reduce((sum, s) => sum + lengthOf(s), 0);
  return { faults, length, minutes: (length / machine.speed + strokes.length * PER_STROKE) / 60 };
}

function boxOf({ points }: Stroke) {
  const [xs, ys] = [points.map((p) => p[0]), points.map((p) => p[1])];
  const [x, y] = [Math.min(...xs), Math.min(...ys)];
  return { x, y, w: Math.max(...xs) - x, h: Math.max(...ys) - y };
}

type Box = ReturnType<typeof boxOf>;
const sharedArea = (a: Box, b: Box): number =>
  Math.max(0, Math.min(a.x + a.w, b.x + b.w) - Math.max(a.x, b.x)) *
  Math.max(0, Math.min(a.y + a.h, b.y + b.h) - Math.max(a.y, b.y));

const lengthOf = ({ points }: Stroke): number =>
  points.slice(1).reduce((sum, [x, y], i) => sum + Math.hypot(x - (points[i]?.[0] ?? x), y - (points[i]?.[1] ?? y)), 0);

/** A side shorter than the blade trails, at a corner it has to turn on: it tears there. */
function turnsTooTightly({ points }: Stroke, offset: number): boolean {
  return points.some(([x, y], i) => {
    const [before, after] = [points[i - 1], points[i + 1]];
    if (!before || !after) return false;
    const [ux, uy, vx, vy] = [x - before[0], y - before[1], after[0] - x, after[1] - y];
    const [u, v] = [Math.hypot(ux, uy), Math.hypot(vx, vy)];
    if (u < 1e-9 || v < 1e-9) return false;
    const turn = Math.acos(Math.max(-1, Math.min(1, (ux * vx + uy * vy) / (u * v))));
    return turn > 1.9 && Math.min(u, v) < offset;
  });
}

/** Strokes that have a straight side in common with an earlier one: the second pass lifts what the first one freed. */
function cutTwice(strokes: readonly Stroke[]): Stroke[] {
  const lines = new Map<string, { from: number; to: number }[]>();
  const twice = new Set<Stroke>();
  for (const stroke of strokes)
    stroke.points.slice(1).forEach(([x, y], i) => {
      const [px, py] = stroke.points[i] as readonly [number, number];
      const upright = Math.abs(px - x) < 0.02;
      if (!upright && Math.abs(py - y) >= 0.02) return; // slanted sides are not held against each other
      const key = upright ? `v${x.toFixed(1)}` : `h${y.toFixed(1)}`;
      const [from, to] = upright ? [Math.min(py, y), Math.max(py, y)] : [Math.min(px, x), Math.max(px, x)];
      const before = lines.get(key) ?? [];
      if (before.some((l) => Math.min(l.to, to) - Math.max(l.from, from) > 0.3)) twice.add(stroke);
      lines.set(key, [...before, { from, to }]);
    });
  return [...twice];
}
