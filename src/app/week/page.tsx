import { loadThisWeek } from '../../server/this-week';
import { ThisWeekScreen } from '../../ui/week/ThisWeekScreen';

export const dynamic = 'force-dynamic';

export default async function WeekPage({ searchParams }: { searchParams: Promise<{ week?: string }> }) {
  const data = await loadThisWeek((await searchParams).week);
  return <ThisWeekScreen key={data.week.week} data={data} />;
}
