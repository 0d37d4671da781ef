import { median } from '../measure/median';
import { stepKind } from './kinds/registry';
import type { Step } from './step';

/** How long a step takes, s, by what is done; a text and a place to white out by themselves. */
export type Pace = Readonly<Record<Step['do'], number>>;

/** A usual pace. From memory; it gives way to the owner's own as soon as there is one. */
export const USUAL_PACE: Pace = { 'white-out': 8, cut: 45, place: 50, stack: 90, write: 25 };

/** A step that was ticked, and when: ms. */
export interface TickedAt {
  readonly do: Step['do'];
  /** places, texts: how many of what its pace is told by */
  readonly size: number;
  readonly at: number;
}

/** Longer between two ticks was a pause, not work, s. */
const PAUSE = 600;
/** Ticks nearer to each other were made afterwards, s. */
const AT_ONCE = 2;
/** Fewer steps of a sort tell nothing. */
const LEAST = 5;

export interface OwnPace {
  readonly pace: Pace;
  /** what is told by the owner's own past steps; all else is the usual */
  readonly own: readonly Step['do'][];
}

/** A step with the time since the tick before it, s; pauses, and ticks made afterwards, are left out. */
export function timesOf(ticks: readonly TickedAt[]): (TickedAt & { readonly seconds: number })[] {
  const sorted = [...ticks].sort((a, b) => a.at - b.at);
  return sorted
    .map((tick, i) => ({ ...tick, seconds: (tick.at - (sorted[i - 1]?.at ?? tick.at)) / 1000 }))
    .filter(({ seconds }) => seconds >= AT_ONCE && seconds <= PAUSE);
}

/** The owner's pace: of each sort of step the median time since the tick before it. */
export function paceOf(ticks: readonly TickedAt[]): OwnPace {
  const times = new Map<Step['do'], number[]>();
  for (const t of timesOf(ticks)) times.set(t.do, [...(times.get(t.do) ?? []), t.seconds / Math.max(1, t.size)]);
  const told = [...times].filter(([, all]) => all.length >= LEAST);
  return {
    pace: { ...USUAL_PACE, ...Object.fromEntries(told.map(([work, all]) => [work, median(all)])) },
    own: told.map(([work]) => work),
  };
}

/** How many of what its pace is told by a step is. */
export const sizeOf = ({ about }: Pick<Step, 'about'>): number => stepKind(about).size(about);

/** Seconds that steps take at a pace. */
export const secondsOf = (steps: readonly Pick<Step, 'do' | 'about'>[], pace: Pace): number =>
  steps.reduce((sum, s) => sum + pace[s.do] * sizeOf(s), 0);
