'use client';

import Box from '@mui/material/Box';
import Tab from '@mui/material/Tab';
import Tabs from '@mui/material/Tabs';
import { useEffect } from 'react';
import { withoutPlace } from '../../core/review/review';
import { later, whenTouched } from '../later';
import { GLASS } from '../theme';
import { InHand } from './InHand';
import { Items } from './Items';
import { useReview } from './review-context';
import type { DrawerName } from './store';
import { useSpread } from './store';

const Findings = later(() => import('./Findings').then((m) => m.Findings));
const Sheets = later(() => import('./Sheets').then((m) => m.Sheets));

/**
 * Beside the book: the sheets, the week's items or the findings, and under them what is in hand.
 * @param wide the sheets have a column of their own
 */
export function Drawer({ wide }: { wide: boolean }) {
  const drawer = useSpread((s) => s.drawer);
  const open = useSpread((s) => s.open);
  const items = useSpread((s) => s.context.week.demands.length);
  useEffect(() => whenTouched([Findings, Sheets]), []);
  const { view, findings } = useReview();
  const without = withoutPlace(view);
  const shown = wide && drawer === 'sheets' ? 'items' : drawer;
  const tab = { minHeight: 42, minWidth: 0, px: 0.5, flex: '1 1 auto', fontSize: 12.5, whiteSpace: 'nowrap' } as const;
  return (
    <Box
      component="aside"
      aria-label="The drawer"
      sx={{
        width: { xs: '100%', md: 258 },
        minHeight: { xs: 420, md: 0 },
        flexShrink: 0,
        borderLeft: { md: `1px solid ${GLASS.edge}` },
        borderTop: { xs: `1px solid ${GLASS.edge}`, md: 'none' },
        display: 'flex',
        flexDirection: { xs: 'column-reverse', md: 'column' },
        justifyContent: { xs: 'flex-end', md: 'flex-start' },
        background: GLASS.milk,
      }}
    >
      <Box sx={{ display: 'flex', flexDirection: 'column', flex: '1 1 46%', minHeight: { xs: 300, md: '44%' } }}>
        <Tabs
          value={shown}
          onChange={(_, v: DrawerName) => open(v)}
          sx={{ minHeight: 42, borderBottom: `1px solid ${GLASS.edge}`, flexShrink: 0 }}
        >
          {!wide && <Tab value="sheets" label="Sheets" sx={tab} />}
          <Tab
            value="items"
            label={`Items · ${items}${without && view.placements.length ? `, ${without} open` : ''}`}
            sx={tab}
          />
          <Tab value="findings" label={`Findings · ${findings.length}`} sx={tab} />
        </Tabs>
        {shown === 'sheets' ? <Sheets /> : shown === 'items' ? <Items /> : <Findings />}
      </Box>
      <InHand />
    </Box>
  );
}
