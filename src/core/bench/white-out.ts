import type { Book, Mark, Region } from '../book/book';
import { hoursOf } from '../book/hours';
import type { Context, Placement } from '../spread/placement';
import { isPenDate } from '../spread/dates-of';
import { footprint, isWriting, pieceIndex } from '../spread/placement';
import type { Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import { TOLERANCE, tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { inset, intersect, subtract } from '../measure/rect';

export interface WhiteOut extends Rect {
  readonly page: number;
  readonly why: string;
}

/** A printed box is four lines, each this wide in mm. From memory. */
const EDGE = 0.3;
/** Nearly opaque paper hides a printed line; washi and film do not (handbook 3). */
const HIDES = 0.9;

/** The printed ink of a mark: a box is its four edges, all else its whole place. */
export function inkOf(mark: Mark): Rect[] {
  if (mark.kind !== 'box') return [{ ...mark, w: Math.max(mark.w, EDGE), h: Math.max(mark.h, EDGE) }];
  const { x, y, w, h } = mark;
  return [
    { x, y, w, h: EDGE },
    { x, y: y + h - EDGE, w, h: EDGE },
    { x, y: y + EDGE, w: EDGE, h: h - 2 * EDGE },
    { x: x + w - EDGE, y: y + EDGE, w: EDGE, h: h - 2 * EDGE },
  ];
}

interface Cover {
  readonly p: Placement;
  readonly rect: Rect;
  /** what of it hides a mark for certain */
  readonly hidden: Rect | null;
  readonly lines: boolean;
}

/**
 * What must be whited out before anything is laid down (handbook B1): every part of a printed mark that would show
 * through something translucent, or stay bare in a column whose printed rows the manner does not keep.
 * Elsewhere (header, sidebar, strips) a mark that nothing touches is left as it is, and none is left half (B6).
 */
export function whiteOutOf(context: Context, placements: readonly Placement[]): WhiteOut[] {
  const { book } = context;
  const pieces = pieceIndex(context);
  const covers = placements.map((p): Cover => ({
    p,
    rect: footprint(p),
    hidden: hiddenBy(p, pieces.get(pieceKey(p))),
    lines: isWriting(p), // people write on printed lines
  }));
  const freedom = new Map<Region | undefined, boolean>();
  const byPage = book.pages.map((_, page) => covers.filter((c) => c.p.page === page));
  const known = knownOf(book, pieces);
  return book.marks.flatMap((mark): readonly WhiteOut[] => {
    const area = { x: mark.x, y: mark.y, w: Math.max(mark.w, EDGE), h: Math.max(mark.h, EDGE) };
    const here = (byPage[mark.page] ?? []).filter(
      (c) => intersectsThin(c.rect, area) && !(c.lines && (mark.kind === 'line' || isPenDate(c.p))),
    );
    const region = regionOf(book, mark) ?? regionOf(context.printed, mark);
    const free = freedom.get(region) ?? isFreeColumn(region, context, placements);
    freedom.set(region, free);
    const before = known.get(mark);
    if (
      before &&
      before.free === free &&
      before.under.length === here.length &&
      here.every((c, i) => c.p === before.under[i])
    )
      return before.found;
    const found = toGo(mark, here, free, isSettledWhole(region)).map(({ through, ...left }) =>
      lyingIn(book, region, {
        page: mark.page,
        ...tidied(left),
        why: through
          ? `${MARK_NAMES[mark.kind]} shows through what is laid over it`
          : `part of a ${MARK_NAMES[mark.kind]} stays bare`,
      }),
    );
    known.set(mark, { free, under: here.map((c) => c.p), found });
    return found;
  });
}

/** A printed frame of which more than this still shows stays one; of less a stump is left (B6). From memory. */
const FRAME_SHOWS = 0.6;

/**
 * The parts of a mark that are to go: in a free column all that nothing hides; elsewhere a mark that is half covered
 * goes as a whole, and a frame that a sticker only laps over stays.
 */
function toGo(mark: Mark, here: readonly Cover[], free: boolean, whole: boolean): (Rect & { through: boolean })[] {
  const edges = inkOf(mark).map((ink) => {
    const touching = here.filter((c) => intersectsThin(c.rect, ink));
    const bare = subtract(
      ink,
      touching.flatMap((c) => c.hidden ?? []),
    );
    const films = touching.filter((c) => !c.hidden).map((c) => c.rect);
    return { ink, touching, bare, films };
  });
  const isTouched = edges.some((e) => e.touching.length > 0);
  if (!free && !isTouched) return [];
  const size = (rects: readonly Rect[]): number => rects.reduce((sum, r) => sum + r.w * r.h, 0);
  const shows = size(edges.flatMap((e) => e.bare.flatMap((r) => subtract(r, e.films)))) / size(edges.map((e) => e.ink));
  const isFrame = mark.kind === 'box' && !free && !whole && shows > FRAME_SHOWS;
  return edges.flatMap(({ bare, films }) =>
    bare
      .flatMap((r) => (isFrame ? films.flatMap((film) => sharedThin(r, film) ?? []) : r))
      .map((r) => ({ ...r, through: films.some((film) => intersectsThin(film, r)) })),
  );
}

/** Marks of headers, strips and flags are small: what is begun there is finished. */
const isSettledWhole = (region: Region | undefined): boolean =>
  region !== undefined && ['date-header', 'bottom-strip', 'top-strip', 'month-flag'].includes(region.kind);

/**
 * What was found for a mark under the very same placements; an edit changes few of them, and the review asks after
 * every edit.
 */
interface Known {
  readonly free: boolean;
  readonly under: readonly Placement[];
  readonly found: readonly WhiteOut[];
}

const knownByBook = new WeakMap<Book, WeakMap<object, WeakMap<Mark, Known>>>();

function knownOf(book: Book, pieces: object): WeakMap<Mark, Known> {
  const ofBook = knownByBook.get(book) ?? new WeakMap<object, WeakMap<Mark, Known>>();
  knownByBook.set(book, ofBook);
  const known = ofBook.get(pieces) ?? new WeakMap<Mark, Known>();
  ofBook.set(pieces, known);
  return known;
}

/** Notes where a white-out lies, which is asked again and again. */
function lyingIn(book: Book, region: Region | undefined, whiteOut: WhiteOut): WhiteOut {
  if (region) homesOf(book).set(whiteOut, region);
  return whiteOut;
}

/**
 * The upright part of the page that a piece hides for certain; null for film, washi and pictures cut round their
 * edge.
 */
function hiddenBy(p: Placement, piece: Piece | undefined): Rect | null {
  if (!piece || piece.opacity < HIDES || p.turn % 90 !== 0) return null;
  if (piece.shape === 'circle') return inset(footprint(p), (Math.min(p.w, p.h) * (1 - Math.SQRT1_2)) / 2);
  if (['free', 'heart', 'teardrop'].includes(piece.shape) || piece.kind === 'banner') return null;
  if ((piece.shape === 'notched' || piece.shape === 'pointed') && !p.cut)
    return p.turn === 0 ? { ...footprint(p), w: p.w - Math.min(4, p.h * 0.4) } : null;
  return footprint(p);
}

const MARK_NAMES: Readonly<Record<Mark['kind'], string>> = {
  line: 'printed line',
  box: 'printed box edge',
  label: 'printed label',
  circle: 'printed circle',
};

/** The region a mark lies in; strips and headers before the columns they touch. */
export function regionOf(book: Book, mark: Mark | WhiteOut): Region | undefined {
  const homes = homesOf(book);
  const known = homes.get(mark);
  if (known) return known;
  const area = { x: mark.x, y: mark.y, w: Math.max(mark.w, 2 * TOLERANCE), h: Math.max(mark.h, 2 * TOLERANCE) };
  const home = book.regions
    .filter((r) => r.page === mark.page && intersectsThin(r, area))
    .sort((a, b) => overlap(b, area) - overlap(a, area))[0];
  if (home) homes.set(mark, home);
  return home;
}

/** In one book a mark does not move, and a white-out lies where its mark lies. */
const homesByBook = new WeakMap<Book, WeakMap<Mark | WhiteOut, Region>>();

function homesOf(book: Book): WeakMap<Mark | WhiteOut, Region> {
  const known = homesByBook.get(book) ?? new WeakMap<Mark | WhiteOut, Region>();
  homesByBook.set(book, known);
  return known;
}

const overlap = (a: Rect, b: Rect): number => {
  const shared = intersect(a, b);
  return shared ? shared.w * shared.h : 0;
};

/**
 * Columns are free when the manner does not keep their printed rows; the sidebar is when something stands in it;
 * month flags go when wanted (B6).
 */
function isFreeColumn(region: Region | undefined, context: Context, placements: readonly Placement[]): boolean {
  if (region?.kind === 'month-flag') return context.options.monthFlags && placements.length > 0;
  if (region?.id.startsWith('top-band')) return placements.length > 0; // headers printed under a top band
  // hour lines are to be read
  if (region?.kind === 'day' && region.day !== undefined && hoursOf(context.book, region.day)) return false;
  if (region?.kind === 'day')
    return !context.ways.keepsRows && placements.some((p) => p.day === region.day && p.role !== 'base');
  return region?.kind === 'sidebar' && placements.some((p) => p.role === 'sidebar' && p.page === region.page);
}

/** True where two share a place, however thin. */
export const intersectsThin = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.w - 1e-6 && b.x < a.x + a.w - 1e-6 && a.y < b.y + b.h - 1e-6 && b.y < a.y + a.h - 1e-6;

/** Like `intersect`, for marks thinner than a hair's breadth of tolerance. */
function sharedThin(a: Rect, b: Rect): Rect | null {
  if (!intersectsThin(a, b)) return null;
  const [x, y] = [Math.max(a.x, b.x), Math.max(a.y, b.y)];
  return { x, y, w: Math.min(a.x + a.w, b.x + b.w) - x, h: Math.min(a.y + a.h, b.y + b.h) - y };
}

const tidied = (r: Rect): Rect => ({
  x: tidy(r.x),
  y: tidy(r.y),
  w: Math.max(0.01, tidy(r.w)),
  h: Math.max(0.01, tidy(r.h)),
});
