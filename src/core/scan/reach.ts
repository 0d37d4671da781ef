/**
 * How far each pixel is from the nearest one that is set, px: two passes with weights 1 and 1.4 (chamfer distance).
 * The outermost pixels are not measured: they stay at `most`. Source: Borgefors (1986), from memory.
 */
export function distances(set: Uint8Array, width: number, height: number, most = 255): Float32Array {
  const far = new Float32Array(set.length);
  for (let i = 0; i < set.length; i++) far[i] = set[i] ? 0 : most;
  const aslant = 1.414;
  const down = [-1, 1, -width, 1, -width - 1, aslant, -width + 1, aslant];
  const up = down.map((n, k) => (k % 2 ? n : -n));
  // a frame of one pixel is left out of the passes, so that no neighbor needs to be asked for
  for (const [from, to, way, steps] of [
    [1, height - 1, 1, down],
    [height - 2, 0, -1, up],
  ] as const)
    for (let y = from; y !== to; y += way)
      for (let k = 1; k < width - 1; k++) {
        const i = y * width + (way > 0 ? k : width - 1 - k);
        let d = far[i] as number;
        if (d === 0) continue;
        for (let n = 0; n < 8; n += 2) {
          const by = (far[i + (steps[n] as number)] as number) + (steps[n + 1] as number);
          if (by < d) d = by;
        }
        far[i] = d;
      }
  return far;
}

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

/** The parts of what is set, by their four neighbors; `labels` says of each pixel which part it is of, 0 for none. */
export function partsOf(set: Uint8Array, width: number, height: number): { labels: Int32Array; parts: Part[] } {
  const labels = new Int32Array(set.length);
  const queue = new Int32Array(set.length);
  const parts: Part[] = [];
  for (let start = 0; start < set.length; start++) {
    if (!set[start] || labels[start]) continue;
    const label = parts.length + 1;
    let [x0, y0, x1, y1] = [width, height, 0, 0];
    let end = 0;
    queue[end++] = start;
    labels[start] = label;
    for (let at = 0; at < end; at++) {
      const i = queue[at] as number;
      const x = i % width;
      const y = (i / width) | 0;
      if (x < x0) x0 = x;
      if (x > x1) x1 = x;
      if (y < y0) y0 = y;
      if (y > y1) y1 = y;
      if (x > 0 && set[i - 1] && !labels[i - 1]) labels[(queue[end++] = i - 1)] = label;
      if (x < width - 1 && set[i + 1] && !labels[i + 1]) labels[(queue[end++] = i + 1)] = label;
      if (y > 0 && set[i - width] && !labels[i - width]) labels[(queue[end++] = i - width)] = label;
      if (y < height - 1 && set[i + width] && !labels[i + width]) labels[(queue[end++] = i + width)] = label;
    }
    parts.push({ label, count: end, x0, y0, x1, y1 });
  }
  return { labels, parts };
}
