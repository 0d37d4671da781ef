import type { WorkPlan } from '../core/bench/plan';
import { USUAL_PLAN } from '../core/bench/plan';
import type { Database } from './database';
import { asObject } from './json';

/** How its owner works on a spread; what an earlier version did not know of is as usual. */
export function workPlanOf(json: string): WorkPlan {
  const { order, sequence, tapeOut } = asObject(json) as Partial<Record<keyof WorkPlan, unknown>>;
  return {
    order: typeof order === 'string' ? order : USUAL_PLAN.order,
    sequence: Array.isArray(sequence) ? sequence.filter((key) => typeof key === 'string') : [],
    tapeOut: tapeOut === true,
  };
}

export async function setWorkPlan(db: Database, spreadId: number, plan: WorkPlan): Promise<void> {
  await db
    .updateTable('spread')
    .set({ work: JSON.stringify(plan) })
    .where('id', '=', spreadId)
    .execute();
}
