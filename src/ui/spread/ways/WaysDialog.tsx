'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Alternative } from '../../../core/compare/alternatives';
import { OFFERED } from '../../../core/compare/offered';
import { RULES } from '../../../core/review/registry';
import { contextFrom } from '../../../core/spread/context';
import type { Context, Placement } from '../../../core/spread/placement';
import { FormDialog } from '../../screen/FormDialog';
import { useSpread } from '../store';
import { mannerParts } from '../store/manner-parts';
import { WeekPicture } from '../WeekPicture';
import { WayCard } from './WayCard';
import { useWays } from './use-ways';

const FIRST: readonly number[] = [0, 0, 0, 0, 0, 0, 0];

/** Other ways to lay the week out, each large when pointed at: one is taken, or each day from where it is best. */
export function WaysDialog({ onClose, onNone }: { onClose: () => void; onNone: () => void }) {
  const choose = useSpread((s) => s.choose);
  const ways = useWays(onNone);
  const { list, looking, tried, trouble } = ways;
  const [from, setFrom] = useState(FIRST);
  const [pointed, setPointed] = useState<number | null>(null);
  const contextOf = useContextOf();
  const mix = useMix(list, from);
  const isMixed = new Set(from).size > 1;
  const main = from[0] ?? 0;
  const at = pointed ?? (isMixed ? null : main);
  const one = at === null ? null : list?.[at];
  const renew = (ask: () => void) => () => {
    setFrom(FIRST);
    setPointed(null);
    ask();
  };
  return (
    <FormDialog
      plain
      title="Other ways to lay this week out"
      size="lg"
      onClose={onClose}
      messages={trouble ? [trouble] : []}
      others={
        <>
          {ways.back && <Button onClick={renew(ways.back)}>Back to those before</Button>}
          <Button variant="outlined" disabled={looking || !list} onClick={renew(ways.others)}>
            Another six
          </Button>
        </>
      }
      act={{
        label: isMixed ? 'Lay it out so, day by day' : `Lay out way ${main + 1}`,
        disabled: looking || !list?.length,
        run: () => {
          if (list) choose(list, from);
          onClose();
        },
      }}
    >
      {looking && <Looking {...tried} />}
      {!looking && ways.none && <Alert severity="info">No others like that were found.</Alert>}
      {!looking && list && !ways.none && list.length < OFFERED && (
        <Alert severity="info">
          {list.length === 1
            ? 'With this kit, school and week every other way comes out like this one.'
            : 'More ways than these would come out like one of them.'}
        </Alert>
      )}
      {!looking && list && (
        <Box sx={{ display: 'grid', gridTemplateColumns: { xs: '1fr', lg: '1fr 596px' }, gap: 2, alignItems: 'start' }}>
          <Box sx={{ position: { lg: 'sticky' }, top: 0, minWidth: 0 }}>
            {one ? (
              <Large way={one} n={at ?? 0} context={contextOf(one)} />
            ) : (
              <Mixed list={list} from={from} mix={mix} />
            )}
          </Box>
          <Box sx={{ display: 'grid', gap: 1, gridTemplateColumns: 'repeat(auto-fill, minmax(190px, 1fr))' }}>
            {list.map((way, n) => (
              <WayCard
                key={n}
                n={n}
                way={way}
                context={contextOf(way)}
                from={from}
                onFrom={setFrom}
                onPoint={(is) => setPointed(is ? n : null)}
                onLike={renew(() => ways.like(way))}
                onUnlike={renew(() => ways.unlike(way))}
              />
            ))}
          </Box>
        </Box>
      )}
      {!looking && list && (
        <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
          What is locked stays in all of them. Base and sidebar come from the way that Monday, or your first day, is
          taken from. Undo brings back what lies there now.
        </Typography>
      )}
    </FormDialog>
  );
}

function Looking({ done, of }: { done: number; of: number }) {
  return (
    <Box sx={{ py: 6 }}>
      <Typography color="text.secondary" sx={{ mb: 2 }}>
        {of > 1
          ? `${done} of ${of} ways tried: other heights, headers, lists and amounts of white…`
          : 'Trying other heights, headers, lists and amounts of white…'}
      </Typography>
      <LinearProgress
        color="secondary"
        aria-label="Trying other ways"
        variant={of > 1 ? 'determinate' : 'indeterminate'}
        value={(100 * done) / Math.max(1, of)}
      />
    </Box>
  );
}

/** A way large enough to read, with why it is as it is. */
function Large({ way, n, context }: { way: Alternative; n: number; context: Context }) {
  return (
    <>
      <WeekPicture context={context} placements={way.placements} label={`Way ${n + 1}: ${way.says}`} />
      <Typography sx={{ mt: 1 }}>
        {n + 1}. {way.says}
      </Typography>
      <Typography variant="body2" color="text.secondary">
        score {Math.round(way.score.total)}
        {lost(way)}
        {way.unplaced ? `; ${way.unplaced} without a place` : ''}
      </Typography>
      <Typography variant="body2" color="text.secondary" data-testid="minds">
        {way.minds.length ? `The eye minds ${way.minds.join('; ')}.` : 'The eye minds nothing.'}
      </Typography>
    </>
  );
}

/** The days of several ways, put together. */
function Mixed({ list, from, mix }: { list: readonly Alternative[]; from: readonly number[]; mix: Mix | null }) {
  const contextOf = useContextOf();
  const main = list[from[0] ?? 0];
  if (!mix || !main) return <LinearProgress aria-label="Putting the days together" />;
  return (
    <>
      <WeekPicture context={contextOf(main)} placements={mix} label="The days put together" />
      <Typography sx={{ mt: 1 }}>Days of {new Set(from).size} ways, put together.</Typography>
    </>
  );
}

type Mix = readonly Placement[];

/** The days as they are chosen, put together; null while that is worked out, and where all are of one way. */
function useMix(list: readonly Alternative[] | null, from: readonly number[]): Mix | null {
  const mixed = useSpread((s) => s.mixed);
  const [made, setMade] = useState<{ of: unknown; mix: Mix } | null>(null);
  useEffect(() => {
    if (!list || new Set(from).size < 2) return;
    let current = true;
    mixed(list, from)
      .then((mix) => current && setMade({ of: from, mix }))
      .catch(() => null); // laying it out says what is wrong
    return () => {
      current = false;
    };
  }, [mixed, list, from]);
  return made?.of === from ? made.mix : null;
}

/** The week in a way's settings: each is worked out once. */
function useContextOf(): (way: Alternative) => Context {
  const data = useSpread((s) => s.data);
  const [known] = useState(() => new WeakMap<Alternative, Context>());
  return (way) => {
    const there = known.get(way);
    if (there) return there;
    const { own, context } = data;
    const set = { options: { ...own.options, ...way.options }, ways: { ...own.ways, ...way.ways } };
    const made = contextFrom({ ...context, ...mannerParts(data, { school: context.manner, ...set }) });
    known.set(way, made);
    return made;
  };
}

/** What cost the most points. */
function lost(a: Alternative): string {
  const worst = Object.entries(a.score.parts)
    .filter(([, n]) => n < 0)
    .sort((x, y) => x[1] - y[1])
    .slice(0, 3);
  const title = (rule: string): string => RULES.find((r) => r.code === rule)?.title.toLowerCase() ?? rule;
  return worst.length ? `: ${worst.map(([rule, n]) => `${title(rule)} ${n}`).join('; ')}` : '';
}
