import { redirect } from 'next/navigation';
import { loadGather } from '../../../server/load-gather';
import { GatherScreen } from '../../../ui/plan/gather/GatherScreen';

export const dynamic = 'force-dynamic';

/** Stickers gathered for a week by its colors: `?week=2027-W08`, and `&colors=e8836b,9fd3c7` to begin with. */
export default async function GatherPage({
  searchParams,
}: {
  searchParams: Promise<{ week?: string; colors?: string }>;
}) {
  const page = await loadGather(await searchParams);
  if (page.spreadId !== null) redirect(`/spreads/${page.spreadId}`);
  return <GatherScreen key={page.week} page={page} />;
}
