import { alternativesOf } from '../../src/core/compare/alternatives';
import { packColumn } from '../../src/core/arrange/exact/day-packing';
import { letIn } from '../../src/core/repair/let-in';
import { bestPacking, generatedWeek } from '../../tests/columns';
import { demoSpread, demand } from '../../tests/fixtures';
import { say, timed, ms } from './report';

/** Column packing and cutting against HiGHS. */
export async function exact(): Promise<void> {
  let [columns, equal, within, full] = [0, 0, 0, 0];
  for (let seed = 1; seed <= 60; seed++) {
    for (const column of generatedWeek(seed)) {
      const packed = packColumn(column.items, column.stretches, column.gap);
      const best = (await bestPacking(column)) as number;
      columns++;
      if (Math.abs(packed.cost - best) < 1e-4) equal++;
      if (packed.cost <= best * 1.02 + 1e-4) within++;
      if (packed.chosen.includes(null) === best >= 700) full++;
    }
  }
  say(
    `day packing, ${columns} columns of 60 generated weeks, against HiGHS`,
    'within 2 % of its optimum; infeasible exactly when it is',
    `equal in ${equal}, within 2 % in ${within}, full exactly when HiGHS says so in ${full}`,
  );
  const { context, placements } = demoSpread();
  const late = [0, 1, 2, 3, 4, 5, 6].map((day) =>
    demand({ uid: `late${day}`, key: `late${day}`, title: 'plumber', day, start: 660, kind: 'appointment' }),
  );
  const busy = { ...context, week: { ...context.week, demands: [...context.week.demands, ...late] } };
  const repair = timed(140, (i) => letIn(busy, placements, `late${i % 7}`));
  say(
    `a late item let in with the fewest moves, ${placements.length} placements`,
    'under 16 ms at the 95th percentile',
    `median ${ms(repair.median)}, 95th ${ms(repair.p95)}`,
  );
  say('three alternatives that differ', '', `median ${ms(timed(3, () => alternativesOf(context)).median)}`);
}
