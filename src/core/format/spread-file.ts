import { benchOf } from '../bench/bench';
import { voiceOf } from '../spread/voice';
import { measuresOf } from '../bench/measures';
import { sayStep } from '../bench/say-step';
import { sayFinding } from '../review/say';
import { sayReason, sayWayOut } from '../review/say-missing';
import type { Context, Placement } from '../spread/placement';
import type { INK } from '../spread/placement';
import { isWriting } from '../spread/placement';
import type { Cut } from '../bench/cuts';
import type { Step } from '../bench/step';
import type { StockLine } from '../bench/stock';
import { stockOf } from '../bench/stock';
import type { WhiteOut } from '../bench/white-out';
import type { Finding, Said } from '../review/finding';
import { review, viewOf } from '../review/review';
import type { Score } from '../review/score';
import { scoreOf } from '../review/score';

/** A spread with all that follows from it (docs/formats/spread.md). */
export interface SpreadFile {
  readonly format: 'hobnail.spread/1';
  readonly book: string;
  readonly week: string;
  readonly manner: string;
  readonly seed: number;
  readonly options: Context['options'];
  readonly placements: readonly Placement[];
  readonly writings: readonly Writing[];
  readonly unplaced: readonly SaidUnplaced[];
  readonly findings: readonly SaidFinding[];
  readonly whiteOut: readonly WhiteOut[];
  readonly cuts: readonly Cut[];
  readonly steps: readonly SaidStep[];
  readonly stock: readonly StockLine[];
  readonly score: Score;
}

/** What is written straight onto the paper, as the file has it. */
export type Writing = Omit<Placement, keyof typeof INK | 'role' | 'locked'>;

function writingOf(p: Placement): Writing {
  const { id, page, x, y, w, h, layer, day, items, text, ink, size } = p;
  return { id, page, x, y, w, h, layer, day, items, text, ink, size };
}

/** What the file says in words, made of what the core knows as data. */
type SaidUnplaced = { readonly uid: string; readonly reason: string; readonly waysOut: readonly string[] };
type SaidFinding = Omit<Finding, 'about'> & Said;
type SaidStep = Pick<Step, 'n' | 'do' | 'refs'> & { readonly say: string };

/** Works out everything a spread file holds from its placements. */
export function completeSpread(context: Context, placements: readonly Placement[]): SpreadFile {
  const view = viewOf(context, placements);
  const findings = review(view);
  const bench = benchOf(context, placements, view.whiteOut);
  const { whiteOut, cuts, steps } = bench;
  const voice = voiceOf(context, placements);
  return {
    format: 'hobnail.spread/1',
    book: context.book.name,
    week: context.week.week,
    manner: context.manner.name,
    seed: context.seed,
    options: context.options,
    placements: placements.filter((p) => !isWriting(p)),
    writings: placements.filter(isWriting).map(writingOf),
    unplaced: view.unplaced.map((missing) => ({
      uid: missing.demand.uid,
      reason: sayReason(missing, voice),
      waysOut: missing.waysOut.map((way) => sayWayOut(way, voice)),
    })),
    findings: findings.map(({ about, ...finding }) => ({ ...finding, ...sayFinding({ ...finding, about }, voice) })),
    whiteOut,
    cuts,
    steps: steps.map((step) => ({
      n: step.n,
      do: step.do,
      refs: step.refs,
      say: sayStep(step, voice, measuresOf(context, bench)),
    })),
    stock: stockOf(context, placements, cuts),
    score: scoreOf(findings),
  };
}
