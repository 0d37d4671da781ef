import { hexOfLab } from '../color/color';
import { backingOf } from './backing';
import type { Blobs } from './blobs';
import { blobsOf } from './blobs';
import { colorsOf } from './colors-of';
import { dieOf, diesOf } from './dies';
import type { Edges } from './edges';
import { edgesOf } from './edges';
import { foilOf } from './foil-of';
import type { Doubt, FoundPiece, ReadSheet } from './found';
import { kindOf } from './kind-of';
import { labPlanes } from './lab-planes';
import { leastUnlike, marksOf } from './marks';
import { rowsOf } from './rows-of';
import { designsOf } from './same-design';
import type { Seen } from './seen';
import { relit } from './seen';
import { shapeOf } from './shape-of';
import type { Share } from './share';
import { isCut } from './share';
import { splitAll } from './split';
import type { FlatSheet } from './straighten';
import type { Measured } from './true-edges';
import { trueEdges } from './true-edges';
import { usedPlaces } from './used-places';

export const SCAN_STEPS = ['light', 'lines', 'outlines', 'parting', 'measuring'] as const;
export type ScanStep = (typeof SCAN_STEPS)[number];

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
  const found = shares.map((share) => ({ share, edges: edgesOf(share, blobs, planes, backing) }));
  const measured = inReadingOrder(trueEdges(found, seen));
  const looks = measured.map((m) => m.look);
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
