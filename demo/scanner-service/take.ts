// A picture of one made-up sheet into a file: `tsx demo/scanner-service/take.ts SORT SEED FILE`.
import { writeFileSync } from 'node:fs';
import { FLATBED, scanned } from './device';
import { madeUpSheet } from './made-up-sheets';

const [sort = 'mixed', seed = '1', file = 'sheet.jpg'] = process.argv.slice(2);
scanned(madeUpSheet(sort, Number(seed)), FLATBED).then(
  ({ bytes }) => writeFileSync(file, bytes),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
