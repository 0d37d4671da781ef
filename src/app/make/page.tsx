import { notFound } from 'next/navigation';
import { MAKEABLE } from '../../core/make/makeable';
import { blank, missingFor } from '../../core/make/missing';
import { contextFrom } from '../../core/spread/context';
import { cutterAddress } from '../../server/made';
import { loadSpread } from '../../server/spread-data';
import { MakeScreen } from '../../ui/make/MakeScreen';

export const dynamic = 'force-dynamic';

export default async function MakePage({ searchParams }: { searchParams: Promise<{ spread?: string }> }) {
  const spread = await loadSpread(Number((await searchParams).spread));
  if (!spread) notFound();
  const context = contextFrom(spread.context);
  return (
    <MakeScreen
      spread={{ id: spread.id, week: context.week.week, days: context.week.days, unit: context.book.unit }}
      missing={missingFor(context)}
      blanks={MAKEABLE.map((kind) => blank(context, kind))}
      cutter={cutterAddress() !== null}
    />
  );
}
