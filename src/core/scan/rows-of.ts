/** Rows of a list are so high, mm. */
const LOWEST = 3.6;
const HIGHEST = 13;
/** So surely must a signal repeat, 0-1. */
const REPEATS = 0.5;

/**
 * How many rows to tick a piece has: what is printed must repeat evenly from top to bottom and not from side to side,
 * as a pattern does. 0: none.
 * @param down how much changes at each row of pixels; @param across at each column
 * @param scale pixels a millimeter
 */
export function rowsOf(down: Float32Array, across: Float32Array, scale: number): number {
  const pitch = pitchOf(down, scale);
  if (pitch === null) return 0;
  const sideways = pitchOf(across, scale);
  if (sideways !== null) return 0;
  const rows = down.length / pitch;
  const near = Math.round(rows);
  return near >= 3 && near <= 24 && Math.abs(rows - near) < 0.22 ? near : 0;
}

/** The smallest length after which a signal repeats, px; null when it does not. */
function pitchOf(signal: Float32Array, scale: number): number | null {
  const n = signal.length;
  const mean = signal.reduce((s, v) => s + v, 0) / n;
  const even = signal.map((v) => v - mean);
  const power = even.reduce((s, v) => s + v * v, 0);
  if (power === 0) return null;
  const like = (shift: number): number => {
    let [sum, one, other] = [0, 0, 0];
    for (let i = 0; i + shift < n; i++) {
      const [p, q] = [even[i] as number, even[i + shift] as number];
      sum += p * q;
      one += p * p;
      other += q * q;
    }
    return one && other ? sum / Math.sqrt(one * other) : 0;
  };
  const most = Math.min(HIGHEST * scale, n / 2.6);
  let best: { shift: number; like: number } | null = null;
  for (let shift = Math.round(LOWEST * scale); shift <= most; shift++) {
    const now = like(shift);
    if (now < REPEATS || now < like(shift - 1) || now < like(shift + 1)) continue;
    // of its multiples the first one counts, unless a later one is much better
    if (!best || now > best.like + 0.12) best = { shift, like: now };
  }
  return best?.shift ?? null;
}
