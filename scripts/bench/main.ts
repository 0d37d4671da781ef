// `npm run bench`: measures what design.md part 5 sets bars for, as far as it is built, and writes docs/benchmarks.md.
import { browser } from './browser';
import { choosing } from './choosing';
import { core } from './core';
import { corpusTable } from './corpus';
import { exact } from './exact';
import { kitCorpusTable } from './kit-corpus';
import { kits } from './kits';
import { print } from './print';
import { writeReport } from './report';
import { reviewing } from './reviewing';
import { eye } from './eye';
import { strangers } from './strangers';
import { tenYears } from './ten-years';

async function main(): Promise<void> {
  reviewing(); // the first of all, as in a browser that does nothing else
  core();
  await exact();
  const tables = corpusTable() + kitCorpusTable();
  await strangers();
  eye();
  kits();
  await print();
  await tenYears();
  await browser();
  await choosing();
  writeReport(tables);
}

main().then(
  () => process.exit(0),
  (error: unknown) => {
    console.error(error);
    process.exit(1);
  },
);
