import type { Shape } from '../kit/kinds';

/** A sticker's outline row by row: how far its first and last pixel are from the rectangle's left, mm. */
export interface Outline {
  readonly width: number;
  readonly height: number;
  /** for each row from the top: left and right end, mm; null where the row is empty */
  readonly rows: readonly (readonly [number, number] | null)[];
  /** share of its rectangle that it fills */
  readonly filled: number;
}

/** Names the outline by where it leaves its rectangle empty. */
export function shapeOf({ width, height, rows, filled }: Outline): Shape {
  const at = (share: number): readonly [number, number] =>
    rows[Math.min(rows.length - 1, Math.max(0, Math.round(share * (rows.length - 1))))] ?? [0, 0];
  const gapRight = (share: number): number => width - at(share)[1];
  const gapLeft = (share: number): number => at(share)[0];
  if (Math.abs(width / height - 1) < 0.1 && isRound(width, at)) return 'circle';
  if (filled < 0.8 && gapLeft(0.06) > width * 0.25 && gapRight(0.06) > width * 0.25 && gapLeft(0.65) < width * 0.06)
    return 'teardrop';
  if (filled < 0.82 && gapLeft(0.94) > width * 0.25 && gapRight(0.94) > width * 0.25 && gapLeft(0.3) < width * 0.12)
    return 'heart';
  const step = Math.min(2.5, height * 0.3);
  if (gapRight(0.5) > step * 0.6 && gapRight(0.04) < step * 0.35 && gapRight(0.96) < step * 0.35) return 'notched';
  if (gapRight(0.04) > step * 0.6 && gapRight(0.96) > step * 0.6 && gapRight(0.5) < step * 0.35 && gapLeft(0.04) < 0.6)
    return 'pointed';
  if (waves(rows.map((r) => r?.[0] ?? 0)) && waves(rows.map((r) => width - (r?.[1] ?? width)))) return 'scalloped';
  if (filled < 0.9) return 'free';
  const corner = Math.min(0.12, 0.5 / height);
  const cut = [gapLeft(corner), gapRight(corner), gapLeft(1 - corner), gapRight(1 - corner)].filter(
    (gap) => gap > 0.42,
  );
  return cut.length >= 3 ? 'rounded' : 'rect';
}

/** True when its rows are as long as a circle's, within an eleventh of its width. */
function isRound(width: number, at: (share: number) => readonly [number, number]): boolean {
  return [0.08, 0.2, 0.35, 0.65, 0.8, 0.92].every((share) => {
    const [left, right] = at(share);
    const chord = 2 * Math.sqrt(share * (1 - share)) * width;
    const slack = Math.max(0.6, width / 11);
    return Math.abs(right - left - chord) < slack && Math.abs(left - (width - chord) / 2) < slack;
  });
}

/** True when an edge goes in and out several times, by a quarter of a millimeter or more: bows are seen shallow. */
function waves(gaps: readonly number[]): boolean {
  const inner = gaps.slice(Math.floor(gaps.length * 0.08), Math.ceil(gaps.length * 0.92));
  const [low, high] = [Math.min(...inner), Math.max(...inner)];
  if (high - low < 0.22 || high - low > 2) return false;
  const middle = (low + high) / 2;
  let turns = 0;
  for (let i = 1; i < inner.length; i++)
    if ((inner[i] as number) > middle !== (inner[i - 1] as number) > middle) turns++;
  return turns >= 3;
}
