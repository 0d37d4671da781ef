import { randomUUID } from 'node:crypto';
import { existsSync, mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';

/** A name that says whose it is, so that what a process that was killed left behind is known. */
const MARK = /^\.passing-(\d+)-/;
const mark = `.passing-${process.pid}-`;

/** A folder for as long as some work goes on; who makes it takes it away. */
export const passingFolder = (parent: string): string => mkdtempSync(join(parent, mark));

/** The same for a file that is not there yet. */
export const passingFile = (parent: string): string => join(parent, `${mark}${randomUUID()}`);

/** Takes away what processes left behind that live no more. */
export function sweepPassing(...parents: readonly string[]): void {
  for (const parent of parents)
    for (const name of existsSync(parent) ? readdirSync(parent) : []) {
      const pid = Number(MARK.exec(name)?.[1] ?? NaN);
      // at the start a process has made none itself: those of its number are of one before it
      if (pid === process.pid || (pid > 0 && !isAlive(pid)))
        rmSync(join(parent, name), { recursive: true, force: true });
    }
}

function isAlive(pid: number): boolean {
  try {
    process.kill(pid, 0);
    return true;
  } catch (error) {
    return (error as NodeJS.ErrnoException).code === 'EPERM';
  }
}
