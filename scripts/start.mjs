// `npm start`: installs, builds and serves one's own house on 127.0.0.1; empty at first, in a place of its own, which is
// not the demo's.
import { homedir } from 'node:os';
import { join } from 'node:path';
import { serve } from './serve.mjs';
import { buildApplication, installPackages } from './setup.mjs';

const data = process.env.HOBNAIL_DATA ?? join(homedir(), '.hobnail', 'hobnail.sqlite');
const compiled = installPackages();
buildApplication();
await compiled;
await serve({
  env: { HOBNAIL_DATA: data },
  says: (address) => `\nHobnail is open at ${address}  (Ctrl C closes it)\nYour weeks are kept in ${data}\n`,
});
