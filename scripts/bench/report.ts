import { writeFileSync } from 'node:fs';
import { cpus, totalmem } from 'node:os';

const rows: [string, string, string][] = [];

/** Notes a figure, and shows it. */
export function say(what: string, bar: string, measured: string): void {
  rows.push([what, bar, measured]);
  console.log(`${what}: ${measured}${bar ? `  (bar: ${bar})` : ''}`);
}

export const quantile = (sorted: readonly number[], q: number): number =>
  sorted[Math.min(sorted.length - 1, Math.floor(sorted.length * q))] as number;

/** Times of one work done several times over, in ms. */
export function timed(runs: number, run: (i: number) => unknown, warm = 2): { median: number; p95: number } {
  for (let i = 0; i < warm; i++) run(i);
  const times = Array.from({ length: runs }, (_, i) => {
    const started = performance.now();
    run(i);
    return performance.now() - started;
  }).sort((a, b) => a - b);
  return { median: quantile(times, 0.5), p95: quantile(times, 0.95) };
}

export const ms = (n: number): string => `${n < 10 ? n.toFixed(1) : Math.round(n)} ms`;

/** Writes docs/benchmarks.md. @param tables what follows the figures */
export function writeReport(tables: string): void {
  const model = cpus()[0]?.model.trim() ?? 'unknown';
  const machine = `${cpus().length} cores (${model}), ${Math.round(totalmem() / 2 ** 30)} GiB, Node ${process.versions.node}`;
  const table = rows.map(([what, bar, measured]) => `| ${what} | ${bar} | ${measured} |`).join('\n');
  writeFileSync(
    'docs/benchmarks.md',
    `# Benchmarks\n\nWritten by \`npm run bench\` (build first: \`npm run demo\` does). Machine: ${machine}. Times are wall clock on a machine whose speed varies; read them as an order of size. What a first evening takes: [first-evening.md](first-evening.md).\n\n| what | bar | measured |\n|---|---|---|\n${table}\n${tables}`,
  );
}
