import { hexOfLab } from '../color/color';
import type { Backing } from './backing';
import { backingOf } from './backing';
import type { Blobs } from './blobs';
import { blobsOf } from './blobs';
import { bleedOf } from './bleed';
import { colorsOf } from './colors-of';
import type { Die } from './dies';
import { dieOf, diesOf } from './dies';
import type { Edges } from './edges';
import { edgesOf } from './edges';
import { foilOf } from './foil-of';
import type { Doubt, FoundPiece, ReadSheet } from './found';
import { kindOf } from './kind-of';
import type { LabPlanes } from './lab-planes';
import { labPlanes } from './lab-planes';
import type { Marks } from './marks';
import { leastUnlike, marksOf } from './marks';
import { rowsOf } from './rows-of';
import type { Look } from './same-design';
import { CELLS, designsOf } from './same-design';
import { shapeOf } from './shape-of';
import type { Share } from './share';
import { isCut } from './share';
import { splitAll } from './split';
import { isBare, usedPlaces } from './used-places';
import type { FlatSheet } from './straighten';

export const SCAN_STEPS = ['light', 'lines', 'outlines', 'parting', 'measuring'] as const;
export type ScanStep = (typeof SCAN_STEPS)[number];

interface Seen {
  readonly planes: LabPlanes;
  readonly backing: Backing;
  readonly marks: Marks;
  readonly blobs: Blobs;
  readonly dies: readonly Die[];
  readonly scale: number;
}

/**
 * Reads all stickers from a sheet seen straight from above: where each is, how large, its outline, colors, rows, and
 * which are copies of one design. The order is that of reading: by rows from the top left.
 * @param onStep called before each step
 */
export function readSheet(flat: FlatSheet, onStep: (step: ScanStep) => void = () => {}): ReadSheet {
  const { scale } = flat;
  onStep('light');
  const planes = labPlanes(flat);
  const backing = backingOf(planes, scale);
  onStep('lines');
  const marks = marksOf(planes, backing);
  onStep('outlines');
  const blobs = blobsOf(marks, backing.grain, scale);
  onStep('parting');
  const shares = splitAll(blobs, planes, scale);
  onStep('measuring');
  const seen: Seen = { planes, backing, marks, blobs, dies: diesOf(shares, scale), scale };
  const measured = inReadingOrder(
    withoutBleed(outermost(shares.map((share) => ({ share, edges: edgesOf(share, blobs, planes, backing) }))), seen),
  );
  const looks = measured.map((m) => lookOf(m.share, m.edges, seen));
  const designs = designsOf(looks);
  const places = usedPlaces(looks);
  const [l, a, b] = backing.best;
  return {
    width: flat.width / scale,
    height: flat.height / scale,
    backing: hexOfLab({ l, a, b }),
    pieces: alikeWithinDesigns(
      measured.map(({ share, edges }, i) => {
        const piece = pieceOf(share, edges, designs[i] as number, seen);
        return places.has(i) ? { ...piece, doubts: [...piece.doubts, 'used' as const] } : piece;
      }),
    ),
  };
}

type Measured = { readonly share: Share; readonly edges: Edges };

/** Cells at a piece's rim that its own edge smears over. */
const AT_THE_RIM = 2;
/** A part of one sticker, so much of it, lies within that one's edges: a shine on foil, a hole in a pattern. */
const WITHIN = 0.85;

/** Those that lie within no larger one: stickers lie beside one another. */
const outermost = (all: readonly Measured[]): readonly Measured[] =>
  all.filter(
    ({ edges: own }) =>
      !all.some(({ edges: e }) => {
        const [w, h] = [
          Math.min(own.right, e.right) - Math.max(own.left, e.left),
          Math.min(own.bottom, e.bottom) - Math.max(own.top, e.top),
        ];
        const area = areaOf(own);
        return areaOf(e) > area && w > 0 && h > 0 && w * h >= WITHIN * area;
      }),
  );

const areaOf = ({ left, top, right, bottom }: Edges): number => (right - left) * (bottom - top);

