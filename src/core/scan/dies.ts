import type { Blobs } from './blobs';
import type { Sight } from './chord';
import { ASIDE, STEP, STRAY, apart } from './chord';
import type { Share } from './share';
import { spanAt } from './share';

/** A size that stickers of a sheet are cut to, px, and how many were found of it. */
export interface Die {
  readonly w: number;
  readonly h: number;
  readonly count: number;
}

/** Sizes nearer than this are one, mm. */
export const ALIKE = 0.45;
/** So much of a rectangle is filled where a sticker with rounded corners lies. */
const FILLED = 0.93;
/** So much of each edge must show, and of all four in the mean. */
const EDGE = 0.55;
/** And so much of each where the block itself has a size that the sheet has often. */
const EDGE_OF_MANY = 0.85;
const MEAN = 0.78;
/** An edge inside the part shows by so much more than what is beside it. */
const ALONE = 0.12;
/** A size that was found once may be a slip: it is believed where its edges show by so much more. */
const ALONE_ONCE = 0.35;
/** Px that a corner may lie beside where it seems to: a neighbor's rim stands before it. */
const JITTER = [0, 4, 8, 12];
const BESIDE = [9, 17];
/** Where much is printed beside it, by so much of that more. */
const BUSY = 0.5;
/** Fewer pixels in a row are what a cut left of the neighbor. */
const SLIVER = 4;

/** The sizes of some shares, each once, the larger ones first. */
export function diesOf(shares: readonly Share[], scale: number): Die[] {
  const dies: { w: number; h: number; n: number }[] = [];
  for (const s of shares) {
    const [w, h] = [s.x1 - s.x0 + 1, s.y1 - s.y0 + 1];
    const known = dies.find((d) => Math.abs(d.w / d.n - w) < ALIKE * scale && Math.abs(d.h / d.n - h) < ALIKE * scale);
    if (known) {
      known.w += w;
      known.h += h;
      known.n++;
    } else dies.push({ w, h, n: 1 });
  }
  return dies
    .map(({ w, h, n }) => ({ w: Math.round(w / n), h: Math.round(h / n), count: n }))
    .sort((a, b) => b.w * b.h - a.w * a.h);
}

/** The size that a share has; undefined: none of these. */
export const dieOf = (s: Share, dies: readonly Die[], scale: number): Die | undefined =>
  dies.find(
    (d) => Math.abs(d.w - (s.x1 - s.x0 + 1)) <= ALIKE * scale && Math.abs(d.h - (s.y1 - s.y0 + 1)) <= ALIKE * scale,
  );

/** A rectangle in a part's corner, px, and how surely a sticker ends all round it. */
interface Fit {
  readonly x0: number;
  readonly y0: number;
  readonly x1: number;
  readonly y1: number;
  readonly sure: number;
}

/**
 * Lays the sheet's own sizes into a block that no straight cut parts, from its corners inwards: where one of them fits
 * and its edges show, a sticker is. What is laid gets a label of its own; the rest keeps the block's.
 * @param sight its labels are changed
 * @param isOneOfMany most likely the block is one sticker: more must show
 * @returns the stickers found
 */
export function layDies(
  share: Share,
  dies: readonly Die[],
  sight: Sight,
  fresh: () => number,
  isOneOfMany = false,
): Share[] {
  const found: Share[] = [];
  const area = (share.x1 - share.x0 + 1) * (share.y1 - share.y0 + 1);
  const smaller = dies.filter((d) => d.w * d.h < area * 0.85);
  const { label: old } = share;
  const { labels, width } = sight.blobs;
  for (;;) {
    const best = bestFit(share, smaller, sight, isOneOfMany ? EDGE_OF_MANY : EDGE);
    if (!best) return found;
    const label = fresh();
    for (let y = best.y0; y <= best.y1; y++)
      for (let x = best.x0; x <= best.x1; x++) if (labels[y * width + x] === old) labels[y * width + x] = label;
    const { x0, y0, x1, y1 } = best;
    const meets = (dx: number, dy: number): boolean => {
      const i =
        Math.round((y0 + y1) / 2 + (dy * (y1 - y0 + 2 * ASIDE)) / 2) * width +
        Math.round((x0 + x1) / 2 + (dx * (x1 - x0 + 2 * ASIDE)) / 2);
      return labels[i] !== 0;
    };
    found.push({
      label,
      x0,
      y0,
      x1,
      y1,
      cut: { left: meets(-1, 0), right: meets(1, 0), top: meets(0, -1), bottom: meets(0, 1) },
    });
  }
}

