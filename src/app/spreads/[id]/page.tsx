import { notFound } from 'next/navigation';
import { loadSpread } from '../../../server/spread-data';
import { SpreadScreen } from '../../../ui/spread/SpreadScreen';

export const dynamic = 'force-dynamic';

export default async function SpreadPage({ params }: { params: Promise<{ id: string }> }) {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) notFound();
  return <SpreadScreen spread={spread} />;
}
