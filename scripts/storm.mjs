// `npm run storm [-- KILLS [SECONDS [SEED]]]`: by default 200 kills and two minutes of windows; the seed is said.
import { buildApplication, run } from './setup.mjs';

buildApplication();
run('npx', ['tsx', 'scripts/storm/main.ts', ...process.argv.slice(2)]);
