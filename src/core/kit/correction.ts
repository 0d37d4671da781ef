import type { Kit, Piece } from './kit';

/** A line of a kit with its place in the list, from 0. */
export interface Line {
  readonly piece: Piece;
  readonly position: number;
}

/** What a corrected list of a kit changes, line by line; lines are told apart by their codes. */
export interface Correction {
  readonly added: readonly Line[];
  readonly changed: readonly (Line & { readonly before: Piece })[];
  readonly removed: readonly Piece[];
}

/** What holds a design as it is: the weeks it lies on, and the highest number of a copy that something speaks of. */
export interface Hold {
  readonly weeks: readonly string[];
  readonly highest: number;
  /** copies found beyond the count */
  readonly found: number;
}

/** A design that lies on a spread keeps these: what was measured and cut there would not be true any more. */
const FIXED = ['kind', 'width', 'height', 'rows', 'shape'] as const satisfies readonly (keyof Piece)[];

/** How a kit comes from one list to another. */
export function correctionOf(before: Kit, after: Kit): Correction {
  const old = new Map(before.pieces.map((piece, position) => [piece.code, { piece, position }]));
  const kept = new Set(after.pieces.map((p) => p.code));
  const lines = after.pieces.map((piece, position): Line => ({ piece, position }));
  return {
    added: lines.filter((l) => !old.has(l.piece.code)),
    changed: lines.flatMap((l) => {
      const was = old.get(l.piece.code);
      return was && (was.position !== l.position || differs(was.piece, l.piece)) ? [{ ...l, before: was.piece }] : [];
    }),
    removed: before.pieces.filter((p) => !kept.has(p.code)),
  };
}

export const isNoChange = (c: Correction): boolean => !c.added.length && !c.changed.length && !c.removed.length;

/** What of a correction cannot be, since the sticker is in use already. */
export type Objection =
  | { readonly is: 'lies on spreads'; readonly code: string; readonly weeks: readonly string[] }
  | {
      readonly is: 'measured so';
      readonly code: string;
      readonly field: (typeof FIXED)[number];
      readonly told: string | number;
      readonly was: string | number;
      readonly weeks: readonly string[];
    }
  | { readonly is: 'too few copies'; readonly code: string; readonly count: number; readonly least: number };

/** One objection for each thing that holds; none: it can be made. */
export function objectionsTo(correction: Correction, holds: ReadonlyMap<string, Hold>): Objection[] {
  const removed = correction.removed.flatMap(({ code }): Objection[] => {
    const weeks = holds.get(code)?.weeks ?? [];
    return weeks.length ? [{ is: 'lies on spreads', code, weeks }] : [];
  });
  const changed = correction.changed.flatMap(({ piece, before }): Objection[] => {
    const hold = holds.get(piece.code);
    if (!hold) return [];
    const { code, count } = piece;
    const least = hold.highest - hold.found;
    const fixed = hold.weeks.length ? FIXED.filter((f) => piece[f] !== before[f]) : [];
    return [
      ...fixed.map((field): Objection => ({
        is: 'measured so',
        code,
        field,
        told: piece[field],
        was: before[field],
        weeks: hold.weeks,
      })),
      ...(count < before.count && count < least ? [{ is: 'too few copies' as const, code, count, least }] : []),
    ];
  });
  return [...removed, ...changed];
}

/** Without regard to fields that are not there in one of them and empty in the other. */
const differs = (a: Piece, b: Piece): boolean => {
  const [one, other] = [a, b].map((p) => new Map(Object.entries(p).map(([f, v]) => [f, JSON.stringify(v)])));
  const fields = new Set([...(one?.keys() ?? []), ...(other?.keys() ?? [])]);
  return [...fields].some((f) => (one?.get(f) ?? EMPTY) !== (other?.get(f) ?? EMPTY));
};
const EMPTY = JSON.stringify('');

/** A code that no line has yet, after the manner of one that is there: `QB-4` goes on as `QB-9` behind `QB-8`. */
export function freshCode(codes: readonly string[], like: string): string {
  const taken = new Set(codes);
  const stem = like.replace(/\d+$/, '');
  const begin = stem === like ? `${like}-` : stem;
  const numbers = codes
    .flatMap((c) => (c.startsWith(begin) ? [Number(c.slice(begin.length))] : []))
    .filter(Number.isInteger);
  let next = Math.max(0, ...numbers) + 1;
  while (taken.has(`${begin}${next}`)) next++;
  return `${begin}${next}`;
}
