import type { Book, RegionKind } from '../book/book';
import { bottom, bounds, right } from '../measure/rect';
import type { Rect } from '../measure/rect';
import type { Placement } from '../spread/placement';
import { footprint } from '../spread/placement';
import type { WhiteOut } from './white-out';
import { inkOf, intersectsThin, regionOf } from './white-out';

/** Correction tape is so wide, mm. Common practice. */
const TAPE = 5;
/** So little between two places, mm, and the hand pulls the tape on. From memory. */
const PULLS_ON = 15;
/** The tape comes off its wheel in no less than a dab, mm. From memory. */
const DAB = 3;

/** One pull of the correction tape; its rectangle is what it must cover. */
export interface Stroke extends Rect {
  readonly page: number;
  /** mm of tape */
  readonly length: number;
  /** the day whose column it is in; null elsewhere */
  readonly day: number | null;
  /** null: in no region of the book */
  readonly region: RegionKind | null;
}

/**
 * White-out as a hand does it: along a line in one pull, over what lies between where that is little, a wide place in
 * several pulls beside each other. Few strokes first, then little tape; what is printed and stays is not pulled over.
 * A stroke over several days is told by the first.
 * @param list what is to be whited out; the places of one page or of all
 */
export function strokesOf(
  { book, placements }: { readonly book: Book; readonly placements: readonly Placement[] },
  list: readonly WhiteOut[],
): Stroke[] {
  return book.pages.flatMap((_, page) => {
    const ofPage = list.filter((w) => w.page === page);
    if (!ofPage.length) return [];
    const kept = keptInk(book, placements, ofPage, page);
    return fewest(ofPage.flatMap(bitsOf), (between) => kept.some((ink) => intersectsThin(ink, between))).map(
      ({ bits, length }) => {
        const home = regionOf(book, (bits[0] as Bit).of);
        const day = home?.kind === 'day' ? (home.day ?? null) : null;
        return { page, ...bounds(bits), length, day, region: home?.kind ?? null };
      },
    );
  });
}

/** mm of tape that the strokes take. */
export const tapeLength = (strokes: readonly Stroke[]): number => strokes.reduce((mm, s) => mm + s.length, 0);

/** A place, or as much of it as one pull covers; a small one is pulled over in either direction. */
type Bit = Rect & { readonly along: readonly Axis[]; readonly of: WhiteOut };
type Axis = 'x' | 'y';

const BOTH: readonly Axis[] = ['x', 'y'];

function bitsOf(of: WhiteOut): Bit[] {
  const { x, y, w, h } = of;
  const along: readonly Axis[] = Math.max(w, h) <= TAPE ? BOTH : w >= h ? ['x'] : ['y'];
  const pulls = Math.max(1, Math.ceil((Math.min(w, h) - 1e-6) / TAPE));
  return Array.from({ length: pulls }, (_, i) =>
    w >= h
      ? { x, y: y + (i * h) / pulls, w, h: h / pulls, along, of }
      : { x: x + (i * w) / pulls, y, w: w / pulls, h, along, of },
  );
}

/** A pull with the bits that it does. */
interface Pull {
  readonly bits: readonly Bit[];
  readonly length: number;
}

/** Takes the pull that does the most bits, the shortest of those, until all are done. */
function fewest(bits: readonly Bit[], isKept: (between: Rect) => boolean): Pull[] {
  let left = bits;
  const pulls: Pull[] = [];
  let offers = bits.flatMap((from) =>
    from.along.map((axis) => ({ from, axis, pull: pulled(from, axis, bits, isKept) })),
  );
  while (offers.length) {
    const { pull: best } = offers.reduce((a, b) => (isBetter(b.pull, a.pull) ? b : a));
    pulls.push(best);
    left = left.filter((b) => !best.bits.includes(b));
    const isGone = (bit: Bit): boolean => best.bits.includes(bit);
    offers = offers
      .filter(({ from }) => !isGone(from))
      .map((o) => (o.pull.bits.some(isGone) ? { ...o, pull: pulled(o.from, o.axis, left, isKept) } : o));
  }
  return pulls;
}

const isBetter = (a: Pull, b: Pull): boolean =>
  a.bits.length > b.bits.length || (a.bits.length === b.bits.length && a.length < b.length);

/** The longest pull that begins no higher (along x; no further left along y) than a bit, and goes over it. */
function pulled(from: Bit, axis: Axis, bits: readonly Bit[], isKept: (between: Rect) => boolean): Pull {
  const [across, to] = axis === 'x' ? (['y', bottom] as const) : (['x', right] as const);
  const end = axis === 'x' ? right : bottom;
  const inBand = bits
    .filter((b) => b.along.includes(axis) && b[across] >= from[across] && to(b) <= from[across] + TAPE + 1e-6)
    .sort((a, b) => a[axis] - b[axis] || end(a) - end(b));
  let run: Bit[] = [];
  for (const bit of inBand) {
    const reached = Math.max(...run.map(end));
    if (run.length && (bit[axis] - reached > PULLS_ON || (bit[axis] > reached && isKept(gap(run, bit, axis))))) {
      if (run.includes(from)) break;
      run = [];
    }
    run.push(bit);
  }
  const length = Math.max(...run.map(end)) - Math.min(...run.map((b) => b[axis]));
  return { bits: run, length: Math.max(DAB, length) };
}

/** What lies between a run of bits and the next one. */
function gap(run: readonly Bit[], next: Bit, axis: Axis): Rect {
  const { x, y, w, h } = bounds([...run, next]);
  return axis === 'x'
    ? { x: Math.max(...run.map(right)), y, w: next.x - Math.max(...run.map(right)), h }
    : { x, y: Math.max(...run.map(bottom)), w, h: next.y - Math.max(...run.map(bottom)) };
}

/** The ink of a page that nothing touches and that does not go; a stroke would spoil it. */
function keptInk(book: Book, placements: readonly Placement[], list: readonly WhiteOut[], page: number): Rect[] {
  const touching = [
    ...placements.filter((p) => p.page === page).map(footprint),
    ...list.filter((w) => w.page === page),
  ];
  return book.marks
    .filter((mark) => mark.page === page && !touching.some((t) => intersectsThin(t, mark)))
    .flatMap(inkOf);
}
