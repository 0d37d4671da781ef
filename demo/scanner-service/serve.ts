// The simulated scanner, on 127.0.0.1: `tsx demo/scanner-service/serve.ts PORT`. In it lie the demo kits' sheets, then
// sheets of kits that nobody sells.
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { readKit } from '../../src/core/format/kit-csv';
import { printedKit } from './demo-sheets';
import { SORTS, madeUpSheet } from './made-up-sheets';
import { scannerService } from './service';

const kit = (name: string) =>
  printedKit(readKit(readFileSync(join(import.meta.dirname, '..', 'kits', `${name}.kit.csv`), 'utf8'), name, name));
const port = Number(process.argv[2] ?? 4490);
const sheets = [...Object.keys(SORTS).map((sort) => madeUpSheet(sort, 1)), ...kit('rockpool'), ...kit('night-almanac')];
scannerService(sheets).listen(port, '127.0.0.1', () =>
  process.stdout.write(`scanner stand-in at http://127.0.0.1:${port}/\n`),
);
// it goes when whoever started it goes
process.stdin.resume().on('end', () => process.exit());
