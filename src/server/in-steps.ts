/** ms of work after which others are let in */
const SLICE = 25;

/** Lets others be answered. */
const breath = (): Promise<void> => new Promise((done) => setImmediate(done));

/** Does one thing after another, and lets others be answered in between. */
export async function oneByOne<T>(things: readonly T[], work: (thing: T) => void): Promise<void> {
  for (let since = performance.now(), i = 0; i < things.length; i++) {
    work(things[i] as T);
    if (performance.now() - since < SLICE) continue;
    await breath();
    since = performance.now();
  }
}

/**
 * Does long work step by step, so that other requests are answered meanwhile. @param onProgress is told the share
 * that is done
 * @throws what the signal was aborted with, at the next step
 */
export async function inSteps<T>(
  work: Generator<number, T>,
  onProgress: (share: number) => void = () => {},
  signal?: AbortSignal,
): Promise<T> {
  for (let since = performance.now(); ;) {
    const step = work.next();
    if (step.done) return step.value;
    if (performance.now() - since < SLICE) continue;
    onProgress(step.value);
    await breath();
    signal?.throwIfAborted();
    since = performance.now();
  }
}
