import { fitBox } from '../arrange/boxes/box-fit';
import { iconRank, scriptRank } from '../arrange/days/reserved';
import { blanksOf } from '../eye/blanks';
import { sightOf } from '../eye/sight';
import type { Kind } from '../kit/kinds';
import { counted } from '../spread/voice';
import type { Piece } from '../kit/kit';
import { keptFree, lengthOf } from '../spread/free-room';
import type { View } from './finding';

/**
 * Why copies of a design lie on their sheet when the week is full: no item means what it shows; those that do
 * have theirs, or no room on their base; the days have as many as they take; no bare place has the room; or it would go
 * in, and nothing wants it.
 */
export type WhyLeft = 'nothing means it' | 'no base for it' | 'one a day' | 'no room' | 'not wanted';

/** Copies of a design of the week's kit that nobody has touched, and why (handbook K1, K5). */
export interface LeftOnSheet {
  readonly piece: Piece;
  readonly copies: number;
  readonly why: WhyLeft;
}

const ONE_A_DAY: readonly Kind[] = ['header', 'date-cover', 'date-dot', 'full-box', 'bottom-washi', 'banner'];

/** All that is left of the week's kit, in its own order, each with the reason. */
export function leftOnSheets(view: View): LeftOnSheet[] {
  const { context, draft } = view;
  const room = bareRoom(view);
  return context.kit.pieces.flatMap((piece): LeftOnSheet[] => {
    const copies = draft.ledger.untouched(piece);
    return copies > 0 ? [{ piece, copies, why: whyLeft(view, piece, room) }] : [];
  });
}

function whyLeft({ context: { week } }: View, piece: Piece, room: readonly Room[]): WhyLeft {
  if (piece.kind === 'icon' || piece.kind === 'script') {
    const rank = piece.kind === 'icon' ? iconRank : scriptRank;
    return week.demands.every((d) => rank(d, piece) === null) ? 'nothing means it' : 'no base for it';
  }
  if (ONE_A_DAY.includes(piece.kind)) return 'one a day';
  const goes = ({ w, h }: Room): boolean => (piece.width <= w && piece.height <= h) || fitBox(piece, w, h) !== null;
  return room.some(goes) ? 'not wanted' : 'no room';
}

interface Room {
  readonly w: number;
  readonly h: number;
}

/** The longest bare place of each day, beside what is kept for what comes up, mm. */
function bareRoom({ context, placements }: View): Room[] {
  const { byDay, columns } = sightOf(context, placements);
  return columns.flatMap((column, day) => {
    const runs = column ? blanksOf(column, byDay[day] ?? []) : [];
    const longest = Math.max(0, ...runs.map(lengthOf));
    return column ? [{ w: column.w, h: longest - keptFree(context, day) - context.options.gap }] : [];
  });
}

/** For one, and for more. */
const WORDS: Readonly<Record<WhyLeft, readonly [string, string]>> = {
  'nothing means it': ['nothing this week means it', 'nothing this week means them'],
  'no base for it': ['what it means has one, or no room', 'what they mean has one, or no room'],
  'one a day': ['more than the days take', 'more than the days take'],
  'no room': ['no bare place takes it', 'no bare place takes them'],
  'not wanted': ['it would go in, but the days look full enough', 'they would go in, but the days look full enough'],
};

/** The reasons, each with its designs, the one with the most copies first: `12: nothing this week means them`. */
export function byReason(left: readonly LeftOnSheet[]): { why: WhyLeft; says: string; left: LeftOnSheet[] }[] {
  const reasons = Object.keys(WORDS) as WhyLeft[];
  return reasons
    .map((why) => ({ why, left: left.filter((l) => l.why === why) }))
    .filter((r) => r.left.length > 0)
    .map((r) => ({ ...r, copies: r.left.reduce((n, l) => n + l.copies, 0) }))
    .sort((a, b) => b.copies - a.copies)
    .map(({ why, left: of, copies }) => ({
      why,
      says: `${counted(copies, 'sticker')}: ${WORDS[why][copies === 1 ? 0 : 1]}`,
      left: of,
    }));
}
