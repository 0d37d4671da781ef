import { notFound } from 'next/navigation';
import { paceOf } from '../../../../core/bench/pace';
import { weekAfter } from '../../../../core/week/week';
import { listSupplies } from '../../../../db/plans';
import { findSpreadOfWeek } from '../../../../db/spreads';
import { isTape } from '../../../../db/tape';
import { lastTicks, ticksOf } from '../../../../db/ticks';
import { shippedLetters } from '../../../../server/fonts';
import { loadSpread } from '../../../../server/spread-data';
import { typingHabits } from '../../../../server/settings';
import { store } from '../../../../server/store';
import { today } from '../../../../server/today';
import { BenchScreen } from '../../../../ui/bench/BenchScreen';

export const dynamic = 'force-dynamic';

export default async function BenchPage({ params }: { params: Promise<{ id: string }> }) {
  const spread = await loadSpread(Number((await params).id));
  if (!spread) notFound();
  const db = await store();
  const week = weekAfter(spread.context.week.week, 1);
  const [ticked, ticks, supplies, next] = await Promise.all([
    ticksOf(db, spread.id),
    lastTicks(db),
    listSupplies(db),
    findSpreadOfWeek(db, week),
  ]);
  const tape = supplies.filter(isTape);
  return (
    <BenchScreen
      spread={spread}
      ticked={ticked}
      pace={paceOf(ticks)}
      tape={tape.length ? tape.reduce((sum, s) => sum + s.amount, 0) : null}
      next={{ week, spreadId: next?.id ?? null }}
      today={await today()}
      typing={await typingHabits(db)}
      lacking={shippedLetters().lacking(spread.placements.map((p) => p.text ?? '').join(' '))}
    />
  );
}
