import { bottom, intersect, right } from '../measure/rect';
import type { Rect } from '../measure/rect';
import type { Mark } from './sight';

/** Pieces this near keep each other company, mm. From memory. */
const NEAR = 1.3;
/** A picture this wide, as a share of its column, and this high, mm, may stand alone. From memory. */
const LARGE = 0.7;
const HIGH = 18;

/** What a picture stands with: upon something, beside something, or nothing. */
export function companyOf(p: Mark, marks: readonly Mark[]): 'upon' | 'beside' | null {
  const others = marks.filter((m) => m !== p);
  if (others.some((m) => isUpon(p, m))) return 'upon';
  return others.some((m) => isNear(p, m)) ? 'beside' : null;
}

/** True for a picture that needs no company. */
export const isLarge = (p: Mark, column: Rect): boolean => p.w >= column.w * LARGE && p.h >= HIGH;

/** True for a small picture by itself in the middle of bare paper: it fills nothing there. */
export const floats = (p: Mark, marks: readonly Mark[], column: Rect): boolean =>
  p.kind === 'deco' &&
  p.isFinish &&
  !isLarge(p, column) &&
  p.y - column.y > NEAR &&
  bottom(column) - bottom(p) > NEAR &&
  companyOf(p, marks) === null;

const isUpon = (a: Mark, b: Mark): boolean => !b.written && b.kind !== 'header' && intersect(a, b) !== null;

const isNear = (a: Mark, b: Mark): boolean =>
  b.x - right(a) < NEAR && a.x - right(b) < NEAR && b.y - bottom(a) < NEAR && a.y - bottom(b) < NEAR;
