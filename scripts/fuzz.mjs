// `npm run fuzz [-- COUNT [SEED]]`: calendars, files and inputs of every server action that nobody foresaw, by default
// 2,000 of each; the seed is said.
import { spawnSync } from 'node:child_process';

const [count = '2000', seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
console.log(`${count} inputs a reader and a door, seed ${seed}`);
const { status } = spawnSync('npx', ['jest', '--runInBand', 'tests/fuzz'], {
  stdio: 'inherit',
  env: { ...process.env, HOBNAIL_FUZZ: count, HOBNAIL_SEED: seed },
});
process.exit(status ?? 1);
