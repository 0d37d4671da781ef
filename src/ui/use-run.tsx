import { useRouter } from 'next/navigation';
import { useState, useTransition } from 'react';
import type { Outcome } from '../server/outcome';
import type { Choice, Question } from './Conflict';
import { Conflict } from './Conflict';
import { reached } from './reached';
import { useSaving } from './use-saving';

/**
 * Runs what changes something on the server: one after the other, kept while the server is away, messages shown, the
 * screen read anew. Where another window wrote meanwhile, its owner is asked by `question`, which the screen shows.
 */
export function useRun() {
  const router = useRouter();
  const [messages, setMessages] = useState<readonly string[]>([]);
  const { saveStatus, add } = useSaving();
  const [refreshing, refresh] = useTransition();
  const [asked, setAsked] = useState<Question | null>(null);
  /**
   * @param over the same once more, whatever is there by now
   * @returns whether it is settled: done, or given up for what the other window wrote
   */
  const run = (send: () => Promise<Outcome<unknown>>, over?: () => Promise<Outcome<unknown>>): Promise<boolean> =>
    new Promise((settle) => {
      const answered = async (first: Outcome<unknown>): Promise<void> => {
        let done = first;
        let choice: Choice = 'mine';
        if (!done.ok && done.conflict && over) {
          const { messages: said } = done;
          choice = await new Promise<Choice>((decide) => setAsked({ messages: said, decide }));
          setAsked(null);
          if (choice === 'mine') done = await reached(over);
        }
        setMessages(done.ok || choice !== 'mine' ? [] : done.messages);
        // what can be undone next is known when the screen is read anew, and not before
        if (done.ok || done.stale || choice === 'theirs') refresh(() => router.refresh());
        settle(done.ok || choice === 'theirs');
      };
      add(send, answered, (why) => {
        setMessages([why]);
        settle(false);
      });
    });
  /** The same where its answer is wanted. @returns null where it was refused, or lost */
  const ask = async <T,>(send: () => Promise<Outcome<T>>): Promise<{ readonly value: T } | null> => {
    let answer: { readonly value: T } | null = null;
    const done = await run(async () => {
      const made = await send();
      if (made.ok) answer = { value: made.value };
      return made;
    });
    return done ? answer : null;
  };
  const busy = saveStatus === 'saving' || saveStatus === 'waiting' || saveStatus === 'closed';
  return {
    run,
    ask,
    busy,
    refreshing,
    saveStatus,
    messages,
    clear: () => setMessages([]),
    question: asked && <Conflict {...asked} />,
  };
}

export type Run = ReturnType<typeof useRun>['run'];
