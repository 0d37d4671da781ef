import type { Die } from './dies';
import { ALIKE, dieOf } from './dies';
import type { Share } from './share';
import { isCut } from './share';

/** Px by which what is joined may stand out of its size. */
const OUT = 6;
/** So much of the size must be there. */
const COVERED = 0.88;

/**
 * What cuts through a sticker have parted by mistake: neighbors that together fill a size that the sheet has more than
 * once, and of which not all have sizes of their own.
 * @returns groups of shares, each of which is one sticker
 */
export function healed(shares: readonly Share[], dies: readonly Die[], scale: number): Share[][] {
  const slack = ALIKE * scale;
  const countOf = (s: Share): number => dieOf(s, dies, scale)?.count ?? 0;
  const groups: Share[][] = [];
  const taken = new Set<Share>();
  for (const orphan of shares) {
    if (taken.has(orphan) || countOf(orphan) > 1 || !isCut(orphan)) continue;
    const group = dies
      .filter((d) => d.count > 1)
      .flatMap((die) => cornersAt(orphan, die).map((rect) => within(rect, shares, slack)))
      .find((g) => g !== null && g.every((s) => !taken.has(s)));
    if (!group) continue;
    groups.push(group);
    for (const s of group) taken.add(s);
  }
  return groups;
}

type Box = Pick<Share, 'x0' | 'y0' | 'x1' | 'y1'>;

/** The four places of a size in which a share lies in one of its corners. */
const cornersAt = ({ x0, y0, x1, y1 }: Share, { w, h }: Die): Box[] =>
  [x0, x1 - w + 1].flatMap((x) => [y0, y1 - h + 1].map((y) => ({ x0: x, y0: y, x1: x + w - 1, y1: y + h - 1 })));

/** The shares that fill a rectangle; null where it is not filled, or where one of them lies half in it. */
function within(rect: Box, shares: readonly Share[], slack: number): Share[] | null {
  const inside: Share[] = [];
  let filled = 0;
  for (const s of shares) {
    const w = Math.min(s.x1, rect.x1) - Math.max(s.x0, rect.x0) + 1;
    const h = Math.min(s.y1, rect.y1) - Math.max(s.y0, rect.y0) + 1;
    if (w <= OUT || h <= OUT) continue;
    if (s.x1 - s.x0 + 1 - w > OUT || s.y1 - s.y0 + 1 - h > OUT || !isCut(s)) return null;
    inside.push(s);
    filled += w * h;
  }
  const [w, h] = [rect.x1 - rect.x0 + 1, rect.y1 - rect.y0 + 1];
  const ends = (key: keyof Box, most: typeof Math.max): number => most(...inside.map((s) => s[key]));
  const fills =
    inside.length > 1 &&
    filled >= COVERED * w * h &&
    Math.abs(ends('x1', Math.max) - ends('x0', Math.min) + 1 - w) <= slack &&
    Math.abs(ends('y1', Math.max) - ends('y0', Math.min) + 1 - h) <= slack;
  return fills ? inside : null;
}
