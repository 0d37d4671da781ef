import type { Part } from './parts';

/** Letters on the sheet's paper are no higher, nor lower, mm; words of stickers are cut out with a rim around them. */
const HIGHEST = 7;
const LOWEST = 0.7;
/** Letters of a line are so near to one another, of their height and mm, and overlap by so much of their height. */
const NEAR = 1.1;
const NEAR_MM = 2;
const OVERLAP = 0.4;
/** A line has so many of them, and is so long, mm; they are not of one width, as a row of small stickers is. */
const FEWEST = 4;
const SHORTEST = 7;
const UNEVEN = 0.2;
/** A word's upper and lower edge leap by so much of its height, and mm, within so many mm, so often a mm. */
const LEAP = 0.12;
const LEAST_LEAP = 0.25;
const WITHIN = 0.3;
const LEAPS = 0.2;

/**
 * Which parts are letters printed on the paper between the stickers, as a title or a maker's line: small things of
 * uneven width in a line, with edges that leap. No sticker.
 * @returns labels of those parts
 */
export function textLines(
  parts: readonly Part[],
  { labels, width }: { readonly labels: Int32Array; readonly width: number },
  scale: number,
): Set<number> {
  const high = (p: Part): number => p.y1 - p.y0 + 1;
  const letters = parts.filter(
    (p) => high(p) <= HIGHEST * scale && (high(p) >= LOWEST * scale || p.x1 - p.x0 >= LOWEST * scale),
  );
  const text = new Set<number>();
  for (const line of inLines(letters, scale)) {
    const wide = line.map((p) => p.x1 - p.x0 + 1);
    const long = (Math.max(...line.map((p) => p.x1)) - Math.min(...line.map((p) => p.x0)) + 1) / scale;
    if (long < SHORTEST) continue;
    const mean = wide.reduce((n, w) => n + w, 0) / wide.length;
    const stray = Math.sqrt(wide.reduce((n, w) => n + (w - mean) ** 2, 0) / wide.length) / mean;
    const leaps =
      line.reduce((n, p) => n + leapsOf(p, labels, width, scale), 0) / (wide.reduce((n, w) => n + w, 0) / scale);
    if (leaps > LEAPS && (line.length < FEWEST || stray > UNEVEN)) for (const p of line) text.add(p.label);
  }
  return text;
}

/** Groups of parts that follow one another on a line. */
function inLines(letters: readonly Part[], scale: number): Part[][] {
  const lines: Part[][] = [];
  const rest = new Set([...letters].sort((p, q) => p.x0 - q.x0));
  for (const first of rest) {
    const line = [first];
    rest.delete(first);
    for (const p of rest) {
      const follows = line.some((o) => isBeside(o, p, scale));
      if (!follows) continue;
      line.push(p);
      rest.delete(p);
    }
    lines.push(line);
  }
  return lines;
}

function isBeside(one: Part, other: Part, scale: number): boolean {
  const [h, g] = [one.y1 - one.y0 + 1, other.y1 - other.y0 + 1];
  const overlap = Math.min(one.y1, other.y1) - Math.max(one.y0, other.y0) + 1;
  const gap = Math.max(one.x0, other.x0) - Math.min(one.x1, other.x1);
  return (
    overlap >= OVERLAP * Math.min(h, g) && gap <= Math.min(NEAR * Math.max(h, g), NEAR_MM * scale + Math.max(h, g) / 3)
  );
}

/** How often the upper and the lower edge of a part leap within a few columns of pixels. */
function leapsOf({ label, x0, y0, x1, y1 }: Part, labels: Int32Array, width: number, scale: number): number {
  const [tops, lows]: [number[], number[]] = [[], []];
  for (let x = x0; x <= x1; x++) {
    let [first, last] = [y0, y1];
    while (first <= y1 && labels[first * width + x] !== label) first++;
    while (last >= first && labels[last * width + x] !== label) last--;
    tops.push(first);
    lows.push(last);
  }
  const least = Math.max(LEAST_LEAP * scale, LEAP * (y1 - y0 + 1));
  const within = Math.round(WITHIN * scale);
  let leaps = 0;
  for (const edge of [tops, lows])
    for (let k = within; k < edge.length; k++)
      if (Math.abs((edge[k] as number) - (edge[k - within] as number)) > least) {
        leaps++;
        k += within;
      }
  return leaps;
}
