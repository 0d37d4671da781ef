import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Outcome } from '../server/outcome';
import type { Choice, Question } from './Meanwhile';
import { Meanwhile } from './Meanwhile';

const unreachable = (error: unknown): Outcome<unknown> => ({
  ok: false,
  messages: [
    `The server could not be reached: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
  ],
});

/**
 * Runs what changes something on the server: one at a time, messages shown, the screen read anew. Where another window
 * wrote meanwhile, its owner is asked by `question`, which the screen shows.
 */
export function useRun() {
  const router = useRouter();
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const [asked, setAsked] = useState<Question | null>(null);
  /**
   * @param over the same once more, whatever is there by now
   * @returns whether it is settled: done, or given up for what the other window wrote
   */
  const run = async (action: Promise<Outcome<unknown>>, over?: () => Promise<Outcome<unknown>>): Promise<boolean> => {
    setBusy(true);
    let done = await action.catch(unreachable);
    let choice: Choice = 'mine';
    if (!done.ok && done.meanwhile && over) {
      const { messages: said } = done;
      choice = await new Promise<Choice>((decide) => setAsked({ messages: said, decide }));
      setAsked(null);
      if (choice === 'mine') done = await over().catch(unreachable);
    }
    setMessages(done.ok || choice !== 'mine' ? [] : done.messages);
    if (done.ok || done.stale || choice === 'theirs') router.refresh();
    setBusy(false);
    return done.ok || choice === 'theirs';
  };
  return { run, busy, messages, clear: () => setMessages([]), question: asked && <Meanwhile {...asked} /> };
}

export type Run = ReturnType<typeof useRun>['run'];
