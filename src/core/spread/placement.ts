import type { Book } from '../book/book';
import type { Kit, Piece } from '../kit/kit';
import { pieceKey } from '../kit/kit';
import type { Manner } from '../manner/manner';
import type { Options } from '../manner/options/registry';
import type { Ways } from '../manner/ways/registry';
import type { Rect } from '../measure/rect';
import { turned } from '../measure/rect';
import type { Demand, WeekDemands } from '../week/demand';
import type { IsoDay, WeekName } from '../week/week';
import type { WeekRhythm } from './week-rhythm';

export type Role = 'base' | 'sidebar' | 'box' | 'day' | 'finish';

/**
 * A sticker, or a part of one, on a page; or, without one, what is written there (docs/formats/spread.md). Lengths in
 * mm, turn in degrees clockwise about its center.
 */
export interface Placement extends Rect {
  readonly id: string;
  readonly kit: string;
  readonly code: string;
  readonly copy: number;
  readonly page: number;
  readonly turn: number;
  readonly layer: number;
  readonly role: Role;
  readonly day: number | null;
  /** the part of the printed piece that is used, in its own mm; null: whole */
  readonly cut: Rect | null;
  /** uids of the items it carries */
  readonly items: readonly string[];
  /** of a list, a line for each of its rows (docs/formats) */
  readonly text: string | null;
  /** how large the text is written, as a share of the owner's hand: 0.6 to 1 */
  readonly size: number;
  readonly ink: string | null;
  readonly locked: boolean;
}

/** What stands for kit and code of what is no sticker, but ink on the paper itself. No kit can be called so. */
export const INK = { kit: '', code: '', copy: 1, cut: null, turn: 0 } as const;

/** True for what is written straight onto the paper. */
export const isWriting = (p: Pick<Placement, 'kit'>): boolean => p.kit === INK.kit;

/** All that a spread is made from. */
export interface Context {
  /** the book as the manner uses it: headers lowered or raised, columns over the notes row */
  readonly book: Book;
  /** the book as it was printed and measured */
  readonly printed: Book;
  /** the chosen kit */
  readonly kit: Kit;
  readonly stash: readonly Kit[];
  readonly week: WeekDemands;
  readonly manner: Manner;
  readonly options: Options;
  readonly ways: Ways;
  /** `kit/code` of what its owner likes best */
  readonly favorites: ReadonlySet<string>;
  /** what was learned of the owner's taste, by `kit/code`, -5 to 5 */
  readonly likes: Readonly<Record<string, number>>;
  readonly seed: number;
  /** the boxes of the last weeks, the newest first (handbook E4) */
  readonly boxesBefore: readonly WeekRhythm[];
  /** times a sticker was lifted after it was stuck down, by `copyKey` */
  readonly peeled: Readonly<Record<string, number>>;
  /** kits and stashes that are to be used by a day, by name */
  readonly useBy: Readonly<Record<string, IsoDay>>;
  /** steps of the bench that are done, by `stepKey` */
  readonly ticked: readonly string[];
  /** parts of stickers that other weeks' spreads have used */
  readonly usedElsewhere: readonly {
    readonly kit: string;
    readonly code: string;
    readonly copy: number;
    readonly cut: Rect | null;
    /** the week on whose spread it is planned and not stuck down yet */
    readonly plannedFor?: WeekName;
  }[];
}

/** The options that hold: the owner's, over the school's habits. */
export const withHabits = (manner: Manner, own: Partial<Options>): Options => ({ ...manner.habits, ...own });

/** Kit first, then the stash, unless only the kit may be used. */
export const kitsOf = (context: Context): readonly Kit[] =>
  context.options.kitOnly ? [context.kit] : [context.kit, ...context.stash];

/** Finds a piece by its key; nothing where no kit of them has it. */
export interface PieceIndex {
  readonly get: (key: string) => Piece | undefined;
}

/** Looks pieces up by kit and code, over the kit and the whole stash. */
export function pieceIndex({ kit, stash }: Pick<Context, 'kit' | 'stash'>): PieceIndex {
  const own = indexOf(kit.pieces, () => kit.pieces);
  const others = stash.length ? indexOf(stash, () => stash.flatMap((k) => k.pieces)) : NONE;
  return { get: (key) => own.get(key) ?? others.get(key) };
}

const NONE: ReadonlyMap<string, Piece> = new Map();

/** An index is made once for a kit, and for a stash: many weeks and looks have the same. */
function indexOf(of: object, pieces: () => readonly Piece[]): ReadonlyMap<string, Piece> {
  const index = indexes.get(of) ?? new Map(pieces().map((p) => [pieceKey(p), p]));
  indexes.set(of, index);
  return index;
}

const indexes = new WeakMap<object, ReadonlyMap<string, Piece>>();

/** The paper a placement covers, turned as it is. */
export const footprint = (p: Placement): Rect => turned(p, p.turn);

/** The items that placements carry, each matched to one demand; a placement moved to another day keeps its item. */
export function matchDemands(placements: readonly Placement[], demands: readonly Demand[]): Map<string, Placement> {
  const carriers = placements.flatMap((p) => p.items.map((uid) => ({ uid, p }))).sort((a, b) => a.p.y - b.p.y);
  const matched = new Map<string, Placement>();
  const taken = new Set<number>();
  const match = (accept: (p: Placement, d: Demand) => boolean) => {
    for (const d of demands) {
      if (matched.has(d.key)) continue;
      const i = carriers.findIndex((c, at) => !taken.has(at) && c.uid === d.uid && accept(c.p, d));
      if (i < 0) continue;
      taken.add(i);
      matched.set(d.key, (carriers[i] as { p: Placement }).p);
    }
  };
  match((p, d) => p.day === d.day);
  match(() => true);
  return matched;
}

/** The designs that lie on a spread, each once. */
export function piecesOn(context: Pick<Context, 'kit' | 'stash'>, placements: readonly Placement[]): Piece[] {
  const pieces = pieceIndex(context);
  return [...new Set(placements.flatMap((p) => pieces.get(pieceKey(p)) ?? []))];
}
