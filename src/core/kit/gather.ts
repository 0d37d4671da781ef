import type { Hex } from '../color/color';
import { difference, mix } from '../color/color';
import { oklabOf } from '../color/oklab';
import type { Kind } from './kinds';
import type { Kit, Piece } from './kit';
import { pieceKey } from './kit';
import { TYPICAL } from './typical';

/** What a week is to look like that is planned without a kit: its colors, and a foil. */
export interface Theme {
  /** two to four */
  readonly colors: readonly Hex[];
  /** the one foil that may shine in it; null: any */
  readonly foil: string | null;
}

/** A kit or stash to gather from, with what its owner knows of it. */
export interface Source {
  readonly kit: Kit;
  /** of a design, copies that are whole, and those of which a part is left */
  readonly left: (piece: Piece) => { readonly whole: number; readonly cut: number };
  /** it is of this season, or of another; null: of none */
  readonly inSeason: boolean | null;
}

/** Stickers within this of a theme's colors go with it (CIEDE2000). From memory: looked at, not measured. */
const TOGETHER = 13;
/** How much a sticker's second color counts. */
const SECOND = 0.3;
/** Tints and shades of a color that are of its family: how much white, or black, is in them. From memory. */
const TINTS = [0.35, 0.6, 0.8] as const;
const SHADE = 0.35;
/** What is so light and so gray is paper, which goes with all: OKLab's lightness and chroma. From memory. */
const PAPER = { lightest: 0.93, gray: 0.02 } as const;
/** What paper alone costs, against a piece in the theme's colors. */
const PLAIN = 5;
/** What speaks for a sticker and against it, in the same measure as colors are apart. From memory. */
const WORTH = { season: -2, otherSeason: 5, last: 3, cut: 4, motif: -3, meant: -8, turn: 2.5 } as const;
/** Pictures by which the week's motifs are told, and how many motifs that is. From memory. */
const TELLING = { pictures: 16, motifs: 3 } as const;
/** Of icons and scripts more are taken than a kit has: which are wanted is seen when the week is laid out. */
const MORE: Partial<Record<Kind, number>> = { icon: 1.5, script: 1.5 };

/** Stickers of each kind that a week is gathered from: what a full kit usually has of it. */
const WANTED: ReadonlyMap<Kind, number> = TYPICAL.full.reduce(
  (sums, [kind, count]) => sums.set(kind, (sums.get(kind) ?? 0) + count * (MORE[kind] ?? 1)),
  new Map<Kind, number>(),
);

/** A sticker that goes with a theme: how well, the best at 0 and below, and which of its colors it is nearest to. */
export interface Suiting {
  readonly piece: Piece;
  readonly cost: number;
  readonly color: number;
}

/** How far a sticker's colors are from a theme's families of colors (CIEDE2000), and the nearest of them. */
export function apartFromTheme({ colors }: Theme): (piece: Piece) => { apart: number; color: number } {
  const families = colors.map((c) => [c, ...TINTS.map((t) => mix(c, '#ffffff', t)), mix(c, '#000000', SHADE)]);
  const known = new Map<Hex, { apart: number; color: number }>();
  const nearest = (color: Hex) => {
    const before = known.get(color);
    if (before) return before;
    const each = families.map((f) => Math.min(...f.map((c) => difference(c, color))));
    const apart = Math.min(...each);
    const found = { apart, color: each.indexOf(apart) };
    known.set(color, found);
    return found;
  };
  return ({ color, accent }) => {
    const [plain, plainAccent] = [isPaper(color), isPaper(accent)];
    if (plain && plainAccent) return { apart: PLAIN, color: -1 };
    if (plain) return nearest(accent);
    const first = nearest(color);
    if (plainAccent) return first;
    return { apart: (1 - SECOND) * first.apart + SECOND * nearest(accent).apart, color: first.color };
  };
}

function isPaper(color: Hex): boolean {
  const { l, c } = oklabOf(color);
  return l >= PAPER.lightest && c <= PAPER.gray;
}

/**
 * What goes with a theme from all kits and the stash, the best first.
 * @param meanings what items of the week are about: icons and scripts that say so come first
 */
export function suiting(theme: Theme, sources: readonly Source[], meanings: ReadonlySet<string>): Suiting[] {
  const apartOf = apartFromTheme(theme);
  const near = sources.flatMap(({ kit, left, inSeason }) =>
    kit.pieces.flatMap((piece): Suiting[] => {
      if (piece.foil !== 'none' && theme.foil !== null && piece.foil !== theme.foil) return [];
      const { whole, cut } = left(piece);
      const { apart, color } = apartOf(piece);
      if (apart > TOGETHER || whole + cut === 0) return [];
      const cost =
        apart +
        (inSeason === null ? 0 : inSeason ? WORTH.season : WORTH.otherSeason) +
        (whole === 1 && piece.count > 1 ? WORTH.last : 0) +
        (whole === 0 ? WORTH.cut : 0) +
        (meanings.has(piece.icon) || meanings.has(piece.words.toLowerCase()) ? WORTH.meant : 0);
      return [{ piece, cost, color }];
    }),
  );
  const motifs = commonMotifs(near.sort(byCost));
  return near.map((s) => (motifs.has(s.piece.motif) ? { ...s, cost: s.cost + WORTH.motif } : s)).sort(byCost);
}

const byCost = (a: Suiting, b: Suiting): number => a.cost - b.cost || (pieceKey(a.piece) < pieceKey(b.piece) ? -1 : 1);

/** What the nearest pictures show most: a week of them looks planned. */
function commonMotifs(near: readonly Suiting[]): ReadonlySet<string> {
  const counts = new Map<string, number>();
  const pictures = near.filter(({ piece: p }) => p.motif && (p.kind === 'full-box' || p.kind === 'deco'));
  for (const { piece } of pictures.slice(0, TELLING.pictures))
    counts.set(piece.motif, (counts.get(piece.motif) ?? 0) + 1);
  const common = [...counts].filter(([, n]) => n > 1).sort((a, b) => b[1] - a[1] || (a[0] < b[0] ? -1 : 1));
  return new Set(common.slice(0, TELLING.motifs).map(([motif]) => motif));
}

/**
 * The week's own kit from what goes with a theme: of each kind as many as a full kit usually has, the best first, each
 * color of the theme in its turn.
 * @param left of a design, the copies that can be used
 */
export function gather(near: readonly Suiting[], left: (piece: Piece) => number): Piece[] {
  return [...WANTED].flatMap(([kind, wanted]) => {
    const rest = near.filter((s) => s.piece.kind === kind);
    const taken: Piece[] = [];
    const turns = new Map<number, number>();
    for (let copies = 0; copies < wanted && rest.length;) {
      const price = (s: Suiting): number => s.cost + (turns.get(s.color) ?? 0) * WORTH.turn;
      const best = rest.reduce((a, b) => (price(b) < price(a) ? b : a));
      rest.splice(rest.indexOf(best), 1);
      taken.push(best.piece);
      copies += Math.max(1, left(best.piece));
      turns.set(best.color, (turns.get(best.color) ?? 0) + 1);
    }
    return taken;
  });
}
