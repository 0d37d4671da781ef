import { loadYears } from '../../../server/log/years';
import { YearsScreen } from '../../../ui/log/YearsScreen';

export const dynamic = 'force-dynamic';

export default async function YearsPage({ searchParams }: { searchParams: Promise<{ week?: string }> }) {
  return <YearsScreen weeks={await loadYears((await searchParams).week)} />;
}
