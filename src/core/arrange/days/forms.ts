import { isOf } from '../../kit/is-of';
import { KIND_NAMES, traits } from '../../kit/kinds';
import type { Demand, DemandKind, Room } from '../../week/demand';
import { writtenText } from '../../week/demand';
import type { Kind } from '../../kit/kinds';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import type { Rect } from '../../measure/rect';
import { meaningsOf } from '../../week/meaning';
import { FOREIGN, piecesOf, strangeness } from '../../spread/choose';
import type { Fitted } from '../../spread/fit-text';
import { fitText } from '../../spread/fit-text';
import type { Context } from '../../spread/placement';
import { trimTo } from '../../spread/trim';
import { baseOf, writingRoom } from '../../spread/writing';
import { oncePerGround } from '../ladder/once';
import type { Ground } from '../ladder/rung';

/**
 * Bases of one kind and size: for room and text it does not matter which of them is taken. Sizes in mm after
 * trimming.
 */
export interface Form {
  readonly kind: Kind;
  readonly w: number;
  readonly h: number;
  readonly cut: Rect | null;
  /** degrees it is turned: 45 makes a diamond of a square; w, h are then of the paper it covers */
  readonly turn: number;
  /** what its printed icon means; littles only */
  readonly icon: string;
  readonly designs: readonly Piece[];
  /** copies untouched when the arranging began */
  readonly supply: number;
  /** lowest strangeness among its designs */
  readonly strange: number;
}

/** How well a kind of base suits a kind of item; lower is better. Common practice. */
const TASTE: Readonly<Record<DemandKind, Partial<Record<Kind, number>>>> = {
  appointment: { label: 0, 'third-box': 0.3, 'half-box': 0.6, 'quarter-box': 0.5, flag: 1, square: 2.2, circle: 2.6 },
  chore: { little: 0, 'quarter-box': 0.4, flag: 0.5, 'check-flag': 0.2, label: 1 },
  'to-do': { 'check-flag': 0, 'quarter-box': 0.4, flag: 0.4, little: 0.4 },
  deadline: { flag: 0, 'third-box': 0.6, label: 0.6, 'quarter-box': 0.7 },
  occasion: { 'third-box': 0, 'half-box': 0.4, label: 0.6, 'quarter-box': 0.9 },
  reminder: { flag: 0.2, 'quarter-box': 0.3, teardrop: 0.8, circle: 0.8, label: 0.8 },
  band: {},
};

const ROOM_KINDS: Readonly<Record<Room, readonly Kind[]>> = {
  label: ['label', 'flag', 'little', 'check-flag'],
  quarter: ['quarter-box', 'third-box', 'label'],
  half: ['half-box'],
  full: ['full-box', 'half-box'],
};

/** What it costs to give an item the very kind it asks for, one that will do, another. From memory. */
const ROOM_COST = { best: -9, well: -1, badly: 4 };

/** How a form serves an item that asks for room: a full box, where one may be written on, before all else. */
export const servesRoom = (room: Room, { kind }: Pick<Form, 'kind'>): 'best' | 'well' | 'badly' =>
  room === 'full' && kind === 'full-box' ? 'best' : ROOM_KINDS[room].includes(kind) ? 'well' : 'badly';

/** All bases that can carry an item in a column of that width, grouped. */
function formsFor({ draft, context, width }: Ground): readonly Form[] {
  const groups = new Map<string, { designs: Piece[]; cut: Rect | null }>();
  const bases = context.options.writeOnBoxes
    ? [...baseKinds(context), ...piecesOf(context, 'full-box')]
    : baseKinds(context);
  const pictures = context.ways.picturesServe
    ? piecesOf(context, 'deco').filter((p) => p.icon && p.height >= SPEAKS)
    : [];
  for (const piece of [...bases, ...pictures]) {
    if (
      (piece.writable === 'no' && piece.kind !== 'deco') ||
      draft.ledger.untouched(piece) === 0 ||
      strangeness(piece, context) > FOREIGN
    )
      continue;
    const cut = trimTo(piece, width);
    if (cut === undefined || piece.height > 100) continue;
    if (turnOf(piece, context) && (piece.width + piece.height) * Math.SQRT1_2 > width) continue;
    const printed = piece.kind === 'little' || piece.kind === 'deco' ? piece.icon : piece.words ? pieceKey(piece) : '';
    const key = [
      piece.kind,
      piece.width,
      piece.height,
      piece.shape,
      piece.faces,
      printed,
      isOf(context.kit, piece),
    ].join('|');
    const group = groups.get(key) ?? { designs: [], cut };
    group.designs.push(piece);
    groups.set(key, group);
  }
  return [...groups.values()].map(({ designs, cut }) => {
    const one = designs[0] as Piece;
    const turn = turnOf(one, context);
    const across = (one.width + one.height) * Math.SQRT1_2;
    return {
      kind: one.kind,
      w: turn ? across : (cut?.w ?? one.width),
      h: turn ? across : one.height,
      cut,
      turn,
      icon: one.icon,
      designs,
      supply: designs.reduce((n, p) => n + draft.ledger.untouched(p), 0),
      strange: Math.min(...designs.map((p) => strangeness(p, context))),
    };
  });
}

