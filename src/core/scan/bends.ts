import type { Chord, Sight } from './chord';
import { contrastOf } from './chord';
import type { Share } from './share';
import { spanAt } from './share';

/** A side that steps by more has a bend there, mm. */
const BEND = 2;
/** Within so many px it steps: corners are round. */
const WITHIN = 12;
/** From so far to so far away from it the side is straight, give or take, px: a picture's outline is not. */
const STRAIGHT = [20, 28, 36, 44];
const STRAY = 3;
/** So much of a cut from a bend must show, and by so much more than what is beside it. */
const SHOWN = 0.6;
const ALONE = 0.2;

/**
 * The cut at a bend of a block's outline: where a corner goes inwards two stickers meet, and one of the two ways on
 * from it is where the knife went. The one that shows better is taken; null where neither does.
 */
export function bentCut(share: Share, sight: Sight): Chord | null {
  let best: Chord | null = null;
  for (const { at, upright } of bendsOf(share, sight)) {
    const { narrow } = sight;
    const [from, to] = upright ? [share.x0, share.x1] : [share.y0, share.y1];
    if (at < from + narrow || at > to - narrow) continue;
    const cut = contrastOf(share, sight, upright, at);
    if (cut.on >= SHOWN && cut.by >= ALONE && cut.by > (best?.sure ?? 0)) best = { at: cut.at, upright, sure: cut.by };
  }
  return best;
}

/** Whether a block's outline goes inwards somewhere at a right angle, as that of no single sticker does. */
export const hasBends = (share: Share, sight: Sight): boolean => bendsOf(share, sight).length > 0;

/** Where the first or last pixel of a row, or of a column, leaps: both ways on from each such corner. */
function bendsOf(share: Share, { blobs, scale }: Sight) {
  const { x0, y0, x1, y1 } = share;
  const bends: { at: number; upright: boolean }[] = [];
  const ends = (upright: boolean, at: number) => spanAt(share, blobs, upright, at)?.ends ?? null;
  const near = (a: number, b: number): boolean => Math.abs(a - b) <= STRAY;
  for (const upright of [false, true]) {
    const [from, to] = upright ? [x0, x1] : [y0, y1];
    for (let along = from + WITHIN; along <= to - WITHIN; along += 2) {
      const [before, after] = [ends(upright, along - WITHIN / 2), ends(upright, along + WITHIN / 2)];
      if (!before || !after) continue;
      for (const side of [0, 1] as const) {
        const leap = after[side] - before[side];
        if (Math.abs(leap) < BEND * scale) continue;
        const isStraight = STRAIGHT.every((d) => {
          const [one, other] = [ends(upright, along - d), ends(upright, along + d)];
          return one && other && near(one[side], before[side]) && near(other[side], after[side]);
        });
        if (!isStraight) continue;
        bends.push({ at: along, upright });
        // the corner lies on the nearer of both ends
        const inward = side === 0 ? Math.max(before[0], after[0]) : Math.min(before[1], after[1]);
        bends.push({ at: inward, upright: !upright });
      }
    }
  }
  return bends.filter((b, i) => bends.findIndex((c) => c.at === b.at && c.upright === b.upright) === i);
}
