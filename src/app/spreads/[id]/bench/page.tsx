import { notFound } from 'next/navigation';
import { ticksOf } from '../../../../db/ticks';
import { loadSpread } from '../../../../server/spread-data';
import { store } from '../../../../server/store';
import { BenchScreen } from '../../../../ui/bench/BenchScreen';

export const dynamic = 'force-dynamic';

export default async function BenchPage({ params }: { params: Promise<{ id: string }> }) {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) notFound();
  return <BenchScreen spread={spread} ticked={await ticksOf(await store(), spread.id)} />;
}
