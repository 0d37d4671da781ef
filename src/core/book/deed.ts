import type { Book, MarkKind, RegionKind } from './book';

/** What an edit of a book of one's own does, as data. */
export type BookDeed =
  | { readonly do: 'add' | 'change' | 'take away'; readonly what: RegionKind | `printed ${MarkKind}` }
  | { readonly do: 'change measures' };

/** What leads from one version of a book to the next. */
export function deedBetween(before: Book, after: Book): BookDeed {
  const places = changed(before.regions ?? [], after.regions ?? []);
  if (places) return { do: places.how, what: places.part.kind };
  const marks = changed(before.marks ?? [], after.marks ?? []);
  if (marks) return { do: marks.how, what: `printed ${marks.part.kind}` };
  return { do: 'change measures' };
}

type How = 'add' | 'change' | 'take away';

/** The first part of a list that differs, and what became of it. */
function changed<T>(before: readonly T[], after: readonly T[]): { how: How; part: T } | null {
  const same = (a: T | undefined, b: T | undefined): boolean => JSON.stringify(a) === JSON.stringify(b);
  const at = Array.from({ length: Math.max(before.length, after.length) }, (_, i) => i).find(
    (i) => !same(before[i], after[i]),
  );
  if (at === undefined) return null;
  const how = after.length > before.length ? 'add' : after.length < before.length ? 'take away' : 'change';
  const part = how === 'take away' ? before[at] : after[at];
  return part === undefined ? null : { how, part };
}

const VERBS: Readonly<Record<How, string>> = { add: 'Add a', change: 'Change a', 'take away': 'Take away a' };

/** An edit of a book in words, for undo and redo. */
export const sayBookDeed = (deed: BookDeed): string =>
  deed.do === 'change measures' ? 'Change the measures' : `${VERBS[deed.do]} ${deed.what.replace('-', ' ')}`;
