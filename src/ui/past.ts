/** What was before each of the last changes, and what was taken back: the newest of each stands last. */
export interface Past<T> {
  readonly back: readonly T[];
  readonly ahead: readonly T[];
}

export const NO_PAST: Past<never> = { back: [], ahead: [] };

/** Of older steps nobody knows what they were. */
const MOST_STEPS = 100;

/** A change is about to be made to what there is `now`: it can be taken back; what was taken back before is gone. */
export const withStep = <T>({ back }: Past<T>, now: T): Past<T> => ({
  back: [...back, now].slice(-MOST_STEPS),
  ahead: [],
});

/** One step back or forth from what there is `now`. @returns null where there is none */
export function stepped<T>(
  { back, ahead }: Past<T>,
  now: T,
  way: 'undo' | 'redo',
): { readonly now: T; readonly past: Past<T> } | null {
  const from = way === 'undo' ? back : ahead;
  const then = from.at(-1);
  if (then === undefined) return null;
  const past =
    way === 'undo'
      ? { back: back.slice(0, -1), ahead: [...ahead, now] }
      : { back: [...back, now], ahead: ahead.slice(0, -1) };
  return { now: then, past };
}
