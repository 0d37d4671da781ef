import type { Share } from './share';

/** A size that stickers of a sheet are cut to, px, and how many were found of it. */
export interface Die {
  readonly w: number;
  readonly h: number;
  readonly count: number;
}

/** Sizes nearer than this are one, mm. */
export const ALIKE = 0.45;
/** The sizes of some shares, each once, the larger ones first. */
export function diesOf(shares: readonly Share[], scale: number): Die[] {
  const dies: { w: number; h: number; n: number }[] = [];
  for (const s of shares) {
    const [w, h] = [s.x1 - s.x0 + 1, s.y1 - s.y0 + 1];
    const known = dies.find((d) => Math.abs(d.w / d.n - w) < ALIKE * scale && Math.abs(d.h / d.n - h) < ALIKE * scale);
    if (known) {
      known.w += w;
      known.h += h;
      known.n++;
    } else dies.push({ w, h, n: 1 });
  }
  return dies
    .map(({ w, h, n }) => ({ w: Math.round(w / n), h: Math.round(h / n), count: n }))
    .sort((a, b) => b.w * b.h - a.w * a.h);
}

/** The size that a share has; undefined: none of these. */
export const dieOf = (s: Share, dies: readonly Die[], scale: number): Die | undefined =>
  dies.find(
    (d) => Math.abs(d.w - (s.x1 - s.x0 + 1)) <= ALIKE * scale && Math.abs(d.h - (s.y1 - s.y0 + 1)) <= ALIKE * scale,
  );

/** Stickers side by side differ by so much, mm: one, and each further one. */
const IN_A_ROW = 0.6;
const EACH = 0.3;

/** How many of a size lie side by side, in a row or a column, in a rectangle, px; 0: they do not fill it. */
export function timesIn({ w, h }: Pick<Die, 'w' | 'h'>, die: Pick<Die, 'w' | 'h'>, scale: number): number {
  const [across, down] = [Math.max(1, Math.round(w / die.w)), Math.max(1, Math.round(h / die.h))];
  if (across > 1 && down > 1) return 0;
  const slack = (n: number): number => (IN_A_ROW + EACH * (n - 1)) * scale;
  return Math.abs(w - across * die.w) <= slack(across) && Math.abs(h - down * die.h) <= slack(down) ? across * down : 0;
}

/** The sizes that are believed: those of more than one sticker that are not several of one as common. */
export function believed(dies: readonly Die[], scale: number): Die[] {
  const many = dies.filter((d) => d.count > 1);
  return many.filter((d) => !many.some((o) => o.count >= d.count && timesIn(d, o, scale) > 1));
}
