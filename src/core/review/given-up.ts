import { frameNeeds } from '../arrange/counting/needs';
import { regionsOf } from '../book/columns';
import { rowFrames } from '../book/rows';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { TOLERANCE } from '../measure/length';
import { bottom, intersect } from '../measure/rect';
import { piecesOf, FOREIGN, strangeness } from '../spread/choose';
import { forWhatComesUp, freeStretches, lengthOf } from '../spread/free-room';
import { isList } from '../spread/is-list';
import { footprint } from '../spread/placement';
import type { Voice } from '../spread/voice';
import { boxesOf } from './boxes-of';
import type { View } from './finding';

/** The kinds that frame a week (`frameNeeds`). */
type FrameHabit = Extract<Kind, 'date-cover' | 'header' | 'full-box' | 'banner' | 'bottom-washi'>;
const isFrameHabit = (kind: Kind): kind is FrameHabit => kind in KEPT;

/** A habit of the school that this week does not keep, or not on all its days, and why (handbook 5). */
export interface GivenUp {
  readonly habit: FrameHabit | 'list rows';
  readonly kept: number;
  readonly wanted: number;
  /**
   * no piece is left for it; or there is one and no room, as the items come first (handbook D1); or only one that is
   * like its neighbor (C3)
   */
  readonly why: 'no piece' | 'no room' | 'alike';
}

/**
 * Which of its habits the school gave up on a spread, and why.
 * @example givenUp(viewOf(context, placements))[0] // { habit: 'full-box', kept: 5, wanted: 7, why: 'no piece' }
 */
export function givenUp(view: View): GivenUp[] {
  if (!view.placements.length) return [];
  const frame = frameNeeds(view.context).flatMap((need): GivenUp[] => {
    const habit = need.kind;
    if (!isFrameHabit(habit) || need.needed === 0) return [];
    const kept = Math.min(need.needed, KEPT[habit](view));
    const left = piecesOf(view.context, need.kind).filter(
      (p) => view.draft.ledger.untouched(p) > 0 && strangeness(p, view.context) <= FOREIGN && (need.fits?.(p) ?? true),
    );
    const why = left.length === 0 ? 'no piece' : habit === 'full-box' && hasRoom(view, left) ? 'alike' : 'no room';
    return [{ habit, kept, wanted: need.needed, why }];
  });
  return [...frame, ...listRows(view)].filter((g) => g.kept < g.wanted);
}

/** True where a day without a full box has the room for one that is left, and for what comes up. */
function hasRoom(view: View, left: readonly Piece[]): boolean {
  const boxed = new Set(boxesOf(view).flatMap((b) => b.days));
  const least = Math.min(...left.map((p) => p.height));
  return [0, 1, 2, 3, 4, 5, 6].some(
    (day) =>
      !boxed.has(day) &&
      freeStretches(view.draft, view.context, day).some(
        (s) => lengthOf(s) >= least + forWhatComesUp(view.context, day),
      ),
  );
}

const daysOf = (view: View, kinds: readonly Kind[]): number =>
  new Set(
    view.placements
      .filter((p) => p.role === 'base' && p.day !== null && isOf(view.pieceOf(p), kinds))
      .map((p) => p.day),
  ).size;

const isOf = (piece: Piece | undefined, kinds: readonly Kind[]): boolean =>
  piece !== undefined && kinds.includes(piece.kind);

/** How often a habit is kept; a length of washi is a header too (handbook K2). */
const KEPT: Readonly<Record<FrameHabit, (view: View) => number>> = {
  'date-cover': (view) => daysOf(view, ['date-cover']),
  header: (view) => daysOf(view, ['header', 'washi']),
  'full-box': (view) => boxesOf(view).reduce((n, b) => n + b.days.length, 0),
  banner: (view) => view.placements.filter((p) => view.pieceOf(p)?.kind === 'banner').length,
  'bottom-washi': (view) =>
    regionsOf(view.context.book, 'bottom-strip').filter((strip) =>
      view.placements.some((p) => p.page === strip.page && p.role === 'base' && intersect(footprint(p), strip)),
    ).length,
};

/** Where rows are kept, lists stand in the last one. */
function listRows(view: View): GivenUp[] {
  if (!view.context.ways.keepsRows) return [];
  const lists = view.placements.filter((p) => p.role === 'day' && p.day !== null && isList(view.pieceOf(p), p));
  const inRow = lists.filter((p) => {
    const last = rowFrames(view.context.book, p.day as number).at(-1);
    return last !== undefined && p.y >= last.y - TOLERANCE && bottom(p) <= last.y + last.h + TOLERANCE;
  });
  return [{ habit: 'list rows', kept: inRow.length, wanted: lists.length, why: 'no room' }];
}

const NAMES: Readonly<Record<GivenUp['habit'], string>> = {
  'date-cover': 'date covers',
  header: 'headers',
  'full-box': 'full boxes',
  banner: 'banner',
  'bottom-washi': 'strips of bottom washi',
  'list rows': 'lists in the last row',
};

/** `5 of 7 full boxes: no more are left.` */
export function sayGivenUp({ habit, kept, wanted, why }: GivenUp, voice: Pick<Voice, 'context'>): string {
  const what = habit === 'banner' ? 'No banner' : `${kept} of ${wanted} ${NAMES[habit]}`;
  if (why === 'no room') return `${what}: the items come first.`;
  if (why === 'alike') return `${what}: what is left would stand beside one that is like it.`;
  const whose = voice.context.stash.length && !voice.context.options.kitOnly ? 'kit and stash have' : 'the kit has';
  return `${what}: ${whose} no ${kept ? 'more' : 'fitting one'}.`;
}
