import { atHand } from '../../spread/at-hand';
import type { Carried } from './carried';
import { carriedBy } from './carried';
import type { Makeshift } from './makeshift-ways';
import { makeshiftFor } from './makeshift-ways';
import type { Kind } from '../../kit/kinds';
import { traits } from '../../kit/kinds';
import type { Kit, Piece } from '../../kit/kit';
import type { Substitute } from '../../kit/substitutes';
import { lookOf, substitutesFor } from '../../kit/substitutes';
import type { Need } from './needs';
import { frameNeeds, weekNeeds } from './needs';
import type { Context } from '../../spread/placement';

/** What a week wants: pieces of a kind, rows of lists, bases of any kind, numbers of its days. */
export type Wanted = Kind | 'rows' | 'bases' | 'numbers';

/** One kind that a week wants: needed against there, and what helps where it lacks (handbook K1, K2). */
export interface Enough {
  readonly what: Wanted;
  readonly kind: Kind;
  readonly needed: number;
  /** untouched in the kit; of lists their rows */
  readonly there: number;
  readonly substitutes: readonly Substitute[];
  /** what one can be made of; null where nothing serves */
  readonly makeshift: Makeshift | null;
  /** of bases that lack: how the ladder would carry the week all the same, out of the kit alone */
  readonly carried?: Carried;
}

/** More kits to take from than these help nobody to choose. */
const MOST_SUBSTITUTES = 3;

/**
 * Is the kit enough for the week? Kind by kind, what is needed and what is there, what lacks first.
 * @param spent copies that earlier weeks will have taken, by kind
 * @param soon names of stashes that are near their use-by and come first
 * @example isItEnough(context).filter((e) => e.there < e.needed)
 */
export function isItEnough(
  context: Context,
  spent: ReadonlyMap<Wanted, number> = new Map(),
  soon: ReadonlySet<string> = new Set(),
): Enough[] {
  const ledger = atHand(context);
  const own = context.kit.pieces;
  const others = byKind(context.stash);
  const foreign = (k: Kind): Piece[] => (others.get(k) ?? []).filter((p) => ledger.untouched(p) > 0);
  const look = lookOf(context.kit);
  const line = (what: Wanted, kind: Kind, needed: number, there: number): Enough => {
    const left = Math.max(0, there - (spent.get(what) ?? 0));
    if (left >= needed) return { what, kind, needed, there: left, substitutes: [], makeshift: null };
    const [width, height] = traits(kind).usual;
    return {
      what,
      kind,
      needed,
      there: left,
      substitutes: substitutesFor(
        { kind, width, height, words: '', finish: 'matte-removable' },
        look,
        foreign(kind),
        soon,
        MOST_SUBSTITUTES,
      ),
      makeshift: makeshiftFor(kind, (k) => [...own.filter((p) => p.kind === k), ...foreign(k)], ledger),
    };
  };
  const untouched = (pieces: readonly Piece[]): number =>
    pieces.reduce((n, p) => n + Math.max(0, ledger.untouched(p)), 0);
  const counted = (n: Need): Enough =>
    line(n.kind, n.kind, n.needed, untouched(own.filter((p) => p.kind === n.kind && (n.fits?.(p) ?? true))));
  const { rows, bases, sections } = weekNeeds(context);
  const numbers = context.week.days.map((d) => String(Number(d.slice(8))));
  const dots = own.filter((p) => p.kind === 'date-dot');
  return [
    ...[...frameNeeds(context), ...sections].filter((n) => n.needed > 0).map(counted),
    line(
      'rows',
      'checklist',
      rows,
      own.filter((p) => p.kind === 'checklist').reduce((n, p) => n + p.rows * Math.max(0, ledger.untouched(p)), 0),
    ),
    line(
      'bases',
      'quarter-box',
      bases,
      untouched(own.filter((p) => traits(p.kind).carriesItem && p.writable !== 'no')),
    ),
    ...(dots.length
      ? [
          line(
            'numbers',
            'date-dot',
            7,
            numbers.filter((n) => dots.some((p) => p.words.trim() === n && ledger.untouched(p) > 0)).length,
          ),
        ]
      : []),
  ]
    .filter((e) => e.needed > 0)
    .map((e) =>
      e.what === 'bases' && e.there < e.needed ? { ...e, carried: carriedBy({ ...context, stash: [] }) } : e,
    )
    .sort((a, b) => Number(b.there < b.needed) - Number(a.there < a.needed));
}

const kinds = new WeakMap<readonly Kit[], ReadonlyMap<Kind, readonly Piece[]>>();

/** A stash's pieces by kind, sorted out once: one stash serves many weeks. */
function byKind(stash: readonly Kit[]): ReadonlyMap<Kind, readonly Piece[]> {
  const known = kinds.get(stash);
  if (known) return known;
  const sorted = new Map<Kind, Piece[]>();
  for (const p of stash.flatMap((s) => s.pieces)) {
    const list = sorted.get(p.kind);
    if (list) list.push(p);
    else sorted.set(p.kind, [p]);
  }
  kinds.set(stash, sorted);
  return sorted;
}
