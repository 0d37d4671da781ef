import { loadLog, readLogSearch } from '../../server/past';
import { LogScreen } from '../../ui/log/LogScreen';

export const dynamic = 'force-dynamic';

interface Asked {
  searchParams: Promise<{ q?: string; in?: string; from?: string; to?: string; before?: string }>;
}

export default async function LogPage({ searchParams }: Asked) {
  const search = readLogSearch(await searchParams);
  return <LogScreen log={await loadLog(search)} search={search} />;
}
