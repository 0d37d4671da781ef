import { boldness } from '../color/boldness';
import { difference } from '../color/color';
import type { Hex } from '../color/color';
import type { Unit } from '../measure/fraction';
import { ruled } from '../measure/fraction';
import type { Finish, Kind } from './kinds';
import type { Kit, Piece } from './kit';
import { palette } from './kit';

/** What a lacking piece should be. Sizes in mm. */
export interface Wanted {
  readonly kind: Kind;
  readonly width: number;
  readonly height: number;
  readonly words: string;
  readonly finish: Finish;
}

/** A piece from elsewhere that could stand in, with what speaks against it; the lower the cost, the better. */
export interface Substitute {
  readonly piece: Piece;
  readonly cost: number;
  /** CIEDE2000 from the nearest of the kit's colors (handbook C1) */
  readonly difference: number;
  /** how much bolder than the kit's own boldest (handbook C5); 0 when it is not */
  readonly bolder: number;
  /** mm to be cut off; 0 when it fits */
  readonly trim: number;
  /** mm that it lacks; 0 when it fits */
  readonly short: number;
  /** it says something else than was wanted */
  readonly elsewise: boolean;
  readonly otherFinish: boolean;
  /** it is to be used soon (handbook K6) */
  readonly soon: boolean;
}

/** What the kit's colors are compared by. */
export interface Look {
  readonly colors: readonly Hex[];
  readonly boldest: number;
}

/** A kit is known by so many of its colors. */
const COLORS = 12;
/** Costs that weigh against a color's distance, in its units. Common practice: color first, then size, then words. */
const BOLDER = 60;
const TRIMMED = 1.5;
const SMALLER = 4;
const OTHER_WORDS = 14;
const OTHER_FINISH = 5;
/** taken off what must be used soon (handbook K6) */
const SOON = 6;

/** CIEDE2000 up to which a color is called so; from 22 it is foreign (handbook C1) */
const NEAR: readonly (readonly [number, string])[] = [
  [3, 'matches the kit’s colors'],
  [12, 'near the kit’s colors'],
  [22, 'a color of its own'],
];

const looks = new WeakMap<Kit['pieces'], Look>();

/** A kit's colors, made once: the same kit serves many weeks. */
export function lookOf(kit: Kit): Look {
  const known = looks.get(kit.pieces) ?? {
    colors: palette(kit, COLORS),
    boldest: Math.max(0, ...kit.pieces.map((p) => boldness(p.color))),
  };
  looks.set(kit.pieces, known);
  return known;
}

/**
 * The pieces that can stand in for what lacks, the best first; equal ones by kit and code.
 * @param soon names of kits that are near their use-by
 * @param most no more than so many
 */
export function substitutesFor(
  wanted: Wanted,
  look: Look,
  pieces: readonly Piece[],
  soon: ReadonlySet<string> = new Set(),
  most = Infinity,
): Substitute[] {
  const open = pieces
    .filter((p) => p.kind === wanted.kind && p.count > 0)
    .map((piece) => ({ piece, without: costWithoutColor(wanted, look, piece, soon.has(piece.kit)) }))
    .sort((a, b) => a.without - b.without);
  const best: Substitute[] = [];
  for (const { piece, without } of open) {
    const worst = best.length >= most ? best[most - 1] : undefined;
    // colors only add to the cost: from here on nothing can come before those found
    if (worst && without > worst.cost) break;
    if (worst && without + awayFrom(look, piece.color) > worst.cost) continue;
    best.push(substitute(wanted, look, piece, soon.has(piece.kit), without));
    best.sort(inOrder);
    if (best.length > most) best.pop();
  }
  return best;
}

const inOrder = (a: Substitute, b: Substitute): number => a.cost - b.cost || (keyOf(a) < keyOf(b) ? -1 : 1);
const keyOf = (s: Substitute): string => `${s.piece.kit}/${s.piece.code}`;
const bolderBy = (look: Look, piece: Piece): number => Math.max(0, boldness(piece.color) - look.boldest);
const trimOf = (wanted: Wanted, piece: Piece): number =>
  Math.max(0, piece.width - wanted.width) + Math.max(0, piece.height - wanted.height);
const shortOf = (wanted: Wanted, piece: Piece): number =>
  Math.max(0, wanted.width - piece.width) + Math.max(0, wanted.height - piece.height);
const saysElse = (wanted: Wanted, piece: Piece): boolean =>
  piece.words !== '' && piece.words.toLowerCase() !== wanted.words.toLowerCase();

const costWithoutColor = (wanted: Wanted, look: Look, piece: Piece, soon: boolean): number =>
  BOLDER * bolderBy(look, piece) +
  TRIMMED * trimOf(wanted, piece) +
  SMALLER * shortOf(wanted, piece) +
  (saysElse(wanted, piece) ? OTHER_WORDS : 0) +
  (piece.finish === wanted.finish ? 0 : OTHER_FINISH) -
  (soon ? SOON : 0);

const distances = new WeakMap<Look, Map<Hex, number>>();

/** CIEDE2000 from the nearest of the kit's colors; reckoned once for a color. */
function awayFrom(look: Look, color: Hex): number {
  const known = distances.get(look) ?? new Map<Hex, number>();
  distances.set(look, known);
  let away = known.get(color);
  if (away === undefined) {
    away = look.colors.length ? Math.min(...look.colors.map((c) => difference(c, color))) : 0;
    known.set(color, away);
  }
  return away;
}

function substitute(wanted: Wanted, look: Look, piece: Piece, soon: boolean, without: number): Substitute {
  const away = awayFrom(look, piece.color);
  return {
    piece,
    cost: without + away,
    difference: away,
    bolder: bolderBy(look, piece),
    trim: trimOf(wanted, piece),
    short: shortOf(wanted, piece),
    elsewise: saysElse(wanted, piece),
    otherFinish: piece.finish !== wanted.finish,
    soon,
  };
}

/** What speaks for and against it: `near the kit’s colors, trim 1/16 in`. */
export function saySubstitute(s: Substitute, unit: Unit): string {
  return [
    NEAR.find(([most]) => s.difference < most)?.[1] ?? 'looks foreign to the kit',
    s.bolder > 0.02 ? 'bolder than the kit' : '',
    s.trim > 0.05 ? `trim ${ruled(s.trim, unit)}` : '',
    s.short > 0.05 ? `${ruled(s.short, unit)} short` : '',
    s.elsewise ? `says “${s.piece.words}”` : '',
    s.otherFinish ? s.piece.finish : '',
    s.soon ? 'to be used soon' : '',
  ]
    .filter(Boolean)
    .join(', ');
}
