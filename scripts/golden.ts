// `npm run golden`: keeps what is drawn and laid out now as what tests/golden.test.ts asks for. Look at it first.
import { writeFileSync } from 'node:fs';
import { drawings, weeks } from '../tests/golden/made';

for (const [name, made] of Object.entries({ drawings, weeks }))
  writeFileSync(`tests/golden/${name}.json`, `${JSON.stringify(made(), null, 1)}\n`);
