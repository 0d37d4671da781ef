import { bleedOf } from './bleed';
import type { Edges } from './edges';
import { lookOf } from './look-of';
import { leastUnlike } from './marks';
import type { Look } from './same-design';
import type { Seen } from './seen';
import type { Share } from './share';
import { isBare } from './used-places';

/** A sticker's share of the picture and its edges, px. */
export interface Measured {
  readonly share: Share;
  readonly edges: Edges;
  readonly look: Look;
}

/** Cells at a piece's rim that its own edge smears over. */
const AT_THE_RIM = 2;
const measured = (share: Share, edges: Edges, seen: Seen): Measured => ({
  share,
  edges,
  look: lookOf(share, edges, seen),
});

/** A part of one sticker, so much of it, lies within that one's edges: a shine on foil, a hole in a pattern. */
const WITHIN = 0.85;

/** Those that lie within no larger one: stickers lie beside one another. */
const outermost = <T extends { readonly edges: Edges }>(all: readonly T[]): readonly T[] =>
  all.filter(
    ({ edges: own }) =>
      !all.some(({ edges: e }) => {
        const [w, h] = [
          Math.min(own.right, e.right) - Math.max(own.left, e.left),
          Math.min(own.bottom, e.bottom) - Math.max(own.top, e.top),
        ];
        const area = areaOf(own);
        return areaOf(e) > area && w > 0 && h > 0 && w * h >= WITHIN * area;
      }),
  );

const areaOf = ({ left, top, right, bottom }: Edges): number => (right - left) * (bottom - top);

/** The edges where the knife went, if the print reaches beyond it. */
function withoutBleed(all: readonly Measured[], seen: Seen): readonly Measured[] {
  // a bare place is as large as the knife made it: what lies round it is not of it
  const printed = all.filter(({ share, edges, look }) => isPrinted(share, edges, seen) && !isBare(look, AT_THE_RIM));
  const bleed = bleedOf(
    printed.map(({ edges }) => edges),
    seen.planes,
    seen.scale,
  );
  if (!bleed) return all;
  return all.map((m) => {
    if (!printed.includes(m)) return m;
    const { left, top, right, bottom } = m.edges;
    const edges = {
      left: left + bleed.left,
      top: top + bleed.top,
      right: right - bleed.right,
      bottom: bottom - bleed.bottom,
    };
    return edges.right - edges.left > seen.scale && edges.bottom - edges.top > seen.scale
      ? measured(m.share, edges, seen)
      : m;
  });
}

/** Print is what begins at its edges; else the knife's line alone is seen there. */
function isPrinted({ label }: Share, { left, top, right, bottom }: Edges, { blobs, marks, backing }: Seen): boolean {
  const { labels, width } = blobs;
  const differs = leastUnlike(backing.grain);
  const middle = [Math.round((left + right) / 2), Math.round((top + bottom) / 2)] as const;
  const depth = 5;
  let [printed, count] = [0, 0];
  const at = (x: number, y: number): void => {
    const i = y * width + x;
    if (labels[i] !== label) return;
    count++;
    if ((marks.unlike[i] as number) > differs) printed++;
  };
  for (let x = Math.round(left) + depth; x < right - depth; x += 3) {
    at(x, Math.round(top) + depth);
    at(x, Math.round(bottom) - depth);
  }
  for (let y = Math.round(top) + depth; y < bottom - depth; y += 3) {
    at(Math.round(left) + depth, y);
    at(Math.round(right) - depth, y);
  }
  return count > 0 ? printed > count * 0.6 : labels[middle[1] * width + middle[0]] === label;
}

/** The true edges of stickers: none within another, and each where the knife went. */
export const trueEdges = (all: readonly Omit<Measured, 'look'>[], seen: Seen): readonly Measured[] =>
  withoutBleed(
    outermost(all).map(({ share, edges }) => measured(share, edges, seen)),
    seen,
  );
