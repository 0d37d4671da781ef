/** Rows of a list are so high, mm. */
const LOWEST = 3.6;
const HIGHEST = 13;
/** So much must a row be like the next one, 0-1. */
const LIKE = 0.6;
/** What stands out by more than so many times the usual counts no more: a header's edge is no row. */
const CAPPED = 4;
/** Rows take so much of a list's height; below a header and above a foot there are none. */
const TAKES = 0.45;
/** And hold so much of all that changes: what grain repeats is nothing. */
const HOLDS = 0.5;
const FEWEST = 3;
const MOST = 24;
/** A row may lack so much of its height, at the first and at the last one. */
const SLACK = 0.2;

/**
 * How many rows to tick a piece has: what is printed must repeat evenly over a good part of its height, wherever that
 * begins, and not from side to side, as a pattern does. 0: none.
 * @param down how much changes at each row of pixels; @param across at each column
 * @param scale pixels a millimeter
 */
export function rowsOf(down: Float32Array, across: Float32Array, scale: number): number {
  const run = longestRun(down, scale);
  if (!run || run.rows < FEWEST || run.rows > MOST) return 0;
  return longestRun(across, scale) ? 0 : run.rows;
}

interface Run {
  readonly rows: number;
  readonly score: number;
}

/** The run of like stretches that takes most of a signal; null: they take too little of it. */
function longestRun(signal: Float32Array, scale: number): Run | null {
  const even = centered(signal);
  if (!even) return null;
  const n = even.length;
  const power = new Float64Array(n + 1);
  even.forEach((v, i) => (power[i + 1] = (power[i] as number) + v * v));
  let best: Run | null = null;
  for (let pitch = Math.round(LOWEST * scale); pitch <= Math.min(HIGHEST * scale, n / 2.2); pitch++) {
    const like = likenesses(even, pitch);
    let [start, sum] = [-1, 0];
    for (let i = 0; i <= like.length; i++) {
      const now = i < like.length ? (like[i] as number) : -1;
      if (now >= LIKE) {
        if (start < 0) [start, sum] = [i, 0];
        sum += now;
        continue;
      }
      if (start >= 0) {
        const rows = Math.floor((i - 1 - start) / pitch + 2 + SLACK);
        // of a pitch and its multiples the least
        const score = sum + pitch;
        const holds = (power[Math.min(n, i - 1 + 2 * pitch)] as number) - (power[start] as number);
        if (holds < HOLDS * (power[n] as number)) {
          start = -1;
          continue;
        }
        if (rows >= FEWEST - 1 && rows * pitch >= TAKES * n && (!best || score > best.score * 1.02))
          best = { rows, score };
      }
      start = -1;
    }
  }
  return best && best.rows >= FEWEST ? best : null;
}

/** Less its mean, its heights capped; null: nothing changes in it. */
function centered(signal: Float32Array): Float32Array | null {
  const usual = signal.reduce((s, v) => s + v, 0) / signal.length;
  if (!usual) return null;
  const capped = signal.map((v) => Math.min(v, CAPPED * usual));
  const mean = capped.reduce((s, v) => s + v, 0) / signal.length;
  return capped.map((v) => v - mean);
}

/** How like each stretch of a length is to the one after it: their correlation, by where the first begins. */
function likenesses(even: Float32Array, pitch: number): Float32Array {
  const count = Math.max(0, even.length - 2 * pitch + 1);
  const out = new Float32Array(count);
  let [both, one, other] = [0, 0, 0];
  const add = (i: number, sign: number): void => {
    const [p, q] = [even[i] as number, even[i + pitch] as number];
    both += sign * p * q;
    one += sign * p * p;
    other += sign * q * q;
  };
  for (let i = 0; i < pitch && i + pitch < even.length; i++) add(i, 1);
  for (let i = 0; i < count; i++) {
    out[i] = one > 0 && other > 0 ? both / Math.sqrt(one * other) : 0;
    if (i + 1 < count) {
      add(i, -1);
      add(i + pitch, 1);
    }
  }
  return out;
}
