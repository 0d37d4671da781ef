'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import IconButton from '@mui/material/IconButton';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { IconTrash } from '../icons';
import { useState } from 'react';
import { imageOf } from '../../core/format/image-of';
import type { OrderLine } from '../../core/kit/order';
import { ORDER_STATES, byUrgency, orderBy } from '../../core/kit/order';
import type { OrderRow } from '../../db/plans';
import { removeOrder, saveOrder, takeOrders } from '../../server/kit-actions';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { OrderDto } from '../../server/dto/kits.dto';
import { wholeOf } from '../agenda/clock';
import { DayField } from '../fields/DayField';
import { useCheckedForm } from '../fields/use-checked-form';
import { Choice } from '../fields/Choice';

/** What to order, by when: the day it is needed less the days its shop takes. */
export function Orders({
  orders,
  today,
  run,
  busy,
}: {
  orders: readonly OrderRow[];
  today: string;
  run: Run;
  busy: boolean;
}) {
  const {
    value: fresh,
    set,
    sound,
    submit,
  } = useCheckedForm<OrderLine>(OrderDto, {
    what: '',
    count: 1,
    shop: '',
    days: 7,
    neededBy: today,
    state: 'to order',
  });
  const [said, setSaid] = useState('');
  const add = async (order: OrderLine) => {
    if (await run(() => saveOrder({ id: null, order }))) set({ what: '' });
  };
  const read = async (file: File | undefined) => {
    if (!file) return;
    const csv = await file.text();
    if (await run(() => takeOrders({ file: file.name, csv }))) setSaid(`${file.name} was read.`);
  };
  const save = ({ id, ...order }: OrderRow, change: Partial<OrderLine>) => {
    const sent = { id, order: { ...order, ...change } };
    return run(
      () => saveOrder({ ...sent, seen: imageOf({ id, ...order }) }),
      () => saveOrder(sent),
    );
  };
  return (
    <Box sx={{ display: 'flex', flexDirection: 'column', gap: 1.5, pt: 1, pb: 2 }}>
      {said && (
        <Alert severity="success" onClose={() => setSaid('')}>
          {said}
        </Alert>
      )}
      <Box
        component="form"
        onSubmit={(e) => {
          e.preventDefault();
          submit((order) => void add(order))();
        }}
        sx={{ display: 'flex', gap: 1, flexWrap: 'wrap' }}
      >
        <TextField
          size="small"
          label="What"
          value={fresh.what}
          onChange={(e) => set({ what: e.target.value })}
          sx={{ width: 190 }}
          slotProps={{ htmlInput: { maxLength: 300 } }}
        />
        <TextField
          size="small"
          label="How many"
          type="number"
          value={fresh.count}
          onChange={(e) => set({ count: wholeOf(e.target.value, 1, 10_000) })}
          sx={{ width: 88 }}
        />
        <TextField
          size="small"
          label="Shop"
          value={fresh.shop}
          onChange={(e) => set({ shop: e.target.value })}
          sx={{ width: 116 }}
          slotProps={{ htmlInput: { maxLength: 200 } }}
        />
        <TextField
          size="small"
          label="Days it takes"
          type="number"
          value={fresh.days}
          onChange={(e) => set({ days: wholeOf(e.target.value, 0, 365) })}
          sx={{ width: 112 }}
        />
        <DayField
          size="small"
          label="Needed by"
          value={fresh.neededBy || null}
          onChange={(day) => set({ neededBy: day ?? '' })}
          sx={{ width: 170 }}
        />
        <Button type="submit" variant="contained" color="secondary" disabled={busy || !fresh.what.trim() || !sound}>
          Add
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button component="a" href="/orders">
          Export (.csv)
        </Button>
        <Button component="label">
          Read in
          <input
            hidden
            type="file"
            accept=".csv"
            data-testid="orders-file"
            onChange={(e) => void read(e.target.files?.[0])}
          />
        </Button>
      </Box>
      {orders.length === 0 && (
        <Typography color="text.secondary">
          Nothing to order. What a week lacks can be put here from “Weeks ahead”.
        </Typography>
      )}
      {[...orders].sort(byUrgency).map((o) => {
        const by = orderBy(o);
        const late = o.state === 'to order' && by < today;
        return (
          <Box
            key={o.id}
            role="group"
            aria-label={o.what}
            sx={{ display: 'flex', gap: 2, alignItems: 'center', borderBottom: `1px solid ${GLASS.edge}`, py: 0.75 }}
          >
            <Typography sx={{ flex: 1, minWidth: 0, overflowWrap: 'anywhere' }}>
              {o.count} × {o.what}
              {o.shop ? `, ${o.shop}` : ''}
            </Typography>
            <Typography variant="body2" sx={{ width: 330, color: late ? GLASS.cranberry : GLASS.quiet }}>
              {o.state === 'here'
                ? 'here'
                : late
                  ? `too late for ${o.neededBy}: it should have been ordered by ${by}`
                  : `order by ${by}, needed ${o.neededBy}`}
            </Typography>
            <Choice
              quiet
              label={`State of ${o.what}`}
              value={o.state}
              options={ORDER_STATES}
              onChange={(chosen) => save(o, { state: chosen })}
              disabled={busy}
              sx={{ width: 120 }}
            />
            <IconButton
              aria-label={`Remove ${o.what} from the list`}
              disabled={busy}
              onClick={() => run(() => removeOrder({ id: o.id }))}
            >
              <IconTrash size={16} />
            </IconButton>
          </Box>
        );
      })}
    </Box>
  );
}
