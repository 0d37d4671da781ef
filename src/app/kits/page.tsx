import { loadKits } from '../../server/kits';
import { KitsScreen } from '../../ui/kits/KitsScreen';

export const dynamic = 'force-dynamic';

export default async function KitsPage({ searchParams }: { searchParams: Promise<{ kit?: string; piece?: string }> }) {
  const { kit, piece } = await searchParams;
  const page = await loadKits(kit, piece);
  return <KitsScreen page={page} />;
}
