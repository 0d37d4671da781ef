import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Outcome } from '../server/outcome';

/** Runs what changes something on the server: one at a time, messages shown, the screen read anew. */
export function useRun() {
  const router = useRouter();
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const run = async (action: Promise<Outcome<unknown>>): Promise<boolean> => {
    setBusy(true);
    const done = await action.catch((error: unknown): Outcome<unknown> => ({
      ok: false,
      messages: [
        `The server could not be reached: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
      ],
    }));
    setMessages(done.ok ? [] : done.messages);
    if (done.ok) router.refresh();
    setBusy(false);
    return done.ok;
  };
  return { run, busy, messages, clear: () => setMessages([]) };
}

export type Run = ReturnType<typeof useRun>['run'];
