import type { Blobs } from './blobs';
import type { Sight } from './chord';
import { ASIDE, STEP, STRAY, apart, contrastOf } from './chord';
import type { Share } from './share';
import { isCut, spanAt } from './share';

/** A size that stickers of a sheet are cut to, px, and how many were found of it. */
export interface Die {
  readonly w: number;
  readonly h: number;
  readonly count: number;
}

/** Sizes nearer than this are one, mm. */
const ALIKE = 0.45;
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

/** Halves of a row that are copies differ by less, lightness over fields of FIELD px. */
const COPIES = 3;
const FIELD = 4;
/** mm */
const EVEN = 0.5;
/** A row whose size is not known is parted into so many at the most, none of them shorter, mm. */
const MOST = 4;
const SHORTEST = 10;
/** So much of each of its cuts must show. */
const SHOWN = 0.75;
/** And by so much more than beside it, where one sticker's picture repeats itself. */
const REPEATED = 0.5;

/**
 * Parts a row, or a column, of stickers of one size that look alike: where the sheet has that size, what two neighbors
 * have in common tells that they are two. A picture that goes on over both is not the same twice. Where the sheet has
 * no such size, more must be seen of the cuts.
 */
export function partedEvenly(share: Share, dies: readonly Die[], sight: Sight): Share[] | null {
  const { scale } = sight;
  const [w, h] = [share.x1 - share.x0 + 1, share.y1 - share.y0 + 1];
  const slack = EVEN * scale;
  for (const die of dies) {
    const across = Math.round(w / die.w);
    const down = Math.round(h / die.h);
    if (across * down < 2 || (across > 1 && down > 1)) continue;
    if (Math.abs(w - across * die.w) > slack * across || Math.abs(h - down * die.h) > slack * down) continue;
    const parts = inLine(share, across > 1, across * down);
    if (areCopies(parts, sight, (repeats) => (repeats ? { by: PLAIN, on: SHOWN } : { by: PATTERNED, on: 0 })))
      return parts;
  }
  const across = w > h;
  for (let n = 2; n <= MOST && Math.max(w, h) / n >= SHORTEST * scale; n++) {
    const parts = inLine(share, across, n);
    if (areCopies(parts, sight, (repeats) => ({ by: repeats ? REPEATED : PATTERNED, on: SHOWN }))) return parts;
  }
  return null;
}

/** A share in equal parts, one beside or below the other. */
function inLine(share: Share, across: boolean, count: number): [Share, ...Share[]] {
  const { x0, y0, cut } = share;
  const [w, h] = [share.x1 - x0 + 1, share.y1 - y0 + 1];
  return Array.from({ length: count }, (_, i): Share => {
    const [inner, last] = [i > 0, i < count - 1];
    return across
      ? {
          ...share,
          x0: x0 + Math.round((w * i) / count),
          x1: x0 + Math.round((w * (i + 1)) / count) - 1,
          cut: { ...cut, left: inner || cut.left, right: last || cut.right },
        }
      : {
          ...share,
          y0: y0 + Math.round((h * i) / count),
          y1: y0 + Math.round((h * (i + 1)) / count) - 1,
          cut: { ...cut, top: inner || cut.top, bottom: last || cut.bottom },
        };
  }) as [Share, ...Share[]];
}

/**
 * Whether parts of one row show the same and the knife went between them.
 * @param least how much of each cut must show, and by how much more than what is beside it, where the print repeats
 * itself within one part and where it does not
 */
function areCopies(
  parts: readonly [Share, ...Share[]],
  sight: Sight,
  least: (repeats: boolean) => { readonly by: number; readonly on: number },
): boolean {
  const [first, ...others] = parts;
  const { blobs, planes } = sight;
  if (!others.every((o) => areAlike(first, o, planes.l, blobs.width))) return false;
  const [next] = others as [Share];
  const [dx, dy] = [(next.x0 - first.x0) >> 1, (next.y0 - first.y0) >> 1];
  const aside = { ...first, x0: first.x0 + dx, x1: first.x1 + dx, y0: first.y0 + dy, y1: first.y1 + dy };
  const needed = least(areAlike(first, aside, planes.l, blobs.width));
  const upright = next.x0 > first.x0;
  const row: Share = { ...first, x1: (parts.at(-1) as Share).x1, y1: (parts.at(-1) as Share).y1 };
  return parts.slice(0, -1).every((p) => {
    const { by, on } = contrastOf(row, sight, upright, upright ? p.x1 : p.y1);
    return by > needed.by && on >= needed.on;
  });
}

