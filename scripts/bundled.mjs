// A program of the project as one file of plain JavaScript, put together again when its sources have changed:
// translating them anew at each start takes seconds.
import { existsSync, mkdirSync, readFileSync, renameSync, statSync, writeFileSync } from 'node:fs';
import { basename, join } from 'node:path';
import { ROOT } from './setup.mjs';

const FOLDER = join(ROOT, 'node_modules', '.cache', 'hobnail');

/** Packages that load files of their own, by where they lie. */
const APART = ['better-sqlite3', 'sharp'];

const writtenAt = (file) => statSync(join(ROOT, file), { throwIfNoEntry: false })?.mtimeMs ?? null;

function isCurrent(made, sources) {
  if (!existsSync(made) || !existsSync(sources)) return false;
  return Object.entries(JSON.parse(readFileSync(sources, 'utf8'))).every(([file, at]) => writtenAt(file) === at);
}

/** Two that are started at once never run half a file. */
function write(file, content) {
  mkdirSync(FOLDER, { recursive: true });
  writeFileSync(`${file}.${process.pid}`, content);
  renameSync(`${file}.${process.pid}`, file);
}

/** @param entry a source, from the project's folder @returns the file to run */
export async function bundled(entry) {
  const name = basename(entry, '.ts');
  const [made, sources] = [join(FOLDER, `${name}.mjs`), join(FOLDER, `${name}.json`)];
  if (isCurrent(made, sources)) return made;
  const { build } = await import('esbuild');
  const { metafile, outputFiles } = await build({
    absWorkingDir: ROOT,
    entryPoints: [entry],
    outfile: made,
    bundle: true,
    platform: 'node',
    format: 'esm',
    target: 'node20',
    external: APART,
    mainFields: ['module', 'main'],
    // packages that were written for `require` find it here
    banner: {
      js: "import { createRequire as requireFrom } from 'node:module'; const require = requireFrom(import.meta.url);",
    },
    metafile: true,
    write: false,
    logLevel: 'error',
  });
  write(made, outputFiles[0].contents);
  const inputs = [...Object.keys(metafile.inputs), 'package-lock.json'];
  write(sources, JSON.stringify(Object.fromEntries(inputs.map((file) => [file, writtenAt(file)]))));
  return made;
}
