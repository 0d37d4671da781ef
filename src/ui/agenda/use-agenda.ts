import { useRouter } from 'next/navigation';
import { useState } from 'react';
import type { Demand } from '../../core/week/demand';
import type { IsoDay } from '../../core/week/week';
import type { Outcome } from '../../server/outcome';

/** An item on its day, as the server is told of it. */
export const happening = (d: Demand): { uid: string; on: IsoDay } => ({ uid: d.uid, on: d.on });

/** Runs what changes the agenda: one at a time, messages shown, the screen read anew. */
export function useAgenda() {
  const router = useRouter();
  const [messages, setMessages] = useState<readonly string[]>([]);
  const [busy, setBusy] = useState(false);
  const run = async (action: Promise<Outcome<unknown>>): Promise<boolean> => {
    setBusy(true);
    const done = await action.catch((error: unknown): Outcome<unknown> => ({ ok: false, messages: [`The server could not be reached: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`] }));
    setMessages(done.ok ? [] : done.messages);
    if (done.ok) router.refresh();
    setBusy(false);
    return done.ok;
  };
  return { run, busy, messages, clear: () => setMessages([]) };
}

export type Run = ReturnType<typeof useAgenda>['run'];
