import { createHash } from 'node:crypto';

/** What an edit did to a text: of both only the part that differs, from the letter `at` on; null: no text. */
export interface Splice {
  readonly at: number;
  readonly before: string | null;
  readonly after: string | null;
  /** of the whole texts, so that nothing is spliced into one that was changed otherwise meanwhile */
  readonly sums?: { readonly before: string; readonly after: string };
}

const sumOf = (text: string): string => createHash('sha1').update(text).digest('base64');

export function spliceOf(before: string | null, after: string | null): Splice {
  if (before === null || after === null) return { at: 0, before, after };
  const most = Math.min(before.length, after.length);
  let at = 0;
  while (at < most && before[at] === after[at]) at++;
  let same = 0;
  while (same < most - at && before[before.length - 1 - same] === after[after.length - 1 - same]) same++;
  return {
    at,
    before: before.slice(at, before.length - same),
    after: after.slice(at, after.length - same),
    sums: { before: sumOf(before), after: sumOf(after) },
  };
}

/**
 * The text with an edit taken back, or made again.
 * @returns undefined when the text is not the one that the edit left, or was made for
 */
export function spliced(text: string | null, splice: Splice, way: 'undo' | 'redo'): string | null | undefined {
  const [now, wanted] = way === 'undo' ? [splice.after, splice.before] : [splice.before, splice.after];
  const sum = way === 'undo' ? splice.sums?.after : splice.sums?.before;
  if (sum ? text === null || sumOf(text) !== sum : text !== now) return undefined;
  if (wanted === null || now === null || text === null) return wanted;
  return `${text.slice(0, splice.at)}${wanted}${text.slice(splice.at + now.length)}`;
}
