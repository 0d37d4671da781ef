'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useRouter } from 'next/navigation';
import { useMemo, useState } from 'react';
import { colorName } from '../../core/color/color-name';
import { spokenName } from '../../core/kit/kit';
import { counted } from '../../core/spread/voice';
import type { DayBetween } from '../../core/week/day-between';
import { longDate, longDay } from '../../core/week/day-names';
import { startSpread } from '../../server/actions';
import { layOutWhole } from '../../server/lay-out-actions';
import type { PlanKit, PlanManner, PlanPage } from '../../server/plan-week';
import { Choice } from '../fields/Choice';
import { Messages } from '../screen/Messages';
import { Screen, ScreenMain } from '../screen/Screen';
import { GLASS } from '../theme';
import { useRun } from '../use-run';
import { PlanCard } from './PlanCard';
import type { Offer } from './sort-tried';
import { asSeen, bestFirst, offerOf, suiting } from './sort-tried';
import { useTried } from './use-tried';

/** One that suits is looked for; or each there is; or one by its name. */
const SUITING = 'suiting';
const EACH = 'each';
/** Of so few kits each manner is shown. */
const FEW_KITS = 3;

const WHICH = ['all', 'whole', 'begun', 'gathered'] as const;
export type Which = (typeof WHICH)[number];
const WHICH_KITS: Readonly<Record<Which, { readonly label: string; readonly has: (kit: PlanKit) => boolean }>> = {
  all: { label: 'All kits', has: () => true },
  whole: { label: 'Whole ones', has: ({ left, total }) => left === total },
  begun: { label: 'What is left of begun ones', has: ({ left, total }) => left < total && left > 0 },
  gathered: { label: 'What was gathered', has: ({ gathered }) => gathered === true },
};

/** A week to be planned: itself, as it would be with each kit, to be taken as it is. */
export function PlanScreen({ plan, kits: first }: { plan: PlanPage; kits: Which }) {
  const router = useRouter();
  const { run, ask, busy, messages, question } = useRun();
  const [manner, setManner] = useState<string>(first === 'gathered' || plan.kits.length <= FEW_KITS ? EACH : SUITING);
  const [which, setWhich] = useState<Which>(first);
  const [color, setColor] = useState<string | null>(null);
  /** the order in which what is there was looked at */
  const [seen, setSeen] = useState<readonly string[] | null>(null);
  /** every kit in the first manner, then every kit in the next */
  const offers = useMemo(() => {
    const kits = plan.kits.filter(
      (k) => WHICH_KITS[which].has(k) && (!color || k.swatches.some((c) => colorName(c) === color)),
    );
    const { week, book } = plan;
    return mannersOf(manner, plan.manners).flatMap((name) => kits.map((k) => offerOf(k, { week, book, manner: name })));
  }, [plan, which, color, manner]);
  const tried = useTried(offers);
  const best = bestFirst(manner === SUITING ? suiting(offers, tried, seen ?? []) : offers, tried);
  const shown = seen ? asSeen(best, seen) : best;
  // where the manner that suits is looked for, each kit is there once its first one is
  const awaited = manner === SUITING ? offers.filter((o) => o.manner === offers[0]?.manner) : offers;
  const done = awaited.filter((o) => tried.has(o.key)).length;
  const chosen = plan.manners.find((m) => m.name === manner);
  const look = (at: Partial<Record<'week' | 'book', string>>) => {
    setSeen(null);
    router.replace(`/plan?${new URLSearchParams({ week: plan.week, book: plan.book, ...at }).toString()}`);
  };
  const take = async ({ kit: kitId, manner: name }: Offer, whole: boolean) => {
    const made = await ask(() => startSpread({ week: plan.week, bookId: plan.book, kitId, manner: name }));
    if (!made) return;
    const { id } = made.value;
    if (!whole || (await run(() => layOutWhole({ spreadId: id })))) router.push(`/spreads/${id}`);
  };
  return (
    <Screen
      title={<>Plan {plan.title}</>}
      note={
        <Typography variant="caption" sx={{ opacity: 0.9 }}>
          {counted(plan.items, 'item')} {plan.items === 1 ? 'waits' : 'wait'} for a place
        </Typography>
      }
    >
      <Messages across of={messages} />
      <ScreenMain>
        {plan.between && <Typography sx={{ mb: 1.5 }}>{sayBetween(plan.between)}</Typography>}
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1.25, mb: 1, alignItems: 'center' }}>
          <Choice
            label="Week"
            value={plan.week}
            options={plan.weeks.map((w) => [w.week, w.title])}
            onChange={(week) => look({ week })}
          />
          <Choice
            label="Book"
            value={plan.book}
            options={plan.books.map((b) => [b.id, b.name])}
            onChange={(book) => look({ book })}
          />
          <Choice
            label="Manner"
            value={manner}
            options={[
              [SUITING, 'The one that suits'],
              [EACH, 'Each of them'],
              ...plan.manners.map((m) => [m.name, <MannerName key={m.name} of={m} />] as const),
            ]}
            shown={(name) =>
              name === SUITING ? 'The one that suits' : name === EACH ? 'Each of them' : spokenName(name)
            }
            onChange={setManner}
          />
          <Choice
            label="Kits"
            value={which}
            options={WHICH.filter((w) => w === which || plan.kits.some(WHICH_KITS[w].has)).map((w) => [
              w,
              `${WHICH_KITS[w].label} (${plan.kits.filter(WHICH_KITS[w].has).length})`,
            ])}
            onChange={setWhich}
          />
          <Colors kits={plan.kits} chosen={color} onChoose={setColor} />
          {plan.kits.length > 0 && (
            <Button size="small" variant="outlined" component={Link} href={`/plan/gather?week=${plan.week}`}>
              {plan.kits.some(WHICH_KITS.gathered.has) ? 'Change what was gathered' : 'Gather one by colors'}
            </Button>
          )}
        </Box>
        {chosen && (
          <Typography variant="body2" color="text.secondary">
            {chosen.says}
          </Typography>
        )}
        {chosen && chosen.leans.length > 0 && (
          <Typography variant="body2" data-testid="leans">
            As you loved it: {chosen.leans.join('; ')}.
          </Typography>
        )}
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, minHeight: 34, mb: 1 }}>
          <Typography role="status" color="text.secondary">
            {sayProgress(done, awaited.length)}
          </Typography>
          {seen && done > 0 && shown.some((o, i) => o !== best[i]) && (
            <Button size="small" onClick={() => setSeen(null)}>
              Sort again, the best first
            </Button>
          )}
        </Box>
        {plan.kits.length === 0 && <NoKits />}
        {plan.kits.length > 0 && offers.length === 0 && (
          <Typography>
            No kit is like that.{' '}
            <Button
              size="small"
              onClick={() => {
                setWhich('all');
                setColor(null);
              }}
            >
              Show all kits
            </Button>
          </Typography>
        )}
        <Box
          // what is being looked at stays where it is
          onPointerDown={() => setSeen(shown.map((o) => o.key))}
          onFocus={() => setSeen((s) => s ?? shown.map((o) => o.key))}
          sx={{ display: 'grid', gap: 2, gridTemplateColumns: 'repeat(auto-fill, minmax(min(330px, 100%), 1fr))' }}
        >
          {shown.map((o) => (
            <PlanCard
              key={o.key}
              offer={o}
              tried={tried.get(o.key)}
              best={o === best[0] && done === awaited.length}
              busy={busy}
              onTake={() => void take(o, true)}
              onBegin={() => void take(o, false)}
            />
          ))}
        </Box>
      </ScreenMain>
      {question}
    </Screen>
  );
}

