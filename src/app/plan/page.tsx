import { redirect } from 'next/navigation';
import { loadPlan } from '../../server/plan-week';
import { PlanScreen } from '../../ui/plan/PlanScreen';

export const dynamic = 'force-dynamic';

/** A week to be planned: `?week=2027-W08`; `&kits=begun` for what is left, `&kits=gathered` for what was gathered. */
export default async function PlanPage({
  searchParams,
}: {
  searchParams: Promise<{ week?: string; book?: string; kits?: string }>;
}) {
  const { kits, ...asked } = await searchParams;
  const plan = await loadPlan(asked);
  if (!plan) redirect('/books');
  if (plan.spreadId !== null) redirect(`/spreads/${plan.spreadId}`);
  return <PlanScreen plan={plan} kits={kits === 'begun' || kits === 'gathered' ? kits : 'all'} />;
}
