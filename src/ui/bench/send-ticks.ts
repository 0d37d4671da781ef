import type { Outcome } from '../../server/outcome';

/**
 * Sends ticks so that they arrive even where the page is left or loaded anew meanwhile.
 * @throws where no answer comes that can be read
 */
export async function sendTicks(spreadId: number, steps: readonly string[], done: boolean): Promise<Outcome<null>> {
  const answer = await fetch('/ticks', {
    method: 'POST',
    keepalive: true,
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ spreadId, steps, done }),
  });
  if (!answer.ok) throw new Error(`it answered ${answer.status}`);
  return (await answer.json()) as Outcome<null>;
}
