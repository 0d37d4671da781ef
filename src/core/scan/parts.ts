/** A part of a picture that hangs together. */
export interface Part {
  readonly label: number;
  readonly count: number;
  readonly x0: number;
  readonly y0: number;
  /** the last pixel, not the one after it */
  readonly x1: number;
  readonly y1: number;
}

/**
 * The parts of what is set, by their four neighbors; `labels` says of each pixel which part it is of, 0 for none.
 * Each row's runs are joined to those they touch in the row above, then named in the order in which they are met.
 * Source: Rosenfeld and Pfaltz (1966), from memory.
 */
export function partsOf(set: Uint8Array, width: number, height: number): { labels: Int32Array; parts: Part[] } {
  const runs = runsOf(set, width, height);
  const labels = new Int32Array(set.length);
  const parts: { -readonly [K in keyof Part]: Part[K] }[] = [];
  for (const run of runs) {
    const first = firstOf(run);
    first.label ||= parts.push({ label: parts.length + 1, count: 0, x0: width, y0: run.y, x1: 0, y1: 0 });
    const part = parts[first.label - 1] as (typeof parts)[number];
    part.count += run.end - run.start;
    part.x0 = Math.min(part.x0, run.start);
    part.x1 = Math.max(part.x1, run.end - 1);
    part.y1 = run.y;
    labels.fill(first.label, run.y * width + run.start, run.y * width + run.end);
  }
  return { labels, parts };
}

/** Pixels of a row that are set, one beside the other. */
interface Run {
  readonly y: number;
  readonly start: number;
  /** the pixel after the last */
  readonly end: number;
  /** an earlier run of the same part; itself when none is known */
  before: Run | null;
  label: number;
}

function firstOf(run: Run): Run {
  let first = run;
  while (first.before) first = first.before;
  // the way is shortened for the next one
  for (let at = run; at.before;) {
    const next: Run = at.before;
    at.before = first;
    at = next;
  }
  return first;
}

/** All runs, row by row, each joined to those it touches in the row above. */
function runsOf(set: Uint8Array, width: number, height: number): Run[] {
  const runs: Run[] = [];
  let above = 0;
  for (let y = 0; y < height; y++) {
    const row = runs.length;
    for (let x = 0; x < width; x++) {
      if (!set[y * width + x]) continue;
      const start = x;
      while (x < width && set[y * width + x]) x++;
      const run: Run = { y, start, end: x, before: null, label: 0 };
      // those that end before it touch nothing that comes after it either
      while (above < row && (runs[above] as Run).end <= start) above++;
      for (let k = above; k < row && (runs[k] as Run).start < x; k++) join(firstOf(runs[k] as Run), run);
      runs.push(run);
    }
    above = row;
  }
  return runs;
}

/** The later of both begins where the earlier does. */
function join(one: Run, other: Run): void {
  const first = firstOf(other);
  if (first === one) return;
  const isEarlier = one.y < first.y || (one.y === first.y && one.start < first.start);
  if (isEarlier) first.before = one;
  else one.before = first;
}
