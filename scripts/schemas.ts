// `npm run schemas`: writes the JSON Schemas that are made from registries to docs/formats/.
import { writeFileSync } from 'node:fs';
import { optionsSchema } from '../src/core/format/options-schema';

writeFileSync('docs/formats/options.schema.json', `${JSON.stringify(optionsSchema(), null, 2)}\n`);
