import { existsSync, readFileSync } from 'node:fs';
import { join } from 'node:path';

/** Where `npm test` writes how long each file of unit tests took, in seconds. */
export const TIMES = join('node_modules', '.cache', 'hobnail', 'test-times.json');

/** s: of a test that has not run here yet. From memory: the median of this project's is 2. */
const GUESS = 3;

export function timeOf(): (test: string) => number {
  const known = existsSync(TIMES)
    ? new Map(Object.entries(JSON.parse(readFileSync(TIMES, 'utf8')) as Record<string, number>))
    : new Map<string, number>();
  return (test) => known.get(test) ?? GUESS;
}

/** As many of the tests, nearest first, as fit into some seconds; one at the least. */
export function withinSeconds(tests: readonly string[], seconds: number): string[] {
  const time = timeOf();
  let left = seconds;
  return tests.filter((test, n) => {
    const took = time(test);
    if (n > 0 && took > left) return false;
    left -= took;
    return true;
  });
}
