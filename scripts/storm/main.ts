// Kills and windows (docs/reliability.md); by storm.mjs, which builds the application first.
import type { Killed } from './kills';
import { kills } from './kills';
import { longCalendars } from './long-calendar';
import { fullDisks, housesKilled, jumpingClock, twoOnOneFile } from './houses';
import { mixedRequests, restores } from './restores';
import { windows } from './windows';

const [count = 200, seconds = 120, seed = Date.now() % 1_000_000] = process.argv.slice(2).map(Number);
console.log(`seed ${seed}`);

/** ms that anybody may wait for others' work */
const LONGEST_WAIT = 1000;

let faults = 0;
const told = (what: string, result: string, found: readonly string[]): void => {
  faults += found.length;
  console.log(`| ${what} | ${result} | ${found.length ? found.slice(0, 5).join('; ') : 'no fault'} |`);
};

async function main(): Promise<void> {
  const killed = await kills(count, seed);
  for (const moment of new Set(killed.map((k) => k.moment))) {
    const mine = killed.filter((k) => k.moment === moment);
    const acknowledged = mine.reduce((n, k) => n + k.acknowledged, 0);
    const found = mine.flatMap((k: Killed) => (k.fault ? [k.fault] : []));
    told(`${mine.length} kills, ${moment}`, `${acknowledged} edits acknowledged`, found);
  }
  for (const [what, of] of [
    ['10 windows, a week each', { alone: 10, together: 0, seconds: seconds / 4 }],
    ['20 windows, a week each, and 5 on one', { alone: 20, together: 5, seconds }],
  ] as const) {
    const { saved, refused, median, p95, faults: found } = await windows(of, seed);
    const times = `median ${median.toFixed(0)} ms, 95th ${p95.toFixed(0)} ms`;
    told(`${what}, ${of.seconds} s`, `${saved} saved, ${refused} refused as second, ${times}`, found);
  }
  for (const { what, took, othersWaited } of await longCalendars()) {
    const slow = othersWaited > LONGEST_WAIT ? [`others waited over ${LONGEST_WAIT} ms`] : [];
    const ms = (n: number): string => `${n.toFixed(0)} ms`;
    told(`45,000 events, ${what}`, `${ms(took)}; others waited ${ms(othersWaited)} at most`, slow);
  }
  for (const { what, result, faults: found } of [
    ...(await housesKilled(count, seed)),
    await twoOnOneFile(),
    ...(await fullDisks()),
    await jumpingClock(seed),
    await restores(Math.max(4, Math.round(seconds / 2))),
    await mixedRequests(2000),
  ])
    told(what, result, found);
  process.exit(faults ? 1 : 0);
}

void main();