/** The manners that are tried, the one used last first. */
function mannersOf(manner: string, there: readonly PlanManner[]): readonly string[] {
  if (manner === EACH) return there.map((m) => m.name);
  return manner === SUITING ? there.filter((m, i) => i === 0 || !m.isOwn).map((m) => m.name) : [manner];
}

const sayProgress = (done: number, of: number): string =>
  of === 0
    ? ''
    : done < of
      ? `Laying the week out, ${done + 1} of ${of}…`
      : `${counted(of, 'way')} to lay it out, the best first. Take one as it is, and change it in the book.`;

/** What becomes of the day between two books. */
const sayBetween = ({ day, is }: DayBetween): string =>
  is === 'twice'
    ? `${longDay(day)}, ${longDate(day)}, is on the pages of the week before too.`
    : `${longDay(day)}, ${longDate(day)}, is on no page: what it asks for goes with the first day.`;

function MannerName({ of }: { of: PlanManner }) {
  return (
    <>
      {spokenName(of.name)}
      {of.rated && (
        <Typography component="span" variant="caption" color="text.secondary" sx={{ ml: 1 }}>
          {of.rated.mean.toFixed(1)} of 5 over {counted(of.rated.weeks, 'week')}
        </Typography>
      )}
    </>
  );
}

/** The colors of all kits, the commonest first; one can be looked for. */
function Colors({
  kits,
  chosen,
  onChoose,
}: {
  kits: readonly PlanKit[];
  chosen: string | null;
  onChoose: (color: string | null) => void;
}) {
  const named = kits.flatMap((k) => [...new Map(k.swatches.map((hex) => [colorName(hex), hex]))]);
  const hexes = new Map(named.toReversed());
  const count = (name: string): number => named.filter(([n]) => n === name).length;
  const names = [...hexes.keys()].sort((a, b) => count(b) - count(a) || (a < b ? -1 : 1)).slice(0, MOST_COLORS);
  return (
    <Box role="group" aria-label="Color" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5 }}>
      {names.map((name) => (
        <Chip
          key={name}
          size="small"
          label={name}
          icon={<Box sx={{ width: 14, height: 14, borderRadius: '4px', background: hexes.get(name) }} />}
          clickable
          aria-pressed={name === chosen}
          color={name === chosen ? 'primary' : 'default'}
          variant={name === chosen ? 'filled' : 'outlined'}
          onClick={() => onChoose(name === chosen ? null : name)}
        />
      ))}
    </Box>
  );
}
const MOST_COLORS = 8;

function NoKits() {
  return (
    <Typography>
      There is no kit yet.{' '}
      <Link href="/scan" style={{ color: GLASS.bottle }}>
        Scan a kit
      </Link>{' '}
      or{' '}
      <Link href="/kits" style={{ color: GLASS.bottle }}>
        add one from a list
      </Link>
      .
    </Typography>
  );
}
