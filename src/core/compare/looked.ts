import { arrange } from '../arrange/arrange';
import { counted } from '../spread/voice';
import type { Context, Placement } from '../spread/placement';
import type { TriedFigures } from './tried-week';
import { triedFigures } from './tried-week';

/** A week as it would be, to be looked at before it is laid. */
export interface Looked {
  readonly placements: readonly Placement[];
  readonly figures: TriedFigures;
}

/** A week laid out anew, round what stays. */
export function looked(context: Context, kept: readonly Placement[] = []): Looked {
  return seen(context, arrange(context, kept));
}

/** A week as it lies. */
export const seen = (context: Context, placements: readonly Placement[]): Looked => ({
  placements,
  figures: triedFigures(context, placements),
});

/** What a placement is to the eye: which design, where, with what on it. */
const markOf = ({ kit, code, page, x, y, w, h, turn, text }: Placement): string =>
  [kit, code, page, x.toFixed(1), y.toFixed(1), w.toFixed(1), h.toFixed(1), turn, text ?? ''].join('\n');

/** Ids of what was not there before, or lay elsewhere. */
export function movedSince(before: readonly Placement[], after: readonly Placement[]): string[] {
  const there = new Map<string, number>();
  for (const p of before) there.set(markOf(p), (there.get(markOf(p)) ?? 0) + 1);
  return after.flatMap((p) => {
    const left = there.get(markOf(p)) ?? 0;
    there.set(markOf(p), left - 1);
    return left > 0 ? [] : [p.id];
  });
}

/** What another way costs or wins, a few words each, what matters most first; empty where nothing is another. */
export function sayLooked(before: Looked, after: Looked): string[] {
  const [was, is] = [before.figures, after.figures];
  const moved = movedSince(before.placements, after.placements).length;
  const gone = movedSince(after.placements, before.placements).length;
  if (!moved && !gone) return [];
  const ink = (f: TriedFigures): number => f.items - f.onStickers - f.unplaced;
  return [
    ...change(is.unplaced - was.unplaced, ['loses its place', 'lose their place'], ['finds a place', 'find a place']),
    ...change(ink(is) - ink(was), ['goes to ink', 'go to ink'], ['comes onto a sticker', 'come onto stickers']),
    ...fromTo('full boxes', was.boxes, is.boxes),
    ...fromTo('white', percent(was.white), percent(is.white), ' %'),
    moved ? `${counted(moved, 'piece')} otherwise` : `${counted(gone, 'piece')} less`,
  ];
}

type Verbs = readonly [one: string, many: string];

const change = (by: number, more: Verbs, less: Verbs): string[] => {
  const n = Math.abs(by);
  return n ? [`${counted(n, 'item')} ${(by > 0 ? more : less)[n === 1 ? 0 : 1]}`] : [];
};

const fromTo = (what: string, was: number, is: number, unit = ''): string[] =>
  was === is ? [] : [`${what} ${was} → ${is}${unit}`];

const percent = (share: number): number => Math.round(100 * share);
