// `npm run fuzz [-- COUNT [SEED]]`: calendars that readers stumble over, by default 2,000 of each sort; the seed is said.
import { spawnSync } from 'node:child_process';

const [count = '2000', seed = String(Date.now() % 1_000_000)] = process.argv.slice(2);
console.log(`${count} calendars a sort, seed ${seed}`);
const { status } = spawnSync('npx', ['jest', 'tests/fuzz-calendars'], {
  stdio: 'inherit',
  env: { ...process.env, HOBNAIL_FUZZ: count, HOBNAIL_SEED: seed },
});
process.exit(status ?? 1);
