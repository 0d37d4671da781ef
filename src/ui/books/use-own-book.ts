import { useRef, useState } from 'react';
import type { Book } from '../../core/book/book';
import type { BookStanding } from '../../server/book-actions';
import { keepBook, undoBook } from '../../server/book-actions';
import type { BooksPage } from '../../server/books';
import type { Outcome } from '../../server/outcome';
import type { Choice, Question } from '../Conflict';
import { SAID } from '../patient-queue';
import { useSaving } from '../use-saving';

/** A book as it is changed: kept at once, in order, undone; what it lacks, and what another window wrote meanwhile. */
export function useOwnBook(chosen: NonNullable<BooksPage['chosen']>) {
  const { line } = chosen;
  const [book, setBook] = useState<Book>(chosen.book);
  const [history, setHistory] = useState(chosen.history);
  const [refused, setRefused] = useState(false);
  const [lacking, setLacking] = useState<readonly string[]>(chosen.lacking);
  const [asked, setAsked] = useState<Question | null>(null);
  const seen = useRef(chosen.seen);
  const { saveStatus, add } = useSaving();
  /** Does it after what waits already, and shows how the book stands then. */
  const save = (work: () => Promise<Outcome<BookStanding & { readonly book?: Book }>>) => {
    setRefused(false);
    const lost = (why: string): void => {
      setRefused(true);
      setLacking([why]);
    };
    const taken = (made: Outcome<BookStanding & { readonly book?: Book }>): void => {
      setRefused(!made.ok);
      setLacking(made.ok ? made.value.lacking : made.messages);
      if (!made.ok) return;
      seen.current = made.value.seen;
      setHistory(made.value.history);
      if (made.value.book) setBook(made.value.book);
    };
    add(work, taken, lost);
  };
  const change = (next: Book) => {
    setBook(next);
    save(async () => {
      const made = await keepBook({ id: line.id, book: next, seen: seen.current });
      if (made.ok || !made.conflict) return made;
      const choice = await new Promise<Choice>((decide) => setAsked({ messages: made.messages, decide }));
      setAsked(null);
      if (choice === 'mine') return keepBook({ id: line.id, book: next });
      if (choice === 'theirs') location.reload();
      return made;
    });
  };
  const travel = (way: 'undo' | 'redo') => {
    const at = seen.current;
    save(() => undoBook({ id: line.id, way, seen: at }));
  };
  return { book, history, lacking, setLacking, asked, change, travel, said: SAID[refused ? 'failed' : saveStatus] };
}
