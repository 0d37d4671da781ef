/**
 * How far each pixel is from the nearest one that is set, px: two passes with weights 1 and 1.4 (chamfer distance).
 * Source: Borgefors (1986), from memory.
 */
export function distances(set: Uint8Array, width: number, height: number, most = 255): Float32Array {
  const far = new Float32Array(set.length);
  for (let i = 0; i < set.length; i++) far[i] = set[i] ? 0 : most;
  const D = 1.414;
  for (let y = 0; y < height; y++)
    for (let x = 0; x < width; x++) {
      const i = y * width + x;
      let d = far[i] as number;
      if (x > 0) d = Math.min(d, (far[i - 1] as number) + 1);
      if (y > 0) {
        d = Math.min(d, (far[i - width] as number) + 1);
        if (x > 0) d = Math.min(d, (far[i - width - 1] as number) + D);
        if (x < width - 1) d = Math.min(d, (far[i - width + 1] as number) + D);
      }
      far[i] = d;
    }
  for (let y = height - 1; y >= 0; y--)
    for (let x = width - 1; x >= 0; x--) {
      const i = y * width + x;
      let d = far[i] as number;
      if (x < width - 1) d = Math.min(d, (far[i + 1] as number) + 1);
      if (y < height - 1) {
        d = Math.min(d, (far[i + width] as number) + 1);
        if (x > 0) d = Math.min(d, (far[i + width - 1] as number) + D);
        if (x < width - 1) d = Math.min(d, (far[i + width + 1] as number) + D);
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