/** The edges where the knife went, if the print reaches beyond it. */
function withoutBleed(all: readonly Measured[], seen: Seen): readonly Measured[] {
  // a bare place is as large as the knife made it: what lies round it is not of it
  const printed = all.filter(
    ({ share, edges }) => isPrinted(share, edges, seen) && !isBare(lookOf(share, edges, seen), AT_THE_RIM),
  );
  const bleed = bleedOf(
    printed.map(({ edges }) => edges),
    seen.planes,
    seen.scale,
  );
  if (!bleed) return all;
  return all.map((m) => {
    if (!printed.includes(m)) return m;
    const { left, top, right, bottom } = m.edges;
    const edges = {
      left: left + bleed.left,
      top: top + bleed.top,
      right: right - bleed.right,
      bottom: bottom - bleed.bottom,
    };
    return edges.right - edges.left > seen.scale && edges.bottom - edges.top > seen.scale ? { ...m, edges } : m;
  });
}

/** Print is what begins at its edges; else the knife's line alone is seen there. */
function isPrinted({ label }: Share, { left, top, right, bottom }: Edges, { blobs, marks, backing }: Seen): boolean {
  const { labels, width } = blobs;
  const differs = leastUnlike(backing.grain);
  const middle = [Math.round((left + right) / 2), Math.round((top + bottom) / 2)] as const;
  const depth = 5;
  let [printed, count] = [0, 0];
  const at = (x: number, y: number): void => {
    const i = y * width + x;
    if (labels[i] !== label) return;
    count++;
    if ((marks.unlike[i] as number) > differs) printed++;
  };
  for (let x = Math.round(left) + depth; x < right - depth; x += 3) {
    at(x, Math.round(top) + depth);
    at(x, Math.round(bottom) - depth);
  }
  for (let y = Math.round(top) + depth; y < bottom - depth; y += 3) {
    at(Math.round(left) + depth, y);
    at(Math.round(right) - depth, y);
  }
  return count > 0 ? printed > count * 0.6 : labels[middle[1] * width + middle[0]] === label;
}

/** Rows from the top, within a row from the left; a row ends where the next piece lies wholly below it. */
function inReadingOrder(all: readonly Measured[]): Measured[] {
  const rest = [...all].sort((p, q) => p.edges.top - q.edges.top);
  const ordered: Measured[] = [];
  while (rest.length) {
    const top = rest[0] as Measured;
    const middle = (top.edges.top + top.edges.bottom) / 2;
    const row = rest.filter((m) => m.edges.top < middle);
    for (const m of row) rest.splice(rest.indexOf(m), 1);
    ordered.push(...row.sort((p, q) => p.edges.left - q.edges.left));
  }
  return ordered;
}

function pieceOf(share: Share, edges: Edges, design: number, seen: Seen): FoundPiece {
  const { scale, blobs } = seen;
  const tenth = (px: number): number => Math.round((px / scale) * 20) / 20;
  const w = tenth(edges.right - edges.left);
  const h = tenth(edges.bottom - edges.top);
  const shape = shapeOf(outlineOf(share, edges, blobs, scale));
  const straight = shape === 'rect' || shape === 'rounded';
  const rows = straight && Math.min(w, h) > 14 ? rowsOfPiece(edges, seen) : 0;
  const { kind, sure } = kindOf(w, h, shape, rows);
  const samples = samplesOf(share, edges, seen);
  const { color, accent } = colorsOf(samples);
  const doubts: Doubt[] = [];
  if (isFaint(share, seen)) doubts.push('faint');
  if (isLit(edges, seen)) doubts.push('glare');
  if (isCut(share) && dieOf(share, seen.dies, scale)?.count === 1) doubts.push('parting');
  if (!sure) doubts.push('kind');
  return {
    x: tenth(edges.left),
    y: tenth(edges.top),
    w,
    h,
    shape,
    color,
    accent,
    foil: foilOf(lineOver(edges, seen)),
    rows,
    kind,
    design,
    doubts,
  };
}

/** Copies have one size, color and kind: that of the one in the middle. */
function alikeWithinDesigns(pieces: readonly FoundPiece[]): FoundPiece[] {
  const middle = (numbers: readonly number[]): number => {
    const sorted = [...numbers].sort((p, q) => p - q);
    const half = sorted.length >> 1;
    const upper = sorted[half] as number;
    return sorted.length % 2 ? upper : Math.round(((sorted[half - 1] as number) + upper) * 10) / 20;
  };
  return pieces.map((piece) => {
    const copies = pieces.filter((p) => p.design === piece.design);
    return { ...piece, ...lead(copies), w: middle(copies.map((c) => c.w)), h: middle(copies.map((c) => c.h)) };
  });
}

