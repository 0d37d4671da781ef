import { Worker } from 'node:worker_threads';

/** A thread that does the works of `works.ts`. */
export const newThread = (): Worker => new Worker(new URL('./worker.ts', import.meta.url));
