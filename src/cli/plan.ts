import { existsSync, mkdirSync, readFileSync, renameSync, rmSync, statSync, writeFileSync } from 'node:fs';
import { basename, dirname, join, resolve } from 'node:path';
import { parseArgs } from 'node:util';
import { decodeText } from '../core/format/decode';
import { BadInput, faultLine, quoted } from '../core/format/fault';
import { BOOKS, bookNamed } from '../core/book/registry';
import { MANNERS, mannerNamed } from '../core/manner/registry';
import { isWeekName } from '../core/week/week';
import { outputs } from './outputs';
import { SHIPPED_KITS, shippedKit } from './shipped-kits';

const USAGE = `npm run plan -- --book FILE.book.json --kit FILE.kit.csv [--stash FILE.kit.csv]… --agenda FILE.ics
                --week 2027-W06 [--manner scattered] [--options FILE.json] [--seed 1] --out DIR`;

const wrong = (where: string, found: string, expected: string): BadInput =>
  new BadInput([{ file: 'command', where, found, expected }]);

async function main(): Promise<void> {
  const given = readArguments();
  mustBeFolder(given.out);
  const texts = {
    book: bookNamed(given.book)
      ? { shipped: bookNamed(given.book)! }
      : { file: given.book, text: read(given.book, '--book', `a file, or one of ${Object.keys(BOOKS).join(', ')}`) },
    kit: kitText(given.kit, '--kit'),
    stash: given.stash.map((file) => kitText(file, '--stash')),
    agenda: { file: given.agenda, text: read(given.agenda, '--agenda', 'an iCalendar file') },
    options: given.options ? { file: given.options, text: read(given.options, '--options', 'a JSON file') } : null,
  };
  const files = await outputs({ ...texts, week: given.week, manner: given.manner, seed: given.seed }, (said) =>
    process.stderr.write(`${given.agenda}: ${said}\n`),
  );
  writeAll(given.out, files);
  process.stdout.write(`Planned ${given.week} into ${given.out}: ${Object.keys(files).join(', ')}\n`);
}

function readArguments() {
  const values = (() => {
    try {
      return parseArgs({
        options: {
          book: { type: 'string' },
          kit: { type: 'string' },
          stash: { type: 'string', multiple: true },
          agenda: { type: 'string' },
          week: { type: 'string' },
          manner: { type: 'string' },
          options: { type: 'string' },
          seed: { type: 'string' },
          out: { type: 'string' },
        },
      }).values;
    } catch (error) {
      throw wrong('usage', quoted(error instanceof Error ? error.message : error), `\n  ${USAGE}`);
    }
  })();
  const needed = (name: 'book' | 'kit' | 'agenda' | 'week' | 'out'): string => {
    const value = values[name];
    if (!value) throw wrong(`--${name}`, 'nothing', `a value\n  ${USAGE}`);
    return value;
  };
  const week = needed('week');
  if (!isWeekName(week)) throw wrong('--week', quoted(week), 'a week by ISO 8601, such as 2027-W06');
  const manner = values.manner ?? 'scattered';
  if (!mannerNamed(manner)) throw wrong('--manner', quoted(manner), `one of ${Object.keys(MANNERS).join(', ')}`);
  const seed = Number(values.seed ?? '1');
  if (!Number.isSafeInteger(seed) || seed < 0) throw wrong('--seed', quoted(values.seed), 'a whole number from 0 on');
  return {
    book: needed('book'),
    kit: needed('kit'),
    stash: values.stash ?? [],
    agenda: needed('agenda'),
    week,
    manner,
    options: values.options,
    seed,
    out: needed('out'),
  };
}

function kitText(given: string, flag: string) {
  const shipped = shippedKit(given);
  const file = shipped ?? given;
  const name = basename(file)
    .replace(/\.csv$/i, '')
    .replace(/\.kit$/i, '');
  return {
    file: given,
    name,
    text: read(file, flag, `a file${flag === '--kit' ? `, or one of ${SHIPPED_KITS.join(', ')}` : ''}`),
  };
}

function read(file: string, flag: string, expected: string): string {
  if (!existsSync(file) || !statSync(file).isFile()) throw wrong(flag, quoted(file), expected);
  return decodeText(readFileSync(file), file);
}

/** Found out before anything is worked out. */
function mustBeFolder(out: string): void {
  let there = resolve(out);
  while (!existsSync(there)) there = dirname(there);
  if (!statSync(there).isDirectory()) throw wrong('--out', quoted(out), FOLDER);
}

const FOLDER = 'a directory that can be written to';

/** Writes all files or none: first beside the place, then moved in. */
function writeAll(out: string, files: Readonly<Record<string, string | Uint8Array>>): void {
  const waiting = join(out, `.hobnail-${process.pid}`);
  try {
    mkdirSync(waiting, { recursive: true });
    for (const [name, content] of Object.entries(files)) writeFileSync(join(waiting, name), content);
    for (const name of Object.keys(files)) renameSync(join(waiting, name), join(out, name));
  } catch (error) {
    throw wrong('--out', quoted(`${out}: ${error instanceof Error ? error.message : String(error)}`), FOLDER);
  } finally {
    if (existsSync(waiting)) rmSync(waiting, { recursive: true });
  }
}

main().catch((error: unknown) => {
  if (error instanceof BadInput) {
    process.stderr.write(`${error.faults.map(faultLine).join('\n')}\n`);
    process.exitCode = 2;
    return;
  }
  process.stderr.write(`${error instanceof Error ? (error.stack ?? error.message) : String(error)}\n`);
  process.exitCode = 1;
});
