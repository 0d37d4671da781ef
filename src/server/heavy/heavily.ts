import type { Answer } from './answer-on';
import { newThread } from './thread';
import type { Given, Made, Work } from './works';
import { errorOf } from './wrong';

interface Waiting {
  readonly done: (made: unknown) => void;
  readonly fail: (error: Error) => void;
}

interface Heavy {
  readonly thread: ReturnType<typeof newThread>;
  readonly waiting: Map<number, Waiting>;
  n: number;
}

/** The threads, begun when they are first wanted; pages and routes are bundled apart, and share them. */
const held = globalThis as unknown as { hobnailHeavy?: Map<number, Heavy> };
const threads: Map<number, Heavy> = (held.hobnailHeavy ??= new Map<number, Heavy>());

/** What is wanted many times over and takes little memory is done on two threads; all else after each other on one. */
const ON_BOTH: ReadonlySet<Work> = new Set<Work>(['tried']);

const threadNumbered = (n: number): Heavy => {
  const heavy = threads.get(n) ?? begun(n);
  threads.set(n, heavy);
  return heavy;
};

/** Does a work that takes long on a thread of its own, after those that wait there. @throws as the work does */
export function heavily<W extends Work>(work: W, given: Given<W>): Promise<Made<W>> {
  const waits = (n: number): number => threads.get(n)?.waiting.size ?? 0;
  const heavy = threadNumbered(ON_BOTH.has(work) && waits(1) <= waits(0) ? 1 : 0);
  const id = ++heavy.n;
  return new Promise<Made<W>>((done, fail) => {
    heavy.waiting.set(id, { done: done as (made: unknown) => void, fail });
    if (heavy.waiting.size === 1) heavy.thread.ref();
    heavy.thread.postMessage({ id, work, given });
  });
}

function begun(n: number): Heavy {
  const waiting = new Map<number, Waiting>();
  const thread = newThread();
  thread.on('message', (answer: Answer) => {
    const asked = waiting.get(answer.id);
    waiting.delete(answer.id);
    if (!waiting.size) thread.unref(); // a process that has nothing else to do may end
    if ('made' in answer) asked?.done(answer.made);
    else asked?.fail(errorOf(answer.wrong));
  });
  /** it broke off, for want of memory most likely: who waits is told, and the next work begins another */
  const broken = (error?: unknown): void => {
    if (threads.get(n)?.thread === thread) threads.delete(n);
    for (const { fail } of waiting.values())
      fail(error instanceof Error ? error : new Error('the thread for long works broke off'));
    waiting.clear();
  };
  thread.on('error', broken);
  thread.on('exit', broken);
  return { thread, waiting, n: 0 };
}