function bestFit(share: Share, dies: readonly Die[], sight: Sight, edge: number): Fit | null {
  let best: Fit | null = null;
  for (const corner of cornersOf(share, sight.blobs))
    for (const die of dies)
      for (const dx of JITTER)
        for (const dy of JITTER) {
          const x0 = corner.right ? corner.x - dx - die.w + 1 : corner.x + dx;
          const y0 = corner.bottom ? corner.y - dy - die.h + 1 : corner.y + dy;
          const fit = fitAt(share.label, x0, y0, die, sight, edge);
          if (fit && fit.sure > (best?.sure ?? 0)) best = fit;
        }
  return best;
}

interface Corner {
  readonly x: number;
  readonly y: number;
  readonly right: boolean;
  readonly bottom: boolean;
}

/** The outermost corners of what is left of a part: of its first and last row, and of its first and last column. */
function cornersOf(share: Share, blobs: Blobs): Corner[] {
  const reach = 4; // past rounded corners and ragged rims
  const corners: Corner[] = [];
  for (const upright of [false, true]) {
    const [from, to] = upright ? [share.x0, share.x1] : [share.y0, share.y1];
    const endsAt = (at: number): readonly [number, number] | null => {
      const span = spanAt(share, blobs, upright, at);
      return span && span.count >= SLIVER ? span.ends : null;
    };
    for (const far of [false, true])
      for (let k = 0; k <= to - from; k++) {
        const at = far ? to - k : from + k;
        const outer = endsAt(at);
        if (!outer) continue;
        const [first, last] = endsAt(far ? at - reach : at + reach) ?? outer;
        corners.push(
          ...(upright
            ? [
                { x: at, y: first, right: far, bottom: false },
                { x: at, y: last, right: far, bottom: true },
              ]
            : [
                { x: first, y: at, right: false, bottom: far },
                { x: last, y: at, right: true, bottom: far },
              ]),
        );
        break;
      }
  }
  return corners;
}

function fitAt(label: number, x0: number, y0: number, { w, h, count }: Die, sight: Sight, edge: number): Fit | null {
  const { labels, width, height } = sight.blobs;
  const [x1, y1] = [x0 + w - 1, y0 + h - 1];
  if (x0 < ASIDE + 20 || y0 < ASIDE + 20 || x1 >= width - ASIDE - 20 || y1 >= height - ASIDE - 20) return null;
  let [seen, filled] = [0, 0];
  for (let y = y0 + 1; y < y1; y += 3)
    for (let x = x0 + 1; x < x1; x += 3) {
      seen++;
      if (labels[y * width + x] === label) filled++;
    }
  if (filled < FILLED * seen) return null;
  let sum = 0;
  for (const [upright, at, from, to, out] of [
    [true, x0, y0, y1, -1],
    [true, x1, y0, y1, 1],
    [false, y0, x0, x1, -1],
    [false, y1, x0, x1, 1],
  ] as const) {
    const shown = edgeShows(label, upright, at, from, to, out, count > 1 ? ALONE : ALONE_ONCE, sight);
    if (shown < edge) return null;
    sum += shown;
  }
  return sum / 4 < MEAN ? null : { x0, y0, x1, y1, sure: sum / 4 + (w * h) / (10 * width * height) };
}

/** How much of an edge shows, 0-1: by what lies beyond it, by the knife's line, or where two colors meet. */
function edgeShows(
  label: number,
  upright: boolean,
  at: number,
  from: number,
  to: number,
  out: 1 | -1,
  alone: number,
  { blobs: { labels, width }, marks, planes, least }: Sight,
): number {
  const across = upright ? 1 : width;
  const lines = upright ? marks.upright : marks.level;
  const shows = (i: number): boolean => {
    let line = 0;
    for (let k = -STRAY; k <= STRAY; k++) line = Math.max(line, lines[i + k * across] as number);
    return line > least || apart(planes, i - ASIDE * across, i + ASIDE * across) > STEP;
  };
  let [count, ended, shown, beside] = [0, 0, 0, 0];
  for (let along = from + 2; along <= to - 2; along++) {
    const i = upright ? along * width + at : at * width + along;
    const within = i - ASIDE * out * across;
    if (labels[within] !== label) continue;
    count++;
    const beyond = i + ASIDE * out * across;
    if (labels[beyond] !== label) {
      ended++;
      continue;
    }
    if (shows(i)) shown++;
    for (const d of BESIDE) if (shows(i - d * out * across)) beside += 1 / BESIDE.length;
  }
  if (!count) return 0;
  const inner = count - ended;
  if (inner > count * 0.1 && (shown - beside) / inner < Math.max(alone, (BUSY * beside) / inner)) return 0;
  return (ended + shown) / count;
}
