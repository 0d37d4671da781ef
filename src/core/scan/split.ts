import type { Blobs } from './blobs';
import { isLargeEnough } from './blobs';
import { believed, dieOf, diesOf } from './dies';
import type { LabPlanes } from './lab-planes';
import type { Part } from './parts';
import { seamsOf } from './seams';
import type { Share } from './share';
import type { Sight } from './sight';
import { tilerOf } from './tiling';

/** A sticker fills so much of its rectangle; a flag's notch or a heart's shoulders are the emptiest. */
const FILLED = 0.45;
/** So many blocks of one size are most likely one sticker each. */
const MANY = 3;
/** So often the sizes that were found are looked for in what is left. */
const ROUNDS = 3;

/**
 * Parts stickers that touch. A sheet's stickers are cut to a few sizes: those that were found more than once are
 * believed, and what has none of them is parted anew with them in mind.
 * @param scale pixels a millimeter
 */
export function splitAll(blobs: Blobs, planes: LabPlanes, scale: number): Share[] {
  const sight: Sight = { blobs, planes, seams: seamsOf(planes, blobs.labels, scale), scale };
  const blocks = blobs.parts.map(whole);
  const common = diesOf(blocks, scale).filter((d) => d.count >= MANY);
  const tilers = blocks.map((block) => tilerOf(block, sight, dieOf(block, common, scale) !== undefined));
  let shares: (readonly Share[])[] = blocks.map(() => []);
  for (let round = 0; round < ROUNDS; round++) {
    const large = shares.flat().filter((s) => isLargeEnough(s, scale));
    const known = believed(diesOf(large, scale), scale);
    const before = shares;
    shares = tilers.map((tile, i) => tile(known, before[i] as readonly Share[]));
    if (shares.every((some, i) => areSame(some, before[i] as readonly Share[]))) break;
  }
  const last = blobs.parts.reduce((most, part) => Math.max(most, part.label), 0);
  return shares
    .flat()
    .map((s, i) => relabeled(s, last + 1 + i, blobs))
    .filter((s) => isSticker(s, blobs, scale));
}

const areSame = (some: readonly Share[], others: readonly Share[]): boolean =>
  some.length === others.length &&
  some.every((one, i) => {
    const other = others[i] as Share;
    return one.x0 === other.x0 && one.y0 === other.y0 && one.x1 === other.x1 && one.y1 === other.y1;
  });

/** Gives a share's pixels a label of their own. */
function relabeled(share: Share, label: number, { labels, width }: Blobs): Share {
  const { label: old, x0, y0, x1, y1 } = share;
  for (let y = y0; y <= y1; y++)
    for (let x = x0; x <= x1; x++) if (labels[y * width + x] === old) labels[y * width + x] = label;
  return { ...share, label };
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
