import { MessageChannel, Worker } from 'node:worker_threads';

/** What of a thread, or of a port to one, is used. */
export type Thread = Pick<Worker, 'postMessage' | 'ref' | 'unref' | 'on'>;

/**
 * A thread that does the works of `works.ts`. What is not bundled (tests, scripts) does them on its own thread: nothing
 * there reads TypeScript for another one.
 */
export function newThread(): Thread {
  if (process.env.NEXT_RUNTIME === 'nodejs') return new Worker(new URL('./worker.ts', import.meta.url));
  const { port1, port2 } = new MessageChannel();
  void import('./answer-on').then(({ answerOn }) => {
    answerOn(port2);
    port2.unref();
  });
  port1.unref();
  return port1 as unknown as Thread;
}
