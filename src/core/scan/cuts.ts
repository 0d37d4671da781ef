import { apartBy } from './alike';
import type { Die } from './dies';
import { timesIn } from './dies';
import type { Evidence } from './evidence';
import type { LabPlanes } from './lab-planes';
import type { Share } from './share';

/** No sticker that touches another is narrower, mm. From memory. */
export const NARROWEST = 5.3;
/** What must speak for a cut, all stretches together and each in the mean; see `likelihoods.ts`. */
export const CUT = 8;
const MEAN = 0.4;
/** So much may speak against it where it goes on. */
const GAP = 7.5;
/** What speaks against one that shows at one end only; where so much speaks for it, each stretch, it is none. */
const ENDLESS = 6;
const CLEAR = 3;
/** Where only colors meet it may be print: so much speaks for it at the most; sizes or a bend must, too. */
const MEETING = 12;
/** And what a cut needs, each stretch, through what most likely is one sticker. */
const CLEAR_OF_MANY = 2.2;
/** Between two of a known size no more must speak for it. */
const HINT = -1;
/** Where so much speaks for a long cut, stretches and each in the mean, only those beside it are tried. */
const SURE = { count: 40, mean: 2.2, gap: 4.5 };

export interface Cut {
  readonly upright: boolean;
  /** px from the left, or from the top */
  readonly at: number;
  /** what speaks for it */
  readonly sum: number;
}

/** What a block is parted with. */
export interface Parting {
  readonly upright: Evidence;
  readonly level: Evidence;
  /** places where an upright cut may go, and where a level one may */
  readonly across: ReadonlySet<number>;
  readonly down: ReadonlySet<number>;
  /** the sizes that are believed */
  readonly known: readonly Die[];
  readonly planes: LabPlanes;
  /** what was found of copies on both sides of a cut */
  readonly copies: Map<string, boolean>;
  /** pixels a millimeter */
  readonly scale: number;
  /** the sheet has more blocks of its size: most likely it is one sticker, and more must be seen of a cut */
  readonly isOneOfMany: boolean;
}

type Judged = Cut & { readonly isSure: boolean };

/** The cuts through a share that are worth a try. */
export function cutsThrough(share: Share, parting: Parting): Cut[] {
  const narrow = NARROWEST * parting.scale;
  const isRow = !parting.isOneOfMany && !isKnown(share, parting) && isRowOf(share, parting, 2);
  const cuts = [true, false].flatMap((upright) => {
    const [from, to] = upright ? [share.x0, share.x1] : [share.y0, share.y1];
    return [...(upright ? parting.across : parting.down)]
      .filter((at) => at >= from + narrow && at <= to - narrow)
      .flatMap((at) => judged(share, upright, at, isRow, parting) ?? []);
  });
  const sure = cuts.find((c) => c.isSure);
  return sure ? cuts.filter((c) => c.upright === sure.upright && Math.abs(c.at - sure.at) < narrow / 2) : cuts;
}

/**
 * What speaks for a cut at a place; null: it is none.
 * @param isRow the share is as large as several of a known size
 */
function judged(share: Share, upright: boolean, at: number, isRow: boolean, parting: Parting): Judged | null {
  const { isOneOfMany } = parting;
  const evidence = upright ? parting.upright : parting.level;
  const [start, end] = upright ? [share.y0, share.y1] : [share.x0, share.x1];
  const { sum, count } = evidence.between(at, start, end);
  if (!count) return null;
  const cut: Cut = { upright, at, sum };
  if (
    isRow &&
    isBetweenKnown(share, cut, parting) &&
    ((sum > HINT && evidence.ends(at, start, end)) || areCopies(share, cut, parting))
  )
    return { ...cut, sum: Math.max(sum, CUT + 1), isSure: false };
  if (sum < (isOneOfMany ? CLEAR_OF_MANY : MEAN) * count || evidence.isPrint(at, start, end)) return null;
  const gap = evidence.gap(at, start, end);
  if (gap > GAP) return null;
  const ends = evidence.ends(at, start, end);
  const isClear = isOneOfMany || sum >= CLEAR * count;
  if (isClear ? ends < 2 || evidence.isDashed(at, start, end) : !ends) return null;
  const most = evidence.isLined(at, start, end) ? sum : Math.min(sum, MEETING);
  const isSure = most === sum && count >= SURE.count && sum >= SURE.mean * count && gap < SURE.gap;
  return { ...cut, sum: ends < 2 ? most - ENDLESS : most, isSure };
}

