// `npm run schemas`: writes what is made from registries to docs/: the JSON Schema of options, the index of rules.
import { writeFileSync } from 'node:fs';
import { optionsSchema } from '../src/core/format/options-schema';
import { RULES_INDEX, rulesIndex } from './rules-index';

writeFileSync('docs/formats/options.schema.json', `${JSON.stringify(optionsSchema(), null, 2)}\n`);
writeFileSync(RULES_INDEX, rulesIndex());
