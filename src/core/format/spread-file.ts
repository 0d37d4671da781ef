import type { Context, Placement, Unplaced } from '../spread/placement';
import type { Cut } from '../bench/cuts';
import { cutsOf } from '../bench/cuts';
import type { Step } from '../bench/steps';
import { stepsOf } from '../bench/steps';
import type { StockLine } from '../bench/stock';
import { stockOf } from '../bench/stock';
import type { WhiteOut } from '../bench/white-out';
import type { Finding } from '../review/finding';
import { review, viewOf } from '../review/review';
import type { Score } from '../review/score';
import { scoreOf } from '../review/score';

/** A spread with all that follows from it (formats.md, Spread). */
export interface SpreadFile {
  readonly format: 'hobnail.spread/1';
  readonly book: string;
  readonly week: string;
  readonly manner: string;
  readonly seed: number;
  readonly options: Context['options'];
  readonly placements: readonly Placement[];
  readonly unplaced: readonly Unplaced[];
  readonly findings: readonly Finding[];
  readonly whiteOut: readonly WhiteOut[];
  readonly cuts: readonly Cut[];
  readonly steps: readonly Step[];
  readonly stock: readonly StockLine[];
  readonly score: Score;
}

/** Works out everything a spread file holds from its placements. */
export function completeSpread(context: Context, placements: readonly Placement[]): SpreadFile {
  const view = viewOf(context, placements);
  const findings = review(view);
  const cuts = cutsOf(context, placements);
  return {
    format: 'hobnail.spread/1',
    book: context.book.name,
    week: context.week.week,
    manner: context.manner.name,
    seed: context.seed,
    options: context.options,
    placements,
    unplaced: view.unplaced.map(({ uid, reason, waysOut }) => ({ uid, reason, waysOut })),
    findings,
    whiteOut: view.whiteOut,
    cuts,
    steps: stepsOf(context, placements, view.whiteOut, cuts),
    stock: stockOf(context, placements, cuts),
    score: scoreOf(findings),
  };
}
