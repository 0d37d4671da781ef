import type { Blobs } from './blobs';
import { isLargeEnough } from './blobs';
import type { Sight } from './chord';
import { bestCut } from './chord';
import type { LabPlanes } from './lab-planes';
import type { Marks } from './marks';
import type { Part } from './reach';
import type { Share } from './share';

/** No sticker that touches another is narrower, mm: printed bands along an edge are. From memory. */
const NARROWEST = 5.3;
/** Rows and columns with fewer pixels are what a cut left of the neighbor, px. */
const SLIVER = 4;
/** A sticker fills so much of its rectangle; a flag's notch or a heart's shoulders are the emptiest. */
const FILLED = 0.45;

/**
 * Parts stickers that touch: again and again by the straight line, from one edge of the part to the other, along which
 * the knife's line shows best. Lines that stop short of an edge, as printed ones do, part nothing.
 */
export function splitAll(blobs: Blobs, marks: Marks, planes: LabPlanes, grain: number, scale: number): Share[] {
  const least = Math.max(1.3, grain * 1.3);
  const sight: Sight = { blobs, marks, planes, grain, least, scale, narrow: NARROWEST * scale };
  return blobs.parts.flatMap((part) => split(whole(part), sight)).filter((share) => isSticker(share, blobs, scale));
}

function isSticker(share: Share, { labels, width }: Blobs, scale: number): boolean {
  if (!isLargeEnough(share, scale)) return false;
  const { label, x0, y0, x1, y1 } = share;
  let filled = 0;
  for (let y = y0; y <= y1; y++) for (let x = x0; x <= x1; x++) if (labels[y * width + x] === label) filled++;
  return filled > FILLED * (x1 - x0 + 1) * (y1 - y0 + 1);
}

const whole = ({ label, x0, y0, x1, y1 }: Part): Share => ({
  label,
  x0,
  y0,
  x1,
  y1,
  cut: { left: false, top: false, right: false, bottom: false },
});

function split(share: Share, sight: Sight): Share[] {
  const { narrow } = sight;
  const tight = tightened(share, sight.blobs);
  if (!tight) return [];
  if (tight.x1 - tight.x0 < 2 * narrow && tight.y1 - tight.y0 < 2 * narrow) return [tight];
  const upright = bestCut(tight, sight, true);
  const level = bestCut(tight, sight, false);
  const best = !upright || (level && level.sure > upright.sure) ? level : upright;
  if (!best) return [tight];
  const { cut } = tight;
  const halves: Share[] = best.upright
    ? [
        { ...tight, x1: best.at - 1, cut: { ...cut, right: true } },
        { ...tight, x0: best.at + 1, cut: { ...cut, left: true } },
      ]
    : [
        { ...tight, y1: best.at - 1, cut: { ...cut, bottom: true } },
        { ...tight, y0: best.at + 1, cut: { ...cut, top: true } },
      ];
  return halves.flatMap((half) => split(half, sight));
}

/** The share's rectangle without empty rim; null when nothing is in it. */
function tightened(share: Share, { labels, width }: Blobs): Share | null {
  const { label } = share;
  const rows = new Int32Array(share.y1 - share.y0 + 1);
  const columns = new Int32Array(share.x1 - share.x0 + 1);
  for (let y = share.y0; y <= share.y1; y++)
    for (let x = share.x0; x <= share.x1; x++)
      if (labels[y * width + x] === label) {
        rows[y - share.y0] = (rows[y - share.y0] as number) + 1;
        columns[x - share.x0] = (columns[x - share.x0] as number) + 1;
      }
  const full = (n: number): boolean => n >= SLIVER;
  if (!rows.some(full) || !columns.some(full)) return null;
  const x0 = share.x0 + columns.findIndex(full);
  const x1 = share.x0 + columns.findLastIndex(full);
  const y0 = share.y0 + rows.findIndex(full);
  const y1 = share.y0 + rows.findLastIndex(full);
  const { cut } = share;
  return {
    ...share,
    x0,
    y0,
    x1,
    y1,
    cut: {
      left: cut.left && x0 === share.x0,
      top: cut.top && y0 === share.y0,
      right: cut.right && x1 === share.x1,
      bottom: cut.bottom && y1 === share.y1,
    },
  };
}
