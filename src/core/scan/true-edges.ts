import type { Bleed } from './bleed';
import { bleedOf } from './bleed';
import type { Edges } from './edges';
import { lookOf } from './look-of';
import { leastUnlike } from './marks';
import type { Look } from './same-design';
import type { Seen } from './seen';
import type { Share } from './share';
import type { Knife } from './round-bleed';
import { roundBleedOf } from './round-bleed';
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
  // of round ones a pale print is told by its size: it is as large as the others', and larger than the knife's circle
  const round = all.filter((m) => isRound(m, seen) && !isBare(m.look, AT_THE_RIM));
  const edgesOf = (of: readonly Measured[]): Edges[] => of.map(({ edges }) => edges);
  const knife = roundBleedOf(edgesOf(round), seen.planes, seen.scale);
  const bleed = bleedOf(edgesOf(printed), seen.planes, seen.scale);
  return all.map((m) => {
    const isRoundPrint = knife && round.includes(m) && isBeyond(m.edges, knife, seen.scale);
    const edges = isRoundPrint ? circled(m.edges, knife) : printed.includes(m) && bleed && within(m.edges, bleed);
    if (!edges) return m;
    return edges.right - edges.left > seen.scale && edges.bottom - edges.top > seen.scale
      ? measured(m.share, edges, seen)
      : m;
  });
}

const within = ({ left, top, right, bottom }: Edges, bleed: Bleed): Edges => ({
  left: left + bleed.left,
  top: top + bleed.top,
  right: right - bleed.right,
  bottom: bottom - bleed.bottom,
});

/** Print begins farther out than the knife's circle, mm. */
const BEYOND = 0.3;
const isBeyond = ({ left, right, top, bottom }: Edges, { radius }: Knife, scale: number): boolean =>
  (right - left + bottom - top) / 4 > radius + BEYOND * scale;

/** A round one is as large as the knife made all of them, whatever ran into its print. */
function circled({ left, top, right, bottom }: Edges, { radius, dx, dy }: Knife): Edges {
  const [x, y] = [(left + right) / 2 + dx, (top + bottom) / 2 + dy];
  return { left: x - radius, top: y - radius, right: x + radius, bottom: y + radius };
}

/** A circle's sides are as long as each other, and so far in from its corners lies the backing. */
const SQUARE = 0.08;
const CORNER = 0.04;
/** Of its corners so many show it: one may have a hair, or the shadow of a neighbor. */
const CORNERS = 3;

function isRound(
  { edges: { left, top, right, bottom } }: Measured,
  { marks, backing, planes: { width } }: Seen,
): boolean {
  const [w, h] = [right - left, bottom - top];
  if (Math.abs(w - h) > SQUARE * Math.max(w, h)) return false;
  const differs = leastUnlike(backing.grain);
  const bare = [left + CORNER * w, right - CORNER * w].flatMap((x) =>
    [top + CORNER * h, bottom - CORNER * h].filter(
      (y) => (marks.unlike[Math.round(y) * width + Math.round(x)] as number) <= differs,
    ),
  );
  return bare.length >= CORNERS;
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