/** What most copies are said to be. */
function lead(
  copies: readonly FoundPiece[],
): Pick<FoundPiece, 'shape' | 'rows' | 'kind' | 'foil' | 'color' | 'accent'> {
  const votes = (p: FoundPiece): number => copies.filter((c) => c.shape === p.shape && c.rows === p.rows).length;
  const { shape, rows, kind, foil, color, accent } = copies.reduce((best, p) => (votes(p) > votes(best) ? p : best));
  return { shape, rows, kind, foil, color, accent };
}

function outlineOf({ label, x0, x1 }: Share, edges: Edges, { labels, width }: Blobs, scale: number) {
  const [top, bottom] = [Math.round(edges.top), Math.round(edges.bottom)];
  const rows: ([number, number] | null)[] = [];
  let filled = 0;
  for (let y = top; y < bottom; y++) {
    let [first, last] = [-1, -1];
    for (let x = x0; x <= x1; x++)
      if (labels[y * width + x] === label) {
        if (first < 0) first = x;
        last = x;
        filled++;
      }
    rows.push(first < 0 ? null : [Math.max(0, first - edges.left) / scale, (last + 1 - edges.left) / scale]);
  }
  const [w, h] = [edges.right - edges.left, edges.bottom - edges.top];
  return { width: w / scale, height: h / scale, rows, filled: Math.min(1, filled / (w * h)) };
}

/** As it would be in the best light on the sheet: what a shadow took is given back, and what tinges it taken off. */
function relit({ planes: { l, a, b, width }, backing }: Seen, x: number, y: number): readonly [number, number, number] {
  const [bl, ba, bb] = backing.at(x, y);
  const [light, reds, yellows] = backing.best;
  const gain = (light + 16) / (bl + 16);
  const i = y * width + x;
  const own = ((l[i] as number) + 16) * gain;
  const tinge = own / (light + 16);
  return [
    own - 16,
    (a[i] as number) * gain - tinge * (ba * gain - reds),
    (b[i] as number) * gain - tinge * (bb * gain - yellows),
  ];
}

const MOST_SAMPLES = 6000;

function samplesOf({ label }: Share, edges: Edges, seen: Seen): Float32Array {
  const { labels, width } = seen.blobs;
  const [w, h] = [edges.right - edges.left, edges.bottom - edges.top];
  const step = Math.max(1, Math.floor(Math.sqrt((w * h) / MOST_SAMPLES)));
  const out: number[] = [];
  const rim = 3;
  for (let y = Math.round(edges.top) + rim; y < edges.bottom - rim; y += step)
    for (let x = Math.round(edges.left) + rim; x < edges.right - rim; x += step) {
      const inside = (dx: number, dy: number) => labels[(y + dy) * width + x + dx] === label;
      if (inside(0, 0) && inside(rim, 0) && inside(-rim, 0) && inside(0, rim) && inside(0, -rim))
        out.push(...relit(seen, x, y));
    }
  return Float32Array.from(out);
}

/** The sticker in cells: each the mean of a window twice as wide, so that it does not matter where they begin. */
function lookOf(share: Share, edges: Edges, seen: Seen): Look {
  const { scale } = seen;
  const [w, h] = [edges.right - edges.left, edges.bottom - edges.top];
  const [columns, rows] = [w, h].map((px) => Math.max(1, Math.round((px / scale) * CELLS))) as [number, number];
  const sums = new Float32Array((columns + 1) * (rows + 1) * 3);
  const counts = new Float32Array((columns + 1) * (rows + 1));
  const left = Math.ceil(edges.left);
  const columnOf = Uint16Array.from({ length: Math.max(0, Math.ceil(edges.right) - left) }, (_, i) =>
    Math.min(columns - 1, Math.floor(((left + i - edges.left) / w) * columns)),
  );
  for (let y = Math.ceil(edges.top); y < edges.bottom; y++) {
    const v = Math.min(rows - 1, Math.floor(((y - edges.top) / h) * rows));
    for (let i = 0; i < columnOf.length; i++) {
      const k = v * (columns + 1) + (columnOf[i] as number);
      const [l, a, b] = relit(seen, left + i, y);
      counts[k] = (counts[k] as number) + 1;
      sums[3 * k] = (sums[3 * k] as number) + l;
      sums[3 * k + 1] = (sums[3 * k + 1] as number) + a;
      sums[3 * k + 2] = (sums[3 * k + 2] as number) + b;
    }
  }
  const cells = new Float32Array(columns * rows * 3);
  for (let v = 0; v < rows; v++)
    for (let u = 0; u < columns; u++) {
      const k = v * (columns + 1) + u;
      const n = fourOf(counts, k, columns + 1, 1);
      for (let c = 0; c < 3; c++)
        cells[3 * (v * columns + u) + c] = fourOf(sums, 3 * k + c, 3 * (columns + 1), 3) / Math.max(1, n);
    }
  return { w: w / scale, h: h / scale, cut: isCut(share), columns, rows, cells };
}

