import { useEffect, useState } from 'react';
import type { Outcome } from '../../server/outcome';
import type { TriedWeek } from '../../server/plan-week';

/** A week to be tried: in a book, with a kit, in a manner. */
export interface Wanted {
  readonly week: string;
  readonly book: string;
  readonly kit: string;
  readonly manner: string;
}

export const keyOf = ({ week, book, kit, manner }: Wanted): string => JSON.stringify([week, book, kit, manner]);

/** So many are asked for at a time: the server has two threads for them, and one more waits for each. */
const AT_ONCE = 4;

/** What has come by now, each under its key; one that could not be laid out as its messages. */
export type Tried = ReadonlyMap<string, Outcome<TriedWeek>>;

/**
 * Lays weeks out in many ways, the first wanted first, and no more of them once the screen is left.
 * @param wanted in the order in which they are shown
 */
export function useTried(wanted: readonly Wanted[]): Tried {
  const [tried, setTried] = useState<Tried>(new Map());
  const [queue] = useState(() => new Queue(setTried));
  useEffect(() => queue.ask(wanted), [queue, wanted]);
  useEffect(() => () => queue.stop(), [queue]);
  return tried;
}

/** Asks for one week after the other. */
class Queue {
  private readonly done = new Set<string>();
  private waiting: readonly Wanted[] = [];
  private running = 0;
  private left = new AbortController();

  constructor(private readonly onTried: (change: (before: Tried) => Tried) => void) {}

  /** Asks for these, in this order, and for no others any more. */
  ask(wanted: readonly Wanted[]): void {
    if (this.left.signal.aborted) this.left = new AbortController();
    this.waiting = wanted.filter((w) => !this.done.has(keyOf(w)));
    while (this.running < AT_ONCE && this.waiting.length) void this.next();
  }

  stop(): void {
    this.waiting = [];
    this.left.abort();
  }

  private async next(): Promise<void> {
    const [wanted, ...others] = this.waiting;
    if (!wanted) return;
    const key = keyOf(wanted);
    const { signal } = this.left;
    this.waiting = others;
    this.running++;
    this.done.add(key);
    const { week, book: bookId, kit: kitId, manner } = wanted;
    const query = new URLSearchParams({ week, bookId, kitId, manner });
    const outcome = await fetch(`/plan/try?${query.toString()}`, { signal })
      .then((r) => r.json() as Promise<Outcome<TriedWeek>>)
      .catch((): Outcome<TriedWeek> => ({ ok: false, messages: ['Hobnail did not answer.'] }));
    this.running--;
    if (signal.aborted) this.done.delete(key);
    else this.onTried((before) => new Map([...before, [key, outcome]]));
    void this.next();
  }
}
