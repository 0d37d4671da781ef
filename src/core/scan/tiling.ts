import type { Block } from './block';
import { blockOf, hasBend, neckOf, tightened } from './block';
import { isLargeEnough } from './blobs';
import type { Cut, Parting } from './cuts';
import { CUT, NARROWEST, cutAt, cutsThrough, isKnown, placesFor } from './cuts';
import type { Die } from './dies';
import { dieOf } from './dies';
import { evidenceFor } from './evidence';
import { lobesOf } from './lobes';
import type { Share } from './share';
import type { Sight } from './sight';

/** What speaks against a sticker of a size that the sheet does not have again, against one with a bend, and a scrap. */
const ODD_SIZE = 6;
const BENT = 10;
const SCRAP = 12;
/** So many rectangles are looked at with all their cuts; after that so many cuts of each. */
const MANY_WAYS = 400;
const CLEAREST = 3;
/** A scrap that is narrower is what a cut left of the neighbor, px. */
const RIM = 6;

interface Tiling {
  readonly score: number;
  readonly shares: readonly Share[];
}

interface Looking extends Parting {
  readonly block: Block;
  readonly done: Map<string, Tiling>;
}

/** Parts a block, given the sizes that are believed and the shares that it was parted into before. */
export type Tiler = (known: readonly Die[], before: readonly Share[]) => readonly Share[];

/**
 * Parts a block of stickers that touch by the cuts for which most speaks all in all. Each cut goes from edge to edge
 * of what is left, as stickers lie in rows and columns; the best of all such partings is found by trying them, each
 * rectangle once. Source: dynamic programming over guillotine cuts, Gilmore and Gomory (1965), from memory.
 * @param isOneOfMany the sheet has more blocks of its size
 */
export function tilerOf(share: Share, sight: Sight, isOneOfMany: boolean): Tiler {
  const { scale, planes } = sight;
  const block = blockOf(share, sight);
  const tight = tightened(block, share);
  const isTooSmall = Math.max(share.x1 - share.x0, share.y1 - share.y0) < 2 * NARROWEST * scale;
  if (isTooSmall || !tight) return () => (tight ? [tight] : []);
  const lobes = lobesOf(block, tight, NARROWEST * scale);
  if (lobes) return () => lobes;
  const [upright, level] = [evidenceFor(share, sight, true), evidenceFor(share, sight, false)];
  // what once was worth a try stays so: a size that was laid is not lost in the next round
  const [across, down] = [new Set(upright.worth), new Set(level.worth)];
  const copies = new Map<string, boolean>();
  return (known, before) => {
    const odd = before.filter((s) => !dieOf(s, known, scale));
    for (const at of placesFor(upright, true, odd, known)) across.add(at);
    for (const at of placesFor(level, false, odd, known)) down.add(at);
    const parting: Parting = { upright, level, across, down, known, planes, copies, scale, isOneOfMany };
    return bestTiling(share, { ...parting, block, done: new Map() }).shares;
  };
}

function bestTiling(share: Share, looking: Looking): Tiling {
  const tight = tightened(looking.block, share);
  if (!tight) return { score: 0, shares: [] };
  const key = `${tight.x0} ${tight.y0} ${tight.x1} ${tight.y1}`;
  const found = looking.done.get(key) ?? tilingOf(tight, looking);
  looking.done.set(key, found);
  return found;
}

function tilingOf(tight: Share, looking: Looking): Tiling {
  const neck = isLargeEnough(tight, looking.scale) ? neckOf(looking.block, tight, NARROWEST * looking.scale) : null;
  if (neck) return parted(tight, neck, 0, looking);
  let best: Tiling = { score: asOne(tight, looking), shares: [tight] };
  const cuts = cutsThrough(tight, looking);
  // a block with a pattern all over has more ways than there is time for: its clearest cuts are tried
  const tried = looking.done.size > MANY_WAYS ? [...cuts].sort((p, q) => q.sum - p.sum).slice(0, CLEAREST) : cuts;
  for (const cut of tried) {
    const tiling = parted(tight, cut, cut.sum - CUT, looking);
    if (tiling.score > best.score) best = tiling;
  }
  return best;
}

function parted(share: Share, cut: Pick<Cut, 'upright' | 'at'>, score: number, looking: Looking): Tiling {
  const [one, other] = cutAt(share, cut);
  const [first, second] = [bestTiling(one, looking), bestTiling(other, looking)];
  return { score: score + first.score + second.score, shares: [...first.shares, ...second.shares] };
}

/** What speaks for a share's being one sticker. */
function asOne(share: Share, looking: Looking): number {
  if (!isLargeEnough(share, looking.scale))
    return Math.min(share.x1 - share.x0, share.y1 - share.y0) < RIM ? 0 : -SCRAP;
  return (isKnown(share, looking) ? 0 : -ODD_SIZE) - (hasBend(looking.block, share) ? BENT : 0);
}
