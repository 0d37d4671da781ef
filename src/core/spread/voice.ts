import type { Piece } from '../kit/kit';
import { calledName, pieceKey } from '../kit/kit';
import { traits } from '../kit/kinds';
import type { Unit } from '../measure/fraction';
import { ruled } from '../measure/fraction';
import { longDay } from '../week/day-names';
import type { Context, Placement } from './placement';
import { isWriting, pieceIndex } from './placement';

/**
 * What is needed to put data into words, at the edge: whose week it is, what lies on it, in which unit its owner
 * measures. Nothing in the core reads what a voice says.
 */
export interface Voice {
  readonly context: Context;
  readonly unit: Unit;
  /** a placement by its id */
  readonly placement: (id: string) => Placement | undefined;
  readonly pieceOf: (p: Pick<Placement, 'kit' | 'code'>) => Piece | undefined;
}

/**
 * A voice for a spread.
 * @param unit the owner's; the book's own where nothing else is said
 */
export function voiceOf(context: Context, placements: readonly Placement[], unit: Unit = context.book.unit): Voice {
  const there = new Map(placements.map((p) => [p.id, p]));
  const pieces = pieceIndex(context);
  return { context, unit, placement: (id) => there.get(id), pieceOf: (p) => pieces.get(pieceKey(p)) };
}

/** `Thursday` */
export const dayName = (voice: Pick<Voice, 'context'>, day: number): string =>
  longDay(voice.context.week.days[day] as string);

/** A length in the owner's unit: `38.1 mm`, `1 1/2 in`; `a hair` for one that is there and no ruler shows. */
export function mm({ unit }: Pick<Voice, 'unit'>, length: number): string {
  const said = ruled(length, unit);
  return length !== 0 && said === ruled(0, unit) ? 'a hair' : said;
}

/** Two lengths that are held against each other: where a ruler shows no difference, which one is the shorter. */
export function twoLengths(voice: Pick<Voice, 'unit'>, one: number, other: number): readonly [string, string] {
  const [a, b] = [mm(voice, one), mm(voice, other)];
  if (a !== b || one === other) return [a, b];
  return one < other ? [`just under ${a}`, b] : [`just over ${a}`, b];
}

/** `Thursday’s header`, `the header in the sidebar`; `the piece` for one that is gone. */
export function pieceName(voice: Voice, id: string | undefined): string {
  const p = id === undefined ? undefined : voice.placement(id);
  const piece = p && voice.pieceOf(p);
  const label = piece ? traits(piece.kind).label : p && isWriting(p) ? 'writing' : 'piece';
  if (!p) return `the ${label}`;
  if (p.day !== null) return `${dayName(voice, p.day)}’s ${label}`;
  return p.role === 'sidebar' ? `the ${label} in the sidebar` : `the ${label}`;
}

/** A kit of the spread as its owner calls it. */
export const kitName = ({ context: { kit, stash } }: Pick<Voice, 'context'>, name: string): string =>
  calledName([kit, ...stash].find((k) => k.name === name) ?? { name });

/** An item's title, by its demand's key. */
export const titleOf = (voice: Pick<Voice, 'context'>, key: string | undefined): string =>
  voice.context.week.demands.find((d) => d.key === key)?.title ?? '';

/** A drawn line in a text, however long. */
const LINE = /—{4,}/g;

/** A text with its drawn line short, to be read and not to be measured. */
export const withShortLine = (text: string): string => text.replace(LINE, '———');

/** A text as it is told, in quotes: its lines after each other, a drawn line short. */
export const quotedText = (text: string): string => `“${withShortLine(text.replaceAll('\n', ', '))}”`;

/** First letter large, for the beginning of a sentence. */
export const sentence = (text: string): string => text.charAt(0).toUpperCase() + text.slice(1);

/** `1 row`, `2 rows` */
export const counted = (n: number, one: string, many = `${one}s`): string => `${n} ${n === 1 ? one : many}`;
