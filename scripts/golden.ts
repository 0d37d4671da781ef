// `npm run golden`: keeps what is drawn and laid out now as what tests/golden.test.ts asks for. Look at it first.
import { writeFileSync } from 'node:fs';
import { drawings, prints, scans, weeks } from '../tests/golden/made';

async function main(): Promise<void> {
  for (const [name, made] of Object.entries({ drawings, prints, scans, weeks }))
    writeFileSync(`tests/golden/${name}.json`, `${JSON.stringify(await made(), null, 1)}\n`);
}

void main();
