import { imageOf } from '../core/format/image-of';

/** What a form was opened with is not there any more: another window wrote meanwhile. Nothing is written over it. */
export class EditConflict extends Error {
  /** @param there what is there now, in words */
  constructor(readonly there: string) {
    super(there);
  }
}

/**
 * Holds what a form was opened with against what is there.
 * @param seen its `imageOf`; null: it is new, or its owner has seen the other and means it
 * @param now what is there; null: nothing
 * @param say says what is there, for its owner to choose
 * @throws EditConflict
 */
export function mustBeAsSeen<T>(seen: string | null, now: T | null, say: (now: T) => string): void {
  if (seen === null || imageOf(now) === seen) return;
  throw new EditConflict(now === null ? 'It was taken out' : say(now));
}
