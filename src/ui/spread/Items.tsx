'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { SearchField } from '../fields/SearchField';
import Link from 'next/link';
import { useState } from 'react';
import { adriftOf } from '../../core/spread/adrift';
import { isPlannedAhead } from '../../core/spread/ahead';
import type { Demand } from '../../core/week/demand';
import { writtenTime } from '../../core/week/demand';
import { longDay } from '../../core/week/day-names';
import { GLASS } from '../theme';
import { sayReason } from '../../core/review/say-missing';
import { useReview, useVoice } from './review-context';
import { carriedBy } from './carry/use-carry';
import { useSpread } from './store';
import { laidLooks } from '../../core/spread/looks-name';

/** The week's items, those without a place first; one that has a place leads to it. */
export function Items() {
  const week = useSpread((s) => s.context.week);
  const selected = useSpread((s) => s.selected);
  const item = useSpread((s) => s.item);
  const select = useSpread((s) => s.select);
  const letIn = useSpread((s) => s.letIn);
  const arrangeDay = useSpread((s) => s.arrangeDay);
  const busy = useSpread((s) => s.busy);
  const { view } = useReview();
  const [search, setSearch] = useState('');
  const shown = week.demands.filter((d) =>
    [d.title, d.list, ...d.categories].join(' ').toLowerCase().includes(search.trim().toLowerCase()),
  );
  const places = new Set(view.openPlaces.flatMap((p) => p.demands.map((d) => d.key)));
  const without = shown.filter((d) => !view.carriers.has(d.key));
  const open = without.filter((d) => isPlannedAhead(d, view.context));
  const later = without.filter((d) => !isPlannedAhead(d, view.context));
  const adrift = adriftOf(view.placements, week).flatMap(({ id }) => {
    const p = view.placements.find((q) => q.id === id);
    return p ? [{ id, p }] : [];
  });
  const voice = useVoice();
  const missing = new Map(view.unplaced.map((u) => [u.demand.key, u]));
  const reasonOf = (key: string): string => {
    const m = missing.get(key);
    return m ? sayReason(m, voice) : '';
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', minHeight: 0, flex: 1 }}>
      <SearchField label="Find an item" value={search} onChange={setSearch} sx={{ m: 1.25, mb: 0.5 }} />
      <Box
        component={Link}
        href={`/agenda?week=${week.week}`}
        sx={{ mx: 1.5, mt: 0.5, fontSize: 12.5, fontWeight: 600, color: GLASS.bottle }}
      >
        Add or change items in the agenda
      </Box>
      {week.more !== undefined && (
        <Alert severity="warning" sx={{ mx: 1.25, mt: 0.75 }}>
          {week.more} more items are in your calendars for this week than its days can hold. They are left out here.
        </Alert>
      )}
      <Box sx={{ overflowY: 'auto', flex: 1, px: 1.25, pb: 2 }}>
        {open.length > 0 && (
          <Box component="section" aria-label="Without a place" data-testid="without-place">
            <Typography variant="h3" sx={{ color: GLASS.cranberry, mt: 1 }}>
              Without a place · {open.length}
            </Typography>
            {open.map((d) => (
              <Box key={d.key} sx={{ py: 0.75, borderBottom: `1px solid ${GLASS.edge}` }}>
                <Pick d={d} day={longDay(week.days[d.day] as string).slice(0, 3)} chosen={d.key === item} />
                {view.placements.length > 0 && (
                  <Typography variant="caption" color="text.secondary" component="p" sx={{ mt: 0.25 }}>
                    {reasonOf(d.key)}
                  </Typography>
                )}
                {view.placements.length > 0 && d.kind !== 'band' && (
                  <Button
                    size="small"
                    disabled={!!busy}
                    onClick={() => letIn(d.key)}
                    aria-label={`Let it in: ${d.title.slice(0, 60)}`}
                  >
                    Let it in
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        )}
        {adrift.length > 0 && (
          <Box component="section" aria-label="No longer in the agenda" data-testid="no-longer">
            <Typography variant="h3" sx={{ color: GLASS.cranberry, mt: 1 }}>
              No longer in the agenda · {adrift.length}
            </Typography>
            {adrift.map(({ id, p }) => (
              <ButtonBase
                key={id}
                onClick={() => select(id)}
                sx={{ width: '100%', justifyContent: 'flex-start', textAlign: 'left', px: 0.75, py: 0.4 }}
              >
                <Typography variant="body2">
                  {p.text?.split('\n')[0] || laidLooks(voice, p)}: take it off, or keep it
                </Typography>
              </ButtonBase>
            ))}
          </Box>
        )}
        {later.length > 0 && (
          <Box component="section" aria-label="Written in later" data-testid="written-later">
            <Typography variant="h3" sx={{ mt: 1 }}>
              Written in later · {later.length}
            </Typography>
            <Typography variant="caption" color="text.secondary" component="p">
              {places.size
                ? `A place is kept open for ${places.size === later.length ? 'each' : `${places.size} of them`}.`
                : 'No places are marked for them.'}
            </Typography>
            {later.map((d) => (
              <Box key={d.key} sx={{ display: 'flex', alignItems: 'center', borderBottom: `1px solid ${GLASS.edge}` }}>
                <Line d={d} day={longDay(week.days[d.day] as string).slice(0, 3)} />
                {d.kind !== 'band' && (
                  <Button
                    size="small"
                    disabled={!!busy}
                    onClick={() => letIn(d.key)}
                    aria-label={`Let it in: ${d.title.slice(0, 60)}`}
                    sx={{ flexShrink: 0, minWidth: 0 }}
                  >
                    Let it in
                  </Button>
                )}
              </Box>
            ))}
          </Box>
        )}
        {shown.length === 0 && (
          <Typography color="text.secondary" sx={{ mt: 1 }}>
            {week.demands.length
              ? 'No item has these words.'
              : 'Nothing is in the calendar for this week. It can be laid out all the same: base, sidebar and boxes.'}
          </Typography>
        )}
        {week.days.map((iso, day) => {
          const here = shown.filter((d) => d.day === day && view.carriers.has(d.key));
          if (!here.length && !shown.some((d) => d.day === day)) return null;
          return (
            <Box component="section" key={iso} aria-label={longDay(iso)}>
              <Box sx={{ display: 'flex', alignItems: 'baseline', mt: 1.5, mb: 0.25 }}>
                <Typography variant="h3" sx={{ flex: 1 }}>
                  {longDay(iso)} {Number(iso.slice(8))}
                </Typography>
                <Button
                  size="small"
                  disabled={!!busy}
                  onClick={() => arrangeDay(day)}
                  aria-label={`Arrange ${longDay(iso)} alone`}
                  sx={{ minWidth: 0, py: 0, px: 0.75, fontSize: 12 }}
                >
                  Arrange
                </Button>
              </Box>
              {here.map((d) => {
                const at = view.carriers.get(d.key);
                return <Pick key={d.key} d={d} chosen={at !== undefined && at.id === selected} placed />;
              })}
            </Box>
          );
        })}
      </Box>
    </Box>
  );
}

/** An item as a thing to pick up: a click leads to its sticker, or to places for it; a drag carries it to a day. */
function Pick({ d, day, chosen, placed = false }: { d: Demand; day?: string; chosen: boolean; placed?: boolean }) {
  const pickItem = useSpread((s) => s.pickItem);
  return (
    <ButtonBase
      onClick={() => pickItem(d.key)}
      {...(placed ? {} : carriedBy({ is: 'item', key: d.key, title: d.title }))}
      aria-pressed={chosen}
      sx={{
        width: '100%',
        justifyContent: 'flex-start',
        textAlign: 'left',
        py: 0.4,
        px: 0.75,
        borderRadius: 1,
        cursor: placed ? 'pointer' : 'grab',
        userSelect: 'none',
        background: chosen ? GLASS.bottleSoft : 'transparent',
        '&:hover': { background: GLASS.bottleSoft },
      }}
    >
      <Line d={d} {...(day ? { day } : {})} />
    </ButtonBase>
  );
}

function Line({ d, day }: { d: Demand; day?: string }) {
  return (
    <Box sx={{ display: 'flex', gap: 0.75, alignItems: 'baseline', minWidth: 0, width: '100%' }}>
      <Typography variant="caption" color="text.secondary" sx={{ width: 40, flexShrink: 0 }}>
        {d.start === null ? (day ?? (d.list ? 'list' : d.kind === 'band' ? 'days' : '·')) : writtenTime(d)}
      </Typography>
      <Typography
        variant="body2"
        sx={{
          overflow: 'hidden',
          textOverflow: 'ellipsis',
          display: '-webkit-box',
          WebkitLineClamp: 2,
          WebkitBoxOrient: 'vertical',
        }}
        title={d.title}
      >
        {d.title}
        {d.tentative ? ' ?' : ''}
      </Typography>
    </Box>
  );
}
