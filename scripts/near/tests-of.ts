import { existsSync, readFileSync, readdirSync, statSync } from 'node:fs';
import { dirname, join, normalize } from 'node:path';
import ts from 'typescript';

const ROOMS = ['src', 'demo', 'tests'] as const;
const ENDINGS = ['', '.ts', '.tsx', '/index.ts', '.mjs'] as const;

export const isTest = (file: string): boolean => /\.test\.tsx?$/.test(file);

/** The sources in a folder and those below it. */
export function filesIn(folder: string): string[] {
  return readdirSync(folder).flatMap((name) => {
    const path = join(folder, name);
    return statSync(path).isDirectory() ? filesIn(path) : /\.(tsx?|mjs)$/.test(name) ? [path] : [];
  });
}

/** The files of the project that a file takes from, types included. */
function takenBy(file: string): string[] {
  const { importedFiles } = ts.preProcessFile(readFileSync(file, 'utf8'), true, true);
  return importedFiles.flatMap(({ fileName }) => {
    if (!fileName.startsWith('.')) return [];
    const path = normalize(join(dirname(file), fileName));
    const found = ENDINGS.map((ending) => path + ending).find((p) => existsSync(p) && statSync(p).isFile());
    return found === undefined ? [] : [found];
  });
}

/** Who takes from each file, directly. */
export function takers(): ReadonlyMap<string, readonly string[]> {
  const by = new Map<string, string[]>();
  for (const file of ROOMS.flatMap(filesIn))
    for (const taken of takenBy(file)) by.set(taken, [...(by.get(taken) ?? []), file]);
  return by;
}

/**
 * The tests that can notice a change of some files, nearest first: those that were changed themselves, then those that
 * stand beside a changed file and bear its name, then by how many imports lie between.
 */
export function testsOf(files: readonly string[], by = takers()): string[] {
  const far = new Map(files.map((file) => [file, 0]));
  const queue = [...files];
  for (let file = queue.shift(); file !== undefined; file = queue.shift())
    for (const taker of by.get(file) ?? [])
      if (!far.has(taker)) {
        far.set(taker, (far.get(file) ?? 0) + 1);
        queue.push(taker);
      }
  const named = new Set(files.map((file) => file.replace(/\.tsx?$/, '.test.ts')));
  const nearness = (test: string): number => (named.has(test) ? 0 : (far.get(test) ?? 0));
  return [...far.keys()].filter(isTest).sort((a, b) => nearness(a) - nearness(b) || (a < b ? -1 : 1));
}
