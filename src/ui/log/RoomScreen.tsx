'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Paper from '@mui/material/Paper';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import Link from 'next/link';
import { useMemo, useState } from 'react';
import type { LogTable } from '../../core/keep/log-table';
import type { RoomPage } from '../../server/log/load-room';
import { Chart } from '../Chart';
import { useOwnWays } from '../own-ways';
import { GLASS } from '../theme';
import { chartOf } from './charts';
import { currencyOf, saidCell } from './said-cell';

/** Rows shown at first. */
const SOME = 12;

/** One room of the log: its tables, each with its chart where one would rather look, and its file. */
export function RoomScreen({ room }: { room: RoomPage }) {
  const address = (year: string) =>
    `/log/${room.name}?${new URLSearchParams({ year, ...(room.words ? { q: room.words } : {}) }).toString()}`;
  return (
    <>
      <Box sx={{ display: 'flex', flexWrap: 'wrap', alignItems: 'center', gap: 1, mb: 2 }}>
        <Typography variant="h1" component="h2" sx={{ mr: 2 }}>
          {room.title}
        </Typography>
        {room.searched && (
          <Box component="form" action={`/log/${room.name}`} role="search" sx={{ display: 'flex', gap: 1 }}>
            <input type="hidden" name="year" value={room.year ?? 'all'} />
            <TextField
              name="q"
              size="small"
              label="When was it last done?"
              placeholder="filter"
              defaultValue={room.words}
              slotProps={{ inputLabel: { shrink: true } }}
            />
            <Button type="submit" variant="outlined">
              Search
            </Button>
          </Box>
        )}
        {room.of !== 'all years' && (
          <Box component="nav" aria-label="Years" sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, ml: 'auto' }}>
            {[...room.years, ...(room.of === 'any years' ? ['all'] : [])].map((year) => {
              const here = year === (room.year ?? 'all');
              return (
                <Button
                  key={year}
                  size="small"
                  component={Link}
                  href={address(year)}
                  variant={here ? 'contained' : 'text'}
                  aria-current={here ? 'page' : undefined}
                  sx={{ minWidth: 52 }}
                >
                  {year === 'all' ? 'All years' : year}
                </Button>
              );
            })}
          </Box>
        )}
      </Box>
      <Box
        sx={{
          display: 'grid',
          gap: 2,
          gridTemplateColumns: { xs: 'minmax(0, 1fr)', lg: 'repeat(2, minmax(0, 1fr))' },
          alignItems: 'start',
        }}
      >
        {room.tables.map((table) => (
          <TableCard key={table.name} table={table} room={room} />
        ))}
      </Box>
    </>
  );
}

function TableCard({ table, room }: { table: LogTable; room: RoomPage }) {
  const { currency } = useOwnWays();
  const options = useMemo(() => chartOf(table, currency), [table, currency]);
  const file = `/log/${room.name}/csv?${new URLSearchParams({
    table: table.name,
    year: room.year ?? 'all',
    ...(room.words ? { q: room.words } : {}),
  }).toString()}`;
  return (
    <Paper component="section" aria-label={table.title} sx={{ p: 2, minWidth: 0 }}>
      <Box sx={{ display: 'flex', alignItems: 'baseline', gap: 1, mb: 1 }}>
        <Typography variant="h2" component="h3" sx={{ flex: 1 }}>
          {table.title}
        </Typography>
        {table.rows.length > 0 && (
          <Button size="small" href={file} aria-label={`${table.title} as CSV`}>
            CSV
          </Button>
        )}
      </Box>
      {table.rows.length === 0 && <Typography color="text.secondary">{table.nothing}</Typography>}
      {options && <Chart options={options} label={`${table.title}: the table below says the same`} />}
      {table.rows.length > 0 && <Rows table={table} />}
    </Paper>
  );
}

type Sorting = { readonly column: number; readonly down: boolean } | null;

function Rows({ table }: { table: LogTable }) {
  const [sorting, setSorting] = useState<Sorting>(null);
  const [all, setAll] = useState(false);
  const rows = useMemo(() => sorted(table, sorting), [table, sorting]);
  const shown = all ? rows : rows.slice(0, SOME);
  const { currency } = useOwnWays();
  const swatches = new Map(table.swatches);
  return (
    <Box sx={{ overflowX: 'auto', mt: 1 }} tabIndex={0} role="group" aria-label={`${table.title}, table`}>
      <Box
        component="table"
        sx={{
          borderCollapse: 'collapse',
          width: '100%',
          fontSize: 13.5,
          '& th, & td': { px: 1, py: 0.5, textAlign: 'left', borderBottom: `1px solid ${GLASS.edge}` },
          '& td:first-of-type': { whiteSpace: 'nowrap' },
          '& td.number, & th.number': { textAlign: 'right', fontVariantNumeric: 'tabular-nums' },
        }}
      >
        <thead>
          <tr>
            {table.columns.map((name, i) => (
              <th
                key={name}
                scope="col"
                className={isNumber(table, i) ? 'number' : ''}
                aria-sort={sorting?.column === i ? (sorting.down ? 'descending' : 'ascending') : 'none'}
              >
                <Box
                  component="button"
                  type="button"
                  onClick={() =>
                    setSorting({ column: i, down: sorting?.column === i ? !sorting.down : isNumber(table, i) })
                  }
                  sx={{
                    border: 0,
                    p: 0,
                    background: 'none',
                    cursor: 'pointer',
                    fontWeight: 600,
                    color: GLASS.bottle,
                    whiteSpace: 'nowrap',
                  }}
                >
                  {swatches.has(name) && (
                    <Box
                      component="span"
                      aria-hidden
                      sx={{
                        display: 'inline-block',
                        width: 11,
                        height: 11,
                        mr: 0.5,
                        borderRadius: '3px',
                        background: swatches.get(name),
                        border: '1px solid #0002',
                      }}
                    />
                  )}
                  {name}
                  {sorting?.column === i ? (sorting.down ? ' ↓' : ' ↑') : ''}
                </Box>
              </th>
            ))}
          </tr>
        </thead>
        <tbody>
          {shown.map((row, r) => (
            <tr key={r}>
              {row.map((cell, i) => (
                <td key={i} className={isNumber(table, i) ? 'number' : ''}>
                  {saidCell(cell, currencyOf(table, table.columns[i] ?? '', currency))}
                </td>
              ))}
            </tr>
          ))}
        </tbody>
      </Box>
      {rows.length > SOME && (
        <Button size="small" onClick={() => setAll(!all)} sx={{ mt: 0.5 }}>
          {all ? 'Fewer' : `All ${rows.length}`}
        </Button>
      )}
    </Box>
  );
}

const isNumber = (table: LogTable, column: number): boolean =>
  table.rows.some((row) => typeof row[column] === 'number');

/** Weeks stand with the latest first until something else is chosen. */
function sorted(table: LogTable, sorting: Sorting): LogTable['rows'] {
  if (!sorting)
    return table.columns[0] === 'week' && table.name !== 'dinners-by-week' ? [...table.rows].reverse() : table.rows;
  const { column, down } = sorting;
  return [...table.rows].sort((a, b) => {
    const [x, y] = [a[column] ?? '', b[column] ?? ''];
    const by = typeof x === 'number' && typeof y === 'number' ? x - y : String(x).localeCompare(String(y), 'en-US');
    return down ? -by : by;
  });
}
