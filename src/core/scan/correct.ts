import { PLAIN } from '../kit/fields';
import type { Kind, Writable } from '../kit/kinds';
import { traits } from '../kit/kinds';
import type { Rect } from '../measure/rect';
import { bounds } from '../measure/rect';
import type { FoundPiece } from './found';

/** A found piece as its owner corrects it. */
export interface Sticker extends FoundPiece {
  readonly id: number;
  readonly words: string;
  /** what its icon means */
  readonly icon: string;
  readonly writable: Writable;
}

/** What can be said of several stickers at once. */
export type Facts = Partial<
  Pick<Sticker, 'kind' | 'words' | 'icon' | 'writable' | 'rows' | 'color' | 'accent' | 'shape'>
>;

export const stickerOf = (piece: FoundPiece, id: number): Sticker => ({
  ...piece,
  id,
  words: '',
  icon: '',
  writable: traits(piece.kind).writable,
});

const nextId = (all: readonly Sticker[]): number => Math.max(0, ...all.map((s) => s.id)) + 1;
const nextDesign = (all: readonly Sticker[]): number => Math.max(-1, ...all.map((s) => s.design)) + 1;

/** Says something of some stickers, and of all copies of them; what was doubtful about them is settled. */
export function tell(all: readonly Sticker[], ids: readonly number[], facts: Facts): Sticker[] {
  const designs = designsOf(all, ids);
  return all.map((s) => (designs.has(s.design) ? { ...s, ...facts, ...usualFor(s, facts.kind), doubts: [] } : s));
}

/** A new kind brings its usual rows and writing; what is said beside it goes first. */
const usualFor = (s: Sticker, kind: Kind | undefined): Partial<Sticker> =>
  kind && kind !== s.kind
    ? { writable: traits(kind).writable, ...(kind === 'checklist' && !s.rows ? { rows: 6 } : {}) }
    : {};

/** Settles that stickers are right as they are. */
export const confirm = (all: readonly Sticker[], ids: readonly number[]): Sticker[] =>
  all.map((s) => (ids.includes(s.id) ? { ...s, doubts: [] } : s));

export const remove = (all: readonly Sticker[], ids: readonly number[]): Sticker[] =>
  all.filter((s) => !ids.includes(s.id));

/** Least width and height of a sticker, mm. */
const LEAST = 2;

/** Moves a sticker's edges. @param rect mm */
export const reshape = (all: readonly Sticker[], id: number, rect: Rect): Sticker[] =>
  all.map((s) => (s.id === id ? { ...s, ...rect, doubts: [] } : s));

/** Moves a sticker, or with `edges` its right and its lower edge. @param dx,dy mm */
export const nudge = (all: readonly Sticker[], id: number, dx: number, dy: number, edges: boolean): Sticker[] => {
  const s = all.find((one) => one.id === id);
  if (!s) return [...all];
  const rect = edges
    ? { x: s.x, y: s.y, w: Math.max(LEAST, s.w + dx), h: Math.max(LEAST, s.h + dy) }
    : { x: s.x + dx, y: s.y + dy, w: s.w, h: s.h };
  return reshape(all, id, rect);
};

/** Makes copies of one design of all that are chosen; they are told what the first one is, and are as large. */
export function sameAs(all: readonly Sticker[], ids: readonly number[]): Sticker[] {
  const first = all.find((s) => s.id === ids[0]);
  if (!first) return [...all];
  const { design, kind, shape, words, icon, writable, rows, color, accent, foil, w, h } = first;
  return all.map((s) =>
    ids.includes(s.id)
      ? { ...sizedAs(s, w, h), design, kind, shape, words, icon, writable, rows, color, accent, foil, doubts: [] }
      : s,
  );
}

/** A sticker of another size about its own middle, mm. */
const sizedAs = (s: Sticker, w: number, h: number): Sticker => ({
  ...s,
  x: s.x + (s.w - w) / 2,
  y: s.y + (s.h - h) / 2,
  w,
  h,
});

