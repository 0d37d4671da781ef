/** What an edit of a book of one's own does, as data. */
export type BookDeed =
  | { readonly do: 'add place' | 'add mark' | 'move' | 'take away'; readonly what: string }
  | { readonly do: 'change measures' };

/** An edit of a book in words, for undo and redo. */
export function sayBookDeed(deed: BookDeed): string {
  switch (deed.do) {
    case 'add place':
    case 'add mark':
      return `Add a ${deed.what}`;
    case 'move':
      return `Move a ${deed.what}`;
    case 'take away':
      return `Take a ${deed.what} away`;
    case 'change measures':
      return 'Change the measures';
  }
}
