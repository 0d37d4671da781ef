import type { Rect } from '../measure/rect';
import { subtract } from '../measure/rect';
import type { Cut } from './cuts';
import { cutKey, idsOfStep, partsOfCut, whitedOutBy } from './step-key';
import type { WhiteOut } from './white-out';

/** Areas are kept to a tenth of a millimeter; what lies nearer to one is of it, mm. */
const NEAR = 0.2;
/** A shorter bit of a line shows nobody, mm. */
const LEAST = 0.5;

/**
 * What of a page's white-out is still to be done: what was done stays done, whatever a repair laid elsewhere since, and
 * only what came new is asked for.
 * @param ticked keys of steps that are done
 */
export function stillToWhiteOut(
  ticked: Iterable<string>,
  page: number,
  ofPage: readonly WhiteOut[],
): readonly WhiteOut[] {
  const done = [...ticked].flatMap((key) => whitedOutBy(key, page)).map(widened);
  if (!done.length) return ofPage;
  return ofPage.flatMap((w) =>
    subtract(w, done)
      .filter((r) => Math.max(r.w, r.h) > LEAST)
      .map((r) => ({ ...w, ...r })),
  );
}

const widened = ({ x, y, w, h }: Rect): Rect => ({ x: x - NEAR, y: y - NEAR, w: w + 2 * NEAR, h: h + 2 * NEAR });

/** Things of a step, parted into those that steps did which are done, by their keys, and those that are left. */
export interface Parted<T> {
  readonly done: readonly { readonly key: string; readonly things: readonly T[] }[];
  readonly left: readonly T[];
}

/** Parts things by the steps that are done. @param has what a key says that it did */
function parted<T>(things: readonly T[], ticked: Iterable<string>, has: (key: string, thing: T) => boolean): Parted<T> {
  let left = things;
  const done: { key: string; things: T[] }[] = [];
  for (const key of ticked) {
    const own = left.filter((t) => has(key, t));
    if (!own.length) continue;
    done.push({ key, things: own });
    left = left.filter((t) => !own.includes(t));
  }
  return { done, left };
}

/** Refs of a step that lays or writes, parted. */
export function partedRefs(work: 'lay' | 'write', refs: readonly string[], ticked: Iterable<string>): Parted<string> {
  const ids = new Map<string, ReadonlySet<string>>();
  const of = (key: string): ReadonlySet<string> => {
    const known = ids.get(key) ?? new Set(idsOfStep(key, work));
    ids.set(key, known);
    return known;
  };
  return parted(refs, ticked, (key, ref) => of(key).has(ref));
}

/** A sticker's cuts, parted: each as the cut that has those parts alone. */
export function partedCut(cut: Cut, ticked: Iterable<string>): readonly { readonly key: string; readonly cut: Cut }[] {
  const named = cut.pieces.map((piece) => ({ piece, name: partsOfCut(cutKey({ ...cut, pieces: [piece] }), cut)[0] }));
  const { done, left } = parted(
    named,
    ticked,
    (key, { name }) => name !== undefined && partsOfCut(key, cut).includes(name),
  );
  const only = (some: typeof left): Cut => ({ ...cut, pieces: some.map((s) => s.piece) });
  return [
    ...done.map(({ key, things }) => ({ key, cut: only(things) })),
    ...(left.length ? [{ key: cutKey(only(left)), cut: only(left) }] : []),
  ];
}
