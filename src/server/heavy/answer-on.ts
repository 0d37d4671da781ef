import type { MessagePort } from 'node:worker_threads';
import type { Given, Work } from './works';
import { WORKS } from './works';
import type { Wrong } from './wrong';
import { wrongOf } from './wrong';

/** What is asked of the thread. */
export interface Ask<W extends Work = Work> {
  readonly id: number;
  readonly work: W;
  readonly given: Given<W>;
}

export type Answer = { readonly id: number; readonly made: unknown } | { readonly id: number; readonly wrong: Wrong };

/** Does what is asked on a port, one after the other: each may take much memory. */
export function answerOn(port: MessagePort): void {
  let last: Promise<unknown> = Promise.resolve();
  port.on('message', ({ id, work, given }: Ask) => {
    last = last.then(async () => {
      const does = WORKS[work] as (given: unknown) => unknown;
      const answer: Answer = await Promise.resolve(given)
        .then(does)
        .then(
          (made) => ({ id, made }),
          (error: unknown) => ({ id, wrong: wrongOf(error) }),
        );
      port.postMessage(answer);
    });
  });
}
