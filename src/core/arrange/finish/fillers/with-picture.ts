import { tasteCost } from '../../../spread/choose';
import type { Stretch } from '../../../spread/free-room';
import { INSET, picturesFor, whole } from './filler';
import type { Filler, Group, OpenDay } from './filler';

/** Pictures that are tried at a box; the last look changes them. From memory. */
const TRIED = 2;
/** A picture takes so much of its box's width at most; over an edge it lies on it by so much. From memory. */
const MOST = 0.6;
const OVER = 0.35;

/**
 * A box to write on with a picture in a lower corner, or over its upper or lower edge: it does not look left over, and
 * there is room to write.
 */
export function withPicture(open: OpenDay, box: Filler, s: Stretch): Group[] {
  if (box.piece.kind === 'full-box' || box.parts.length > 1) return [];
  const { context } = open;
  const pictures = picturesFor(open, box.w * MOST).slice(0, TRIED);
  const foot = box.y + box.h;
  return pictures.flatMap((p) => {
    const within = p.height <= box.h - 2 * INSET ? [foot - INSET - p.height] : [];
    const over = [foot - p.height * OVER, box.y - p.height * (1 - OVER)].filter(
      (y) => y >= s.from && y + p.height <= s.to,
    );
    const [left, right] = [box.x + INSET, box.x + box.w - INSET - p.width];
    return [...within, ...over].flatMap((y) =>
      [left, right].map((x) => [box, whole(open, p, { x, y, layer: box.layer + 1, cost: tasteCost(p, context) })]),
    );
  });
}