/** A value and those to its right, below it and between these. */
const fourOf = (of: Float32Array, i: number, row: number, column: number): number =>
  (of[i] as number) + (of[i + column] as number) + (of[i + row] as number) + (of[i + row + column] as number);

function rowsOfPiece(edges: Edges, { planes: { l, width }, scale }: Seen): number {
  const [x0, x1, y0, y1] = [edges.left, edges.right, edges.top, edges.bottom].map(Math.round) as [
    number,
    number,
    number,
    number,
  ];
  const rim = 4;
  const down = new Float32Array(y1 - y0);
  for (let y = y0 + rim; y < y1 - rim; y++)
    for (let x = x0 + rim; x < x1 - rim; x++)
      down[y - y0] =
        (down[y - y0] as number) + Math.abs((l[(y + 1) * width + x] as number) - (l[(y - 1) * width + x] as number));
  const across = new Float32Array(x1 - x0);
  for (let x = x0 + rim; x < x1 - rim; x++)
    for (let y = y0 + rim; y < y1 - rim; y++)
      across[x - x0] =
        (across[x - x0] as number) + Math.abs((l[y * width + x + 1] as number) - (l[y * width + x - 1] as number));
  return rowsOf(down, across, scale);
}

/** CIELAB along the longer way through the piece, every half millimeter. */
function lineOver(edges: Edges, seen: Seen): Float32Array {
  const [w, h] = [edges.right - edges.left, edges.bottom - edges.top];
  const wide = w >= h;
  const steps = Math.max(8, Math.min(160, Math.floor((2 * Math.max(w, h)) / seen.scale) - 4));
  const out = new Float32Array(steps * 3);
  const reach = Math.max(1, Math.floor(seen.scale / 4));
  for (let k = 0; k < steps; k++) {
    const share = (k + 2.5) / (steps + 4); // not over its rim
    const cx = Math.round(wide ? edges.left + w * share : edges.left + w / 2);
    const cy = Math.round(wide ? edges.top + h / 2 : edges.top + h * share);
    let n = 0;
    for (let y = cy - reach; y <= cy + reach; y++)
      for (let x = cx - reach; x <= cx + reach; x++) {
        const lab = relit(seen, x, y);
        n++;
        for (let c = 0; c < 3; c++) out[3 * k + c] = (out[3 * k + c] as number) + (lab[c] as number);
      }
    for (let c = 0; c < 3; c++) out[3 * k + c] = (out[3 * k + c] as number) / n;
  }
  return out;
}

/** Lightness by which a spot makes a color or an edge doubtful. */
const LIT = 2.5;

function isLit({ left, top, right, bottom }: Edges, { backing: { glareAt } }: Seen): boolean {
  const between = (a: number, b: number): number[] => [0, 0.25, 0.5, 0.75, 1].map((share) => a + share * (b - a));
  return between(top, bottom).some((y) => between(left, right).some((x) => glareAt(x, y) > LIT));
}

/** Only the knife's line shows it: inside it looks as the backing does. */
function isFaint(
  { label, x0, y0, x1, y1 }: Share,
  { blobs: { labels, width }, marks: { unlike }, backing }: Seen,
): boolean {
  const differs = leastUnlike(backing.grain);
  let [alike, count] = [0, 0];
  for (let y = y0; y <= y1; y += 2)
    for (let x = x0; x <= x1; x += 2) {
      const i = y * width + x;
      if (labels[i] !== label) continue;
      count++;
      if ((unlike[i] as number) < differs) alike++;
    }
  return alike > count * 0.5;
}
