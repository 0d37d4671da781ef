import { loadLog } from '../../server/past';
import { LogScreen } from '../../ui/log/LogScreen';

export const dynamic = 'force-dynamic';

export default async function LogPage({ searchParams }: { searchParams: Promise<{ q?: string; before?: string }> }) {
  const { q = '', before } = await searchParams;
  return <LogScreen log={await loadLog(q, before)} search={q} />;
}