/** By so much more a cut shows than what is beside it: where the print repeats itself anyway, and where it does not. */
const PLAIN = 0.4;
const PATTERNED = 0.08;

/** Whether two shares of one size show the same, give or take a pixel or two. */
function areAlike(one: Share, other: Share, l: Float32Array, width: number): boolean {
  const rim = 6;
  const w = Math.min(one.x1 - one.x0, other.x1 - other.x0) - 2 * rim;
  const h = Math.min(one.y1 - one.y0, other.y1 - other.y0) - 2 * rim;
  let best = Infinity;
  for (let dx = -2; dx <= 2; dx++)
    for (let dy = -2; dy <= 2; dy++) {
      let [sum, fields] = [0, 0];
      for (let v = 0; v + FIELD <= h; v += FIELD * 2)
        for (let u = 0; u + FIELD <= w; u += FIELD * 2) {
          let apartBy = 0;
          for (let k = 0; k < FIELD; k++) {
            const i = (one.y0 + rim + v + k) * width + one.x0 + rim + u + k;
            const j = (other.y0 + rim + dy + v + k) * width + other.x0 + rim + dx + u + k;
            apartBy += (l[i] as number) - (l[j] as number);
          }
          sum += Math.abs(apartBy) / FIELD;
          fields++;
        }
      best = Math.min(best, sum / Math.max(1, fields));
    }
  return best < COPIES;
}

/** Px by which what is joined may stand out of its size. */
const OUT = 6;
/** So much of the size must be there. */
const COVERED = 0.88;

/**
 * What cuts through a sticker have parted by mistake: neighbors that together fill a size that the sheet has more than
 * once, and of which not all have sizes of their own.
 * @returns groups of shares, each of which is one sticker
 */
export function healed(shares: readonly Share[], dies: readonly Die[], scale: number): Share[][] {
  const slack = ALIKE * scale;
  const countOf = (s: Share): number => dieOf(s, dies, scale)?.count ?? 0;
  const groups: Share[][] = [];
  const taken = new Set<Share>();
  for (const orphan of shares) {
    if (taken.has(orphan) || countOf(orphan) > 1 || !isCut(orphan)) continue;
    const group = dies
      .filter((d) => d.count > 1)
      .flatMap((die) => cornersAt(orphan, die).map((rect) => within(rect, shares, slack)))
      .find((g) => g !== null && g.every((s) => !taken.has(s)));
    if (!group) continue;
    groups.push(group);
    for (const s of group) taken.add(s);
  }
  return groups;
}

type Box = Pick<Share, 'x0' | 'y0' | 'x1' | 'y1'>;

/** The four places of a size in which a share lies in one of its corners. */
const cornersAt = ({ x0, y0, x1, y1 }: Share, { w, h }: Die): Box[] =>
  [x0, x1 - w + 1].flatMap((x) => [y0, y1 - h + 1].map((y) => ({ x0: x, y0: y, x1: x + w - 1, y1: y + h - 1 })));

/** The shares that fill a rectangle; null where it is not filled, or where one of them lies half in it. */
function within(rect: Box, shares: readonly Share[], slack: number): Share[] | null {
  const inside: Share[] = [];
  let filled = 0;
  for (const s of shares) {
    const w = Math.min(s.x1, rect.x1) - Math.max(s.x0, rect.x0) + 1;
    const h = Math.min(s.y1, rect.y1) - Math.max(s.y0, rect.y0) + 1;
    if (w <= OUT || h <= OUT) continue;
    if (s.x1 - s.x0 + 1 - w > OUT || s.y1 - s.y0 + 1 - h > OUT || !isCut(s)) return null;
    inside.push(s);
    filled += w * h;
  }
  const [w, h] = [rect.x1 - rect.x0 + 1, rect.y1 - rect.y0 + 1];
  const ends = (key: keyof Box, most: typeof Math.max): number => most(...inside.map((s) => s[key]));
  const fills =
    inside.length > 1 &&
    filled >= COVERED * w * h &&
    Math.abs(ends('x1', Math.max) - ends('x0', Math.min) + 1 - w) <= slack &&
    Math.abs(ends('y1', Math.max) - ends('y0', Math.min) + 1 - h) <= slack;
  return fills ? inside : null;
}