/** Gives stickers, and all copies of them, a width or a height, each about its own middle, mm. */
export function resize(
  all: readonly Sticker[],
  ids: readonly number[],
  size: Partial<Pick<Rect, 'w' | 'h'>>,
): Sticker[] {
  const designs = designsOf(all, ids);
  return all.map((s) => {
    if (!designs.has(s.design)) return s;
    const [w, h] = [Math.max(LEAST, size.w ?? s.w), Math.max(LEAST, size.h ?? s.h)];
    return { ...sizedAs(s, w, h), doubts: [] };
  });
}

/** Places that may have been used up: they are asked about all at once. */
export const usedUp = (all: readonly Sticker[]): number[] =>
  all.filter((s) => s.doubts.includes('used')).map((s) => s.id);

/** An edge so near to another sticker's is meant to be in line with it, mm. */
const IN_LINE = 0.5;

/** A place across the sheet, or down it, drawn to the nearest edge of another sticker, mm. */
export function inLine(place: number, way: 'across' | 'down', others: readonly Rect[]): number {
  const edges = others.flatMap((o) => (way === 'across' ? [o.x, o.x + o.w] : [o.y, o.y + o.h]));
  const near = edges.reduce((best, e) => (Math.abs(e - place) < Math.abs(best - place) ? e : best), Infinity);
  return Math.abs(near - place) <= IN_LINE ? near : place;
}

/** Makes a design of its own of each that is chosen. */
export function eachItsOwn(all: readonly Sticker[], ids: readonly number[]): Sticker[] {
  let design = nextDesign(all);
  return all.map((s) => (ids.includes(s.id) ? { ...s, design: design++ } : s));
}

/** Makes one sticker of all that are chosen. */
export function join(all: readonly Sticker[], ids: readonly number[]): Sticker[] {
  const chosen = all.filter((s) => ids.includes(s.id));
  const [first] = chosen;
  if (!first || chosen.length < 2) return [...all];
  const one: Sticker = { ...first, ...bounds(chosen), design: nextDesign(all), doubts: [] };
  return all.flatMap((s) => (s.id === first.id ? [one] : ids.includes(s.id) ? [] : [s]));
}

/** Parts a block into equal stickers, which are taken for copies. @throws RangeError for less than one row or column */
export function grid(all: readonly Sticker[], id: number, columns: number, rows: number): Sticker[] {
  if (columns < 1 || rows < 1 || !Number.isInteger(columns * rows))
    throw new RangeError(`a grid of ${columns} × ${rows}`);
  const block = all.find((s) => s.id === id);
  if (!block) return [...all];
  const [w, h] = [block.w / columns, block.h / rows];
  const design = nextDesign(all);
  let next = nextId(all);
  const parts = Array.from({ length: columns * rows }, (_, i): Sticker => ({
    ...block,
    id: i === 0 ? id : next++,
    x: block.x + (i % columns) * w,
    y: block.y + Math.floor(i / columns) * h,
    w,
    h,
    design,
    doubts: [],
  }));
  return all.flatMap((s) => (s.id === id ? parts : [s]));
}

/** Adds a sticker that was not found, drawn by hand. */
export const add = (all: readonly Sticker[], rect: Rect): Sticker[] => [
  ...all,
  stickerOf(
    {
      ...rect,
      shape: 'rect',
      ...PLAIN,
      foil: 'none',
      rows: 0,
      kind: 'label',
      design: nextDesign(all),
      doubts: [],
    },
    nextId(all),
  ),
];

/** The stickers of one row, or of one column, with a sticker: those that its middle line goes through. */
export function inLineWith(all: readonly Sticker[], id: number, way: 'row' | 'column'): number[] {
  const one = all.find((s) => s.id === id);
  if (!one) return [];
  const [x, y] = [one.x + one.w / 2, one.y + one.h / 2];
  return all.filter((s) => (way === 'row' ? s.y <= y && s.y + s.h >= y : s.x <= x && s.x + s.w >= x)).map((s) => s.id);
}

const designsOf = (all: readonly Sticker[], ids: readonly number[]): ReadonlySet<number> =>
  new Set(all.filter((s) => ids.includes(s.id)).map((s) => s.design));
