import { TRUTH_DPI, count, empty } from '../../scripts/bench/scan-tally';
import type { Tally } from '../../scripts/bench/scan-tally';
import { findSheet } from '../../src/core/scan/find-sheet';
import type { Quad } from '../../src/core/scan/homography';
import { readSheet } from '../../src/core/scan/read-sheet';
import { straightened } from '../../src/core/scan/straighten';
import { whitened } from '../../src/core/scan/white-balance';
import { actsToRight } from './acts';
import type { DeskShot } from './device';
import { asRaster, printed } from './device';
import type { DeskSheet } from './sheets';

const SCALE = 10;
/** A sheet is found that lies no farther off at any corner, mm. */
const FOUND = 3;

export interface DeskResult {
  /** with the corners that were found, and with the true ones */
  readonly alone: Tally;
  readonly set: Tally;
  /** to put right what was read with the true corners */
  readonly acts: number;
  /** how far off the worst corner is, mm; whether the finder said it was sure */
  readonly off: number;
  readonly isFound: boolean;
  readonly sure: boolean;
}

/** The corner of a picture that is the sheet's top left is not to be told: the nearest turn is taken. */
function offBy(found: Quad, truth: Quad): { off: number; turned: Quad } {
  const turns = [0, 1, 2, 3].map((k) => [0, 1, 2, 3].map((i) => found[(i + k) % 4]) as unknown as Quad);
  const worst = (q: Quad): number => Math.max(...q.map((p, i) => Math.hypot(p.x - truth[i]!.x, p.y - truth[i]!.y)));
  const [best] = turns.sort((a, b) => worst(a) - worst(b));
  return { off: worst(best!), turned: best! };
}

export async function deskResult(sheet: DeskSheet, shot: DeskShot): Promise<DeskResult> {
  const picture = await asRaster(shot.bytes);
  const clean = await printed(sheet, TRUTH_DPI);
  const { corners: c } = shot;
  const perMm = Math.hypot(c[1].x - c[0].x, c[1].y - c[0].y) / sheet.width;
  const slack = shot.isPhone ? 0.8 : 0.4;
  const readWith = (corners: Quad): { tally: Tally; acts: number } => {
    const tally = empty();
    const start = performance.now();
    const flat = straightened(picture, corners, sheet.width, sheet.height, SCALE);
    const read = readSheet(shot.isPhone ? whitened(flat) : flat);
    count(sheet, read, clean, { slack, ms: performance.now() - start }, tally);
    return { tally, acts: actsToRight(sheet, read, slack) };
  };
  const { corners, sure } = findSheet(picture);
  const { off, turned } = offBy(corners, c);
  const set = readWith(c);
  const alone = off / perMm < 0.5 ? set : readWith(turned);
  return { alone: alone.tally, set: set.tally, acts: set.acts, off: off / perMm, isFound: off / perMm <= FOUND, sure };
}
