// `npm run schemas`: writes what is made from registries and sources to docs/: the JSON Schema of options, the index of
// rules, the table of limits.
import { writeFileSync } from 'node:fs';
import { optionsSchema } from '../src/core/format/options-schema';
import { LIMITS_INDEX, limitsIndex } from './limits-index';
import { RULES_INDEX, rulesIndex } from './rules-index';

writeFileSync('docs/formats/options.schema.json', `${JSON.stringify(optionsSchema(), null, 2)}\n`);
writeFileSync(RULES_INDEX, rulesIndex());
writeFileSync(LIMITS_INDEX, limitsIndex());
