import { regionsOf } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { bottom } from '../../measure/rect';
import { byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import { layStrip } from './makeshift';
import type { Context } from '../../spread/placement';

/** Pictures of one design stand at least so far apart in the band, mm; and so many at most on a page. From memory. */
const APART = 6;
const MOST = 5;
/** About what a strip that hangs as a garland is high, mm. From memory. */
const GARLAND = 6;
/** mm of the garland that stay to be seen under the pictures. From memory. */
const STANDING = 2;

/**
 * The band along the top of the crowned school: a strip as its garland, pictures standing on it, evenly, as the
 * book's top allows (handbook 5).
 */
export const topBand: Stage = (before, context) => {
  if (!context.ways.topBand) return before;
  const draft = before.clone();
  const bands = regionsOf(context.book, 'top-strip').filter(
    (r) => r.id.startsWith('top-band') && draft.lyingIn(r.page, r).length === 0,
  );
  const pictures = bands.map((): Piece[] => []);
  const trial = draft.clone();
  for (let round = 0; round < MOST; round++) {
    bands.forEach((band, i) => {
      const own = pictures[i] as Piece[];
      const piece = nextPicture(trial, context, band.h - STANDING, own.at(-1)?.code);
      if (piece && widthOf([...own, piece]) <= band.w && trial.ledger.take(piece)) own.push(piece);
    });
  }
  bands.forEach((band, i) => {
    const strip = layStrip(
      draft,
      context,
      { page: band.page, x: band.x, w: band.w, y: 0, role: 'base', day: null, floor: bottom(band) },
      GARLAND,
    );
    layPictures(draft, band, pictures[i] as Piece[], strip ? 1 : 0);
  });
  return draft;
};

const widthOf = (pieces: readonly Piece[]): number => pieces.reduce((mm, p) => mm + p.width + APART, APART);

function layPictures(
  draft: Draft,
  band: { page: number; x: number; y: number; w: number; h: number },
  pieces: readonly Piece[],
  layer: number,
): void {
  const between = (band.w - pieces.reduce((mm, p) => mm + p.width, 0)) / (pieces.length + 1);
  let x = band.x + between;
  for (const piece of pieces) {
    const taken = draft.ledger.take(piece);
    if (taken)
      draft.add(piece, taken, { page: band.page, x, y: bottom(band) - STANDING - piece.height, role: 'base', layer });
    x += piece.width + between;
  }
}

/** What it costs to take a picture that could stand for a chore as mere ornament. From memory. */
const SERVES = 8;

/**
 * The picture to stand next: the kit's own, low enough, another than the one before; one of each stays for the days.
 */
function nextPicture(draft: Draft, context: Context, height: number, last: string | undefined): Piece | undefined {
  return byCost(piecesOf(context, 'deco'), (p) => {
    const left = draft.ledger.untouched(p);
    if (left === 0 || p.height > height || p.code === last || strangeness(p, context) > 0) return Infinity;
    return (p.count - left) * 4 - p.height / 10 + (p.icon ? SERVES : 0);
  })[0];
}
