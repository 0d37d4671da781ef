import { notFound } from 'next/navigation';
import { spokenWeek } from '../../../../core/week/day-names';
import { SHARED_WIDTHS } from '../../../../server/share';
import { loadSpread } from '../../../../server/spread-data';
import { ShareScreen } from '../../../../ui/share/ShareScreen';

export const dynamic = 'force-dynamic';

export default async function SharePage({ params }: { params: Promise<{ id: string }> }) {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) notFound();
  const { id, context, history } = spread;
  return (
    <ShareScreen
      id={id}
      revision={history.revision}
      title={spokenWeek(context.week.days)}
      widths={[...SHARED_WIDTHS]}
      width={context.book.pages.reduce((sum, p) => sum + p.width, 0)}
      height={Math.max(...context.book.pages.map((p) => p.height))}
    />
  );
}
