import type { Outcome } from '../../server/outcome';

/** Sends ticks so that they arrive even where the page is left or loaded anew meanwhile. */
export async function sendTicks(
  spreadId: number,
  steps: readonly string[],
  done: boolean,
): Promise<Outcome<null> | null> {
  const answer = await fetch('/ticks', {
    method: 'POST',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ spreadId, steps, done }),
  }).catch(() => null);
  return answer?.ok ? ((await answer.json().catch(() => null)) as Outcome<null> | null) : null;
}
