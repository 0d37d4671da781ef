import { partsOf } from './parts';

/** A small square of the sheet, by which light is learned: its color, CIELAB, and how even it is. */
export interface LightCell {
  readonly lab: readonly [l: number, a: number, b: number];
  readonly uneven: number;
}

/** The light that a lamp or a window throws back: by how much it changes the backing at each cell, CIELAB. */
export interface Glare {
  readonly columns: number;
  readonly rows: number;
  /** of lightness, and of both colors, which it takes away */
  readonly change: readonly [l: Float32Array, a: Float32Array, b: Float32Array];
}

/** From one cell to the next a spot changes gently at its foot, and faster where it is lighter; an edge does not. */
const STEP = { foot: 0.5, rising: 0.25 };
const EVEN = 4;
/** A cell so much lighter than the backing is lit; a spot has one that is lighter by the second. */
const LIT = 1.2;
const PEAK = 3.5;
/** Light takes color away, it adds none, CIELAB. */
const MORE_COLOR = 1.5;
/** So often what lies under stickers is laid between what is seen round them. */
const ROUNDS = 120;

/**
 * Spots of light on the bare backing, followed from cell to cell where nothing has an edge, so that a white sticker on
 * a darker backing is none.
 * @param cells row by row
 * @param columns how many cells are in a row
 * @param backing what each cell would be without a spot, CIELAB
 * @param near a cell that differs by less is backing
 * @returns null where no spot is
 */
export function glareOver(
  cells: readonly LightCell[],
  columns: number,
  backing: (cell: number) => readonly [number, number, number],
  near: number,
): Glare | null {
  const rows = Math.floor(cells.length / columns);
  const change = [0, 1, 2].map(() => new Float32Array(cells.length)) as unknown as Glare['change'];
  const [more] = change;
  const color = new Float32Array(cells.length);
  const bare: number[] = [];
  cells.forEach(({ lab: [l, a, b], uneven }, i) => {
    const [bl, ba, bb] = backing(i);
    [l - bl, a - ba, b - bb].forEach((by, k) => ((change[k] as Float32Array)[i] = by));
    color[i] = Math.hypot(a, b) - Math.hypot(ba, bb);
    if (uneven < EVEN && Math.hypot(l - bl, a - ba, b - bb) < near) bare.push(i);
  });
  const mayBeLit = (i: number): boolean =>
    (cells[i] as LightCell).uneven < EVEN && (more[i] as number) > LIT && (color[i] as number) < MORE_COLOR;
  const known = new Uint8Array(cells.length);
  for (const i of bare) known[i] = 1;
  const goesOn = (i: number, j: number): boolean =>
    Math.abs((more[i] as number) - (more[j] as number)) <=
    STEP.foot + STEP.rising * Math.max(more[i] as number, more[j] as number);
  const lit = new Uint8Array(cells.length);
  for (let queue = bare; queue.length;) {
    const next: number[] = [];
    for (const i of queue)
      for (const j of besides(i, columns, rows)) {
        if (known[j] || !mayBeLit(j) || !goesOn(i, j)) continue;
        known[j] = lit[j] = 1;
        next.push(j);
      }
    queue = next;
  }
  const spots = spotsOf(lit, more, columns, rows, (i, j) => known[j] === 1 && !lit[j] && !goesOn(i, j));
  if (!spots) return null;
  const bySpots = change.map((plane) => plane.map((by, i) => (spots[i] ? by : 0)));
  layBetween(bySpots, known, columns, rows);
  return { columns, rows, change: bySpots as unknown as Glare['change'] };
}

/**
 * The lit cells that are a spot: light enough, and fading into the bare backing all round. A white sticker that was got
 * into by a blurred corner has an edge against it instead. Null where none is.
 */
function spotsOf(
  lit: Uint8Array,
  more: Float32Array,
  columns: number,
  rows: number,
  hasEdge: (i: number, j: number) => boolean,
): Uint8Array | null {
  const { labels, parts } = partsOf(lit, columns, rows);
  const seen = parts.map(() => ({ peak: 0, edges: 0, fades: 0 }));
  labels.forEach((label, i) => {
    const part = seen[label - 1];
    if (!part) return;
    part.peak = Math.max(part.peak, more[i] as number);
    for (const j of besides(i, columns, rows)) {
      if (hasEdge(i, j)) part.edges++;
      else if (!labels[j]) part.fades++;
    }
  });
  // stickers may lie across a spot: one part of it must be light enough
  const isSpot = seen.map(({ edges, fades }) => fades > 2 * edges);
  return seen.some(({ peak }, i) => isSpot[i] && peak > PEAK)
    ? lit.map((_, i) => (isSpot[(labels[i] as number) - 1] ? 1 : 0))
    : null;
}

function besides(i: number, columns: number, rows: number): number[] {
  const [x, y] = [i % columns, Math.floor(i / columns)];
  const out: number[] = [];
  if (x > 0) out.push(i - 1);
  if (x < columns - 1) out.push(i + 1);
  if (y > 0) out.push(i - columns);
  if (y < rows - 1) out.push(i + columns);
  return out;
}

/** What is not known becomes the mean of what is around it, round by round. */
function layBetween(planes: readonly Float32Array[], known: Uint8Array, columns: number, rows: number): void {
  const unknown = [...known.keys()].flatMap((i) => (known[i] ? [] : [{ i, around: besides(i, columns, rows) }]));
  const backwards = unknown.toReversed();
  for (const plane of planes)
    for (let round = 0; round < ROUNDS; round++)
      for (const { i, around } of round % 2 ? unknown : backwards)
        plane[i] = around.reduce((sum, j) => sum + (plane[j] as number), 0) / around.length;
}

/** How a spot changes the backing at a place given in cells from the top left: between the middles of four cells. */
export function glareAt({ columns, rows, change }: Glare, x: number, y: number): readonly [number, number, number] {
  const u = Math.min(columns - 1.001, Math.max(0, x - 0.5));
  const v = Math.min(rows - 1.001, Math.max(0, y - 0.5));
  const [x0, y0] = [u | 0, v | 0];
  const [fx, fy] = [u - x0, v - y0];
  const i = y0 * columns + x0;
  const between = (plane: Float32Array): number => {
    const above = (plane[i] as number) * (1 - fx) + (plane[i + 1] as number) * fx;
    const below = (plane[i + columns] as number) * (1 - fx) + (plane[i + columns + 1] as number) * fx;
    return above * (1 - fy) + below * fy;
  };
  return [between(change[0]), between(change[1]), between(change[2])];
}