/** The two halves of a share. */
export function cutAt(share: Share, { upright, at }: Pick<Cut, 'upright' | 'at'>): readonly [Share, Share] {
  const { cut } = share;
  return upright
    ? [
        { ...share, x1: at - 1, cut: { ...cut, right: true } },
        { ...share, x0: at + 1, cut: { ...cut, left: true } },
      ]
    : [
        { ...share, y1: at - 1, cut: { ...cut, bottom: true } },
        { ...share, y0: at + 1, cut: { ...cut, top: true } },
      ];
}

const sizeOf = (s: Share): Pick<Die, 'w' | 'h'> => ({ w: s.x1 - s.x0 + 1, h: s.y1 - s.y0 + 1 });

type Sizes = Pick<Parting, 'known' | 'scale'>;

/** Whether a share has one of the known sizes. */
export const isKnown = (share: Share, { known, scale }: Sizes): boolean =>
  known.some((die) => timesIn(sizeOf(share), die, scale) === 1);

/** Whether it is as large as so many stickers of a known size, or more, side by side. */
const isRowOf = (share: Share, { known, scale }: Sizes, least: number): boolean =>
  known.some((die) => timesIn(sizeOf(share), die, scale) >= least);

/** Whether both halves are of known sizes. */
const isBetweenKnown = (share: Share, cut: Cut, parting: Parting): boolean =>
  cutAt(share, cut).every((half) => isRowOf(half, parting, 1));

/** Copies differ by less, lightness, and by so much of what one of them differs from itself, moved aside. */
const COPIES = 3;
const LIKE = 0.5;
/** A pattern that repeats so often on a sticker, every so many px, is the same on what is beside it by chance. */
const MOST_OFTEN = 12;
const SHORTEST = 15;

/** Whether the same is printed on both sides of a cut, and on neither is it the same all over. */
function areCopies(share: Share, { upright, at }: Cut, { known, scale, planes, copies }: Parting): boolean {
  const die = known.find((d) => timesIn(sizeOf(share), d, scale) > 1);
  if (!die) return false;
  const long = upright ? die.w : die.h;
  const [start, end] = upright ? [share.y0, share.y1] : [share.x0, share.x1];
  const key = `${upright} ${at} ${long} ${start} ${end}`;
  const found = copies.get(key) ?? isRepeated(share, upright, at, long, planes);
  copies.set(key, found);
  return found;
}

function isRepeated(share: Share, upright: boolean, at: number, long: number, { l, width }: LabPlanes): boolean {
  const part = (from: number, length: number): Share =>
    upright ? { ...share, x0: from, x1: from + length - 1 } : { ...share, y0: from, y1: from + length - 1 };
  const copies = apartBy(part(at - long, long), part(at, long), l, width);
  if (copies >= COPIES) return false;
  for (let n = 2; n <= MOST_OFTEN && long >= n * SHORTEST; n++) {
    const shift = Math.round(long / n);
    const within = apartBy(part(at, long - shift), part(at + shift, long - shift), l, width);
    if (within < COPIES || copies > LIKE * within) return false;
  }
  return true;
}

/** Px by which a size may lie beside a line. */
const NEAR = 5;
/** So many stickers of one size are looked for in what has none. */
const IN_A_ROW = 6;

/** The places at which one or more of a known size would end in shares that have none of them. */
export function placesFor(
  { between }: Evidence,
  upright: boolean,
  odd: readonly Share[],
  known: readonly Die[],
): number[] {
  return odd.flatMap((share) => {
    const [from, to] = upright ? [share.x0, share.x1] : [share.y0, share.y1];
    const [start, end] = upright ? [share.y0, share.y1] : [share.x0, share.x1];
    const ends = known.flatMap((die) =>
      Array.from({ length: IN_A_ROW }, (_, n) => (n + 1) * (upright ? die.w : die.h)).flatMap((long) => [
        from + long,
        to - long,
      ]),
    );
    return ends
      .filter((at) => at > from + NEAR && at < to - NEAR)
      .map((at) => {
        let best = { at, sum: between(at, start, end).sum };
        for (let p = at - NEAR; p <= at + NEAR; p++) {
          const { sum } = between(p, start, end);
          if (sum > best.sum) best = { at: p, sum };
        }
        return best.at;
      });
  });
}
