import { dayColumn } from '../../book/columns';
import type { Hours } from '../../book/hours';
import { hoursOf, yOfMinute } from '../../book/hours';
import type { Draft, Stage } from '../../spread/draft';
import { open } from '../ladder/open';
import { paper } from '../ladder/paper';
import { LADDER } from '../ladder/registry';
import type { Rung } from '../ladder/rung';
import { atTheirHours } from './at-their-hours';
import type { Block } from './day-blocks';
import type { PlannedDay } from './plan-week';
import { planWeek } from './plan-week';
import type { Reserved } from './reserved';
import { reserve } from './reserved';
import { partOf, spaceOut } from './spacing';

/** How often a week is planned; the last time days that failed go on rungs that never do. From memory. */
const ATTEMPTS = 5;
const NEVER_FAIL: readonly Rung[] = [paper, open];

/**
 * Every item of the week in its day, in time order, on the best rung of the ladder that the week can spare (handbook
 * D2, D3, D5, K7).
 */
export const days: Stage = (before, context) => {
  const reserved = reserve(before, context);
  const failedOn = new Map<number, Set<string>>();
  let draft = before.clone();
  for (let n = 1; n <= ATTEMPTS; n++) {
    const isLast = n === ATTEMPTS;
    const plan = planWeek(draft, context, (day) =>
      isLast ? NEVER_FAIL : LADDER.filter((rung) => !failedOn.get(day)?.has(rung.name)),
    );
    draft = plan.draft.clone();
    let isWhole = true;
    for (const day of plan.days) {
      const tried = draft.clone();
      const failed = layDay(tried, day, reserved);
      // whole, or not at all: its rest alone would go wherever there is room, out of its order
      if (!failed.length || isLast) draft = tried;
      else failedOn.set(day.day, new Set([...(failedOn.get(day.day) ?? []), ...failed]));
      isWhole &&= !failed.length;
    }
    if (isWhole) break;
  }
  return draft;
};

/** @returns the rungs of what could not be laid as it was planned */
function layDay(draft: Draft, plan: PlannedDay, reserved: Reserved): string[] {
  const { context, day, standing } = plan;
  const column = dayColumn(context.book, day);
  if (!column) return [];
  const tops = topsOf(plan);
  return standing
    .filter((s, i) => !s.choice.lay(draft, { page: column.page, day, column, y: tops[i] as number }, reserved))
    .map((s) => s.choice.rung);
}

/** mm down the page at which each block of a day stands. */
function topsOf({ context, day, standing, stretches }: PlannedDay): number[] {
  const { gap, littles } = context.options;
  const hours = hoursOf(context.book, day);
  if (hours)
    return atTheirHours(
      standing.map((s) => ({ height: s.choice.height, stretch: s.stretch, ...hourOf(hours, s.block) })),
      stretches,
      gap,
    );
  return spaceOut(
    standing.map((s) => ({
      height: s.choice.height,
      stretch: s.stretch,
      part: partOf(s.block.minute),
      joined: littles === 'stacked' && s.choice.stacks === true,
    })),
    stretches,
    gap,
  );
}

/** What has no hour is drawn to its part of the day this much less than a fixed hour draws. From memory. */
const LIGHTLY = 0.03;

/** Where a block's hour is printed, and how strongly it is drawn there. */
const hourOf = (hours: Hours, block: Block): { wanted: number; pull: number } => ({
  wanted: yOfMinute(hours, block.minute),
  pull: !block.list && typeof block.demands[0]?.start === 'number' ? 1 : LIGHTLY,
});
