// `npm run plan -- …`: the headless command (docs/formats).
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { bundled } from './bundled.mjs';

await import(pathToFileURL(await bundled(join('src', 'cli', 'plan.ts'))).href);
