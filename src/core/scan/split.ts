import { bentCut, hasBends } from './bends';
import type { Blobs } from './blobs';
import { isLargeEnough } from './blobs';
import type { Sight } from './chord';
import { bestCut } from './chord';
import type { LabPlanes } from './lab-planes';
import type { Marks } from './marks';
import type { Die } from './dies';
import { dieOf, diesOf, layDies } from './dies';
import { healed } from './mend';
import type { Part } from './reach';
import { partsOf } from './reach';
import { partedEvenly } from './rows-of-copies';
import type { Share } from './share';
import { isCut } from './share';

/** No sticker that touches another is narrower, mm: printed bands along an edge are. From memory. */
const NARROWEST = 5.8;
/** Rows and columns with fewer pixels are what a cut left of the neighbor, px. */
const SLIVER = 4;
/** Beside a cut lies what it left of the longer neighbor, px: it makes no share wider. */
const RAGGED = 12;
/** A sticker fills so much of its rectangle; a flag's notch or a heart's shoulders are the emptiest. */
const FILLED = 0.45;

/**
 * Parts stickers that touch: again and again by the straight line, from one edge of the part to the other, along which
 * the knife's line shows best. Lines that stop short of an edge, as printed ones do, part nothing.
 */
export function splitAll(blobs: Blobs, marks: Marks, planes: LabPlanes, grain: number, scale: number): Share[] {
  const least = Math.max(1.3, grain * 1.3);
  const sight: Sight = { blobs, marks, planes, grain, least, scale, narrow: NARROWEST * scale };
  const first = blobs.parts.flatMap((part) => split(whole(part), sight));
  const shares = byTheSheetsSizes(first, sight);
  return shares.filter((share) => isSticker(share, blobs, scale));
}

/** So often the sizes that were found are looked for in what is left. */
const ROUNDS = 3;

/**
 * What no straight cut parts is parted by the sizes that were found: a sheet's stickers are cut to a few of them. Only
 * blocks of which something was cut, or whose outline has bends, are looked at: what lies alone is one sticker.
 */
function byTheSheetsSizes(first: readonly Share[], sight: Sight): Share[] {
  const { labels } = sight.blobs;
  let last = labels.reduce((most, label) => (label > most ? label : most), 0);
  const fresh = (): number => ++last;
  let shares = first.map((s) => relabeled(s, fresh(), sight.blobs));
  for (let round = 0; round < ROUNDS; round++) {
    shares = mended(shares, sight);
    const dies = sizesOf(shares, sight.scale);
    const before = shares.length;
    shares = shares.flatMap((share) => {
      if (!mayBeSeveral(share, sight)) return [share];
      const even = partedEvenly(share, dies, sight);
      if (even) return even.map((part) => relabeled(part, fresh(), sight.blobs));
      const laid = layDies(share, dies, sight, fresh, isOneOfMany(share, dies, sight));
      return laid.length ? [...laid, ...restOf(share, sight, fresh)] : [share];
    });
    if (shares.length === before) break;
  }
  return mended(shares, sight);
}

/** The sizes of what may be a sticker: no slivers that cuts left. */
const sizesOf = (shares: readonly Share[], scale: number): Die[] =>
  diesOf(
    shares.filter((s) => isLargeEnough(s, scale)),
    scale,
  );

/** A full rectangle of a size that the sheet has often is most likely a sticker, however its print may look. */
const isOneOfMany = (share: Share, dies: readonly Die[], sight: Sight): boolean =>
  (dieOf(share, dies, sight.scale)?.count ?? 0) > 2 && !hasBends(share, sight);

/** Shares without the cuts that were made by mistake. */
function mended(shares: readonly Share[], { blobs, scale }: Sight): Share[] {
  const groups = healed(shares, sizesOf(shares, scale), scale);
  return [...shares.filter((s) => !groups.some((g) => g.includes(s))), ...groups.map((g) => joined(g, blobs))];
}

/** One share of several: its edges were laid by a cut where those of its outermost were. */
function joined(group: readonly Share[], blobs: Blobs): Share {
  const most = (of: (s: Share) => number): Share => group.reduce((best, s) => (of(s) > of(best) ? s : best));
  const [left, top, right, bottom] = [most((s) => -s.x0), most((s) => -s.y0), most((s) => s.x1), most((s) => s.y1)];
  for (const s of group) relabeled(s, left.label, blobs);
  return {
    label: left.label,
    x0: left.x0,
    y0: top.y0,
    x1: right.x1,
    y1: bottom.y1,
    cut: { left: left.cut.left, top: top.cut.top, right: right.cut.right, bottom: bottom.cut.bottom },
  };
}

const mayBeSeveral = (share: Share, sight: Sight): boolean => isCut(share) || hasBends(share, sight);

/** Gives a share's pixels a label of their own. */
function relabeled(share: Share, label: number, { labels, width }: Blobs): Share {
  const { label: old, x0, y0, x1, y1 } = share;
  for (let y = y0; y <= y1; y++)
    for (let x = x0; x <= x1; x++) if (labels[y * width + x] === old) labels[y * width + x] = label;
  return { ...share, label };
}

/** What is left of a block, each part that hangs together parted anew. */
function restOf(block: Share, sight: Sight, fresh: () => number): Share[] {
  const { labels, width } = sight.blobs;
  const { label: old } = block;
  const [w, h] = [block.x1 - block.x0 + 1, block.y1 - block.y0 + 1];
  const set = new Uint8Array(w * h);
  for (let y = 0; y < h; y++)
    for (let x = 0; x < w; x++) set[y * w + x] = labels[(block.y0 + y) * width + block.x0 + x] === old ? 1 : 0;
  const { labels: own, parts } = partsOf(set, w, h);
  return parts.flatMap((part) => {
    const label = fresh();
    const { label: its } = part;
    for (let y = part.y0; y <= part.y1; y++)
      for (let x = part.x0; x <= part.x1; x++)
        if (own[y * w + x] === its) labels[(block.y0 + y) * width + block.x0 + x] = label;
    const { cut } = block;
    const share: Share = {
      label,
      x0: block.x0 + part.x0,
      y0: block.y0 + part.y0,
      x1: block.x0 + part.x1,
      y1: block.y0 + part.y1,
      cut: {
        left: part.x0 > 0 || cut.left,
        top: part.y0 > 0 || cut.top,
        right: part.x1 < w - 1 || cut.right,
        bottom: part.y1 < h - 1 || cut.bottom,
      },
    };
    return isLargeEnough(share, sight.scale) ? split(share, sight) : [];
  });
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
  const best = (!upright || (level && level.sure > upright.sure) ? level : upright) ?? bentCut(tight, sight);
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
  const near = (cut: boolean, from: number, to: number): number => (cut && to - from > 4 * RAGGED ? RAGGED : 0);
  const [left, right] = [
    share.x0 + near(share.cut.left, share.x0, share.x1),
    share.x1 - near(share.cut.right, share.x0, share.x1),
  ];
  const [top, bottom] = [
    share.y0 + near(share.cut.top, share.y0, share.y1),
    share.y1 - near(share.cut.bottom, share.y0, share.y1),
  ];
  for (let y = share.y0; y <= share.y1; y++)
    for (let x = share.x0; x <= share.x1; x++)
      if (labels[y * width + x] === label) {
        if (x >= left && x <= right) rows[y - share.y0] = (rows[y - share.y0] as number) + 1;
        if (y >= top && y <= bottom) columns[x - share.x0] = (columns[x - share.x0] as number) + 1;
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
