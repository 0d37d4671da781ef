/** ms of work after which others are let in */
const SLICE = 25;

/**
 * Does long work step by step, so that other requests are answered meanwhile. @param onProgress is told the share
 * that is done
 */
export async function inSteps<T>(
  work: Generator<number, T>,
  onProgress: (share: number) => void = () => {},
): Promise<T> {
  for (let since = performance.now(); ;) {
    const step = work.next();
    if (step.done) return step.value;
    if (performance.now() - since < SLICE) continue;
    onProgress(step.value);
    await new Promise((done) => setImmediate(done));
    since = performance.now();
  }
}