/** Names a form among those of a week. */
export const formKey = (form: Form): string => form.designs.map((p) => pieceKey(p)).join('+');

/** The bases that can carry an item on some ground. */
export const formsOf = oncePerGround(formsFor);

/** Where round and diamond bases are the manner, a square is laid on its corner (handbook 3, 5). */
const turnOf = (piece: Piece, { ways }: Context): number => (ways.roundBases && piece.kind === 'square' ? 45 : 0);

/** The part of a form that can be written on. */
export const roomOn = (form: Form): Rect => {
  const one = form.designs[0] as Piece;
  return writingRoom({
    ...baseOf(one, { w: form.turn ? one.width : form.w, h: form.turn ? one.height : form.h, turn: form.turn }),
    kind: form.kind,
  });
};

/** What round and diamond bases are worth where they are the manner. From memory. */
const ROUND: Partial<Record<Kind, number>> = { circle: -3, square: -3, teardrop: -2.4 };

const baseKinds = (context: Context): readonly Piece[] =>
  piecesOf(context, ...KIND_NAMES.filter((kind) => traits(kind).carriesItem));

/** How well a kind of base suits an item; lower is better. */
export const tasteFor = (demand: Demand, kind: Kind): number => TASTE[demand.kind][kind] ?? 1.8;

/** The item's text as it would be written on a form; null where it cannot be. A picture says it all by itself. */
export const fitOn = (demand: Demand, form: Form, context: Context): Fitted | null =>
  form.kind === 'deco' ? { text: '', size: 1 } : fitText(writtenText(demand), roomOn(form), context.options);

/**
 * What it costs to put an item on a form, its text as fitted; Infinity where it does not fit or what is printed says
 * something else.
 */
export function formCost(
  demand: Demand,
  form: Form,
  context: Context,
  fitted: Fitted | null = fitOn(demand, form, context),
  perMm: number = PER_MM,
): number {
  const one = form.designs[0] as Piece;
  if (form.kind === 'deco') return dutyCost(demand, form, perMm);
  if (!fitted) return Infinity;
  const meanings = meaningsOf(demand.title, demand.categories);
  if (form.kind === 'little' && form.icon && !meanings.includes(form.icon)) return Infinity;
  if (one.words && !demand.title.toLowerCase().includes(one.words.toLowerCase())) return Infinity;
  const meant = form.kind === 'little' && form.icon && meanings[0] === form.icon ? -2.4 : 0;
  const asked = demand.room ? ROOM_COST[servesRoom(demand.room, form)] : 0;
  const trimmed = form.cut ? 0.2 : 0;
  const narrow = form.kind !== 'little' && form.w < 24 ? 0.6 : 0;
  const round = context.ways.roundBases ? (ROUND[form.kind] ?? 0) : 0;
  return (
    tasteFor(demand, form.kind) +
    round +
    meant +
    asked +
    trimmed +
    narrow +
    form.strange / 6 +
    (isOf(context.kit, one) ? 0 : 1.5) +
    form.h * perMm
  );
}

/** What a mm of column costs in a day neither full nor empty. From memory. */
export const PER_MM = 0.035;

/** A picture lower than this is no more than an icon, mm. From memory. */
const SPEAKS = 15;
/**
 * What a picture costs beside the bases that suit a chore best: it is pretty, and says no more than what it shows.
 * From memory.
 */
const DUTY = 0.2;

/**
 * A picture that shows a thing takes the duty of its chore: only of one with no hour, nothing more to say, and all
 * its words about that thing.
 */
function dutyCost(demand: Demand, form: Form, perMm: number): number {
  const chore =
    (demand.kind === 'chore' || demand.kind === 'reminder') &&
    demand.start === null &&
    !demand.tentative &&
    demand.aspect === 'item' &&
    demand.room === null;
  return chore &&
    meaningsOf(demand.title, demand.categories)[0] === form.icon &&
    demand.title.split(/\s+/).length <= MOST_WORDS
    ? DUTY + form.h * perMm + form.strange / 6
    : Infinity;
}

/** Words that a picture alone can stand for. From memory. */
const MOST_WORDS = 3;
