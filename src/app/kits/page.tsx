import { loadKits } from '../../server/kits';
import { KitsScreen } from '../../ui/kits/KitsScreen';

export const dynamic = 'force-dynamic';

export default async function KitsPage({ searchParams }: { searchParams: Promise<{ kit?: string }> }) {
  const page = await loadKits((await searchParams).kit);
  return <KitsScreen page={page} />;
}
