import { areAlike } from './alike';
import type { Sight } from './chord';
import { contrastOf } from './chord';
import type { Die } from './dies';
import type { Share } from './share';

/** mm */
const EVEN = 0.5;
/** A row whose size is not known is parted into so many at the most, none of them shorter, mm. */
const MOST = 4;
const SHORTEST = 10;
/** So much of each of its cuts must show. */
const SHOWN = 0.75;
/** And by so much more than beside it, where one sticker's picture repeats itself. */
const REPEATED = 0.5;

/**
 * Parts a row, or a column, of stickers of one size that look alike: where the sheet has that size, what two neighbors
 * have in common tells that they are two. A picture that goes on over both is not the same twice. Where the sheet has
 * no such size, more must be seen of the cuts.
 */
export function partedEvenly(share: Share, dies: readonly Die[], sight: Sight): Share[] | null {
  const { scale } = sight;
  const [w, h] = [share.x1 - share.x0 + 1, share.y1 - share.y0 + 1];
  const slack = EVEN * scale;
  for (const die of dies) {
    const across = Math.round(w / die.w);
    const down = Math.round(h / die.h);
    if (across * down < 2 || (across > 1 && down > 1)) continue;
    if (Math.abs(w - across * die.w) > slack * across || Math.abs(h - down * die.h) > slack * down) continue;
    const parts = inLine(share, across > 1, across * down);
    if (areCopies(parts, sight, (repeats) => (repeats ? { by: PLAIN, on: SHOWN } : { by: PATTERNED, on: 0 })))
      return parts;
  }
  const across = w > h;
  for (let n = Math.min(MOST, Math.floor(Math.max(w, h) / (SHORTEST * scale))); n >= 2; n--) {
    const parts = inLine(share, across, n);
    if (areCopies(parts, sight, (repeats) => ({ by: repeats ? REPEATED : PATTERNED, on: SHOWN }))) return parts;
  }
  return null;
}

/** A share in equal parts, one beside or below the other. */
function inLine(share: Share, across: boolean, count: number): [Share, ...Share[]] {
  const { x0, y0, cut } = share;
  const [w, h] = [share.x1 - x0 + 1, share.y1 - y0 + 1];
  return Array.from({ length: count }, (_, i): Share => {
    const [inner, last] = [i > 0, i < count - 1];
    return across
      ? {
          ...share,
          x0: x0 + Math.round((w * i) / count),
          x1: x0 + Math.round((w * (i + 1)) / count) - 1,
          cut: { ...cut, left: inner || cut.left, right: last || cut.right },
        }
      : {
          ...share,
          y0: y0 + Math.round((h * i) / count),
          y1: y0 + Math.round((h * (i + 1)) / count) - 1,
          cut: { ...cut, top: inner || cut.top, bottom: last || cut.bottom },
        };
  }) as [Share, ...Share[]];
}

/**
 * Whether parts of one row show the same and the knife went between them.
 * @param least how much of each cut must show, and by how much more than what is beside it, where the print repeats
 * itself within one part and where it does not
 */
function areCopies(
  parts: readonly [Share, ...Share[]],
  sight: Sight,
  least: (repeats: boolean) => { readonly by: number; readonly on: number },
): boolean {
  const [first, ...others] = parts;
  const { blobs, planes } = sight;
  if (!others.every((o) => areAlike(first, o, planes.l, blobs.width))) return false;
  const [next] = others as [Share];
  const [dx, dy] = [(next.x0 - first.x0) >> 1, (next.y0 - first.y0) >> 1];
  const aside = { ...first, x0: first.x0 + dx, x1: first.x1 + dx, y0: first.y0 + dy, y1: first.y1 + dy };
  const needed = least(areAlike(first, aside, planes.l, blobs.width));
  const upright = next.x0 > first.x0;
  const row: Share = { ...first, x1: (parts.at(-1) as Share).x1, y1: (parts.at(-1) as Share).y1 };
  return parts.slice(0, -1).every((p) => {
    const { by, on } = contrastOf(row, sight, upright, upright ? p.x1 : p.y1);
    return by > needed.by && on >= needed.on;
  });
}

/** By so much more a cut shows than what is beside it: where the print repeats itself anyway, and where it does not. */
const PLAIN = 0.4;
const PATTERNED = 0.08;
