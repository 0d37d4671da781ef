'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import Typography from '@mui/material/Typography';
import type { GridColDef } from '@mui/x-data-grid';
import { DataGrid } from '@mui/x-data-grid';
import { useState } from 'react';
import { sayByWeek } from '../../core/kit/planned';
import { counted } from '../../core/spread/voice';
import { recountKit } from '../../server/kit-corrections';
import type { Run } from '../use-run';
import type { Piece } from '../../core/kit/kit';
import { traits } from '../../core/kit/kinds';
import type { CopyState, PieceStock } from '../../core/kit/stock';
import { isStrip } from '../../core/kit/kinds';
import { fine, ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

interface Line extends Record<CopyState, number> {
  readonly id: string;
  readonly kind: string;
  readonly size: string;
  readonly area: number;
  readonly piece: Piece;
  /** of those that are whole, which weeks have them planned */
  readonly plannedFor: string;
  readonly left: string;
}

const COLUMNS: GridColDef<Line>[] = [
  { field: 'id', headerName: 'Code', width: 90 },
  { field: 'kind', headerName: 'Kind', width: 120 },
  {
    field: 'color',
    headerName: 'Color',
    width: 70,
    sortable: false,
    valueGetter: (_, l) => l.piece.color,
    renderCell: ({ row }) => (
      <Box
        component="span"
        title={row.piece.color}
        sx={{
          display: 'inline-block',
          width: 26,
          height: 14,
          borderRadius: 1,
          background: `linear-gradient(90deg, ${row.piece.color} 65%, ${row.piece.accent} 65%)`,
          border: '1px solid #0002',
        }}
      />
    ),
  },
  {
    field: 'words',
    headerName: 'Says or means',
    flex: 1,
    minWidth: 110,
    valueGetter: (_, l) => [l.piece.words, l.piece.icon, l.piece.motif].filter(Boolean).join(', '),
  },
  { field: 'area', headerName: 'Size', width: 150, renderCell: ({ row }) => row.size },
  { field: 'whole', headerName: 'Whole', type: 'number', width: 75, editable: true },
  {
    field: 'planned',
    headerName: 'Of them planned',
    type: 'number',
    width: 150,
    renderCell: ({ row }) => row.plannedFor,
  },
  { field: 'cut', headerName: 'Cut', type: 'number', width: 65 },
  { field: 'used', headerName: 'Used', type: 'number', width: 65 },
  { field: 'spoiled', headerName: 'Spoiled', type: 'number', width: 80 },
  { field: 'kept', headerName: 'Kept', type: 'number', width: 65 },
  { field: 'left', headerName: 'Offcuts kept', width: 140 },
];

/** Every design of a kit in numbers. */
export default function NumbersGrid({
  kit,
  stock,
  run,
  busy,
}: {
  kit: string;
  stock: readonly PieceStock[];
  run: Run;
  busy: boolean;
}) {
  const { unit } = useOwnWays();
  const [told, setTold] = useState<ReadonlyMap<string, number>>(new Map());
  const keep = async () => {
    const lines = [...told].map(([code, whole]) => ({ code, whole }));
    if (await run(() => recountKit({ kit, counted: lines }))) setTold(new Map());
  };
  const rows = stock.map(({ piece, copies }): Line => {
    const count = (state: CopyState): number => copies.filter((c) => c.state === state).length;
    const left = copies.flatMap((c) => c.left);
    return {
      id: piece.code,
      kind: traits(piece.kind).label,
      size: `${ruled(piece.width, unit)} × ${ruled(piece.height, unit)}`,
      area: piece.width * piece.height,
      piece,
      whole: told.get(piece.code) ?? count('whole') + count('planned'),
      planned: count('planned'),
      plannedFor: sayByWeek(copies.flatMap((c) => (c.state === 'planned' ? c.where : []))),
      cut: count('cut'),
      used: count('used'),
      spoiled: count('spoiled'),
      kept: count('kept'),
      left: left
        .map((l) =>
          l.rows
            ? `${l.rows} ${l.rows === 1 ? 'row' : 'rows'}`
            : isStrip(piece.kind)
              ? fine(l.w, unit)
              : `${fine(l.w, unit)} × ${fine(l.h, unit)}`,
        )
        .join(', '),
    };
  });
  return (
    <Box sx={{ flex: 1, minHeight: 320, display: 'flex', flexDirection: 'column', gap: 1 }}>
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 1, minHeight: 36 }} aria-live="polite">
        <Typography variant="body2" color="text.secondary" sx={{ flex: 1 }}>
          {told.size
            ? `${counted(told.size, 'design')} counted again. Fewer are noted as used, more as found.`
            : 'Counted what lies before you? Double-click a number under Whole.'}
        </Typography>
        {told.size > 0 && (
          <>
            <Button size="small" onClick={() => setTold(new Map())}>
              Cancel
            </Button>
            <Button size="small" variant="contained" color="secondary" disabled={busy} onClick={() => void keep()}>
              Keep the count
            </Button>
          </>
        )}
      </Box>
      <DataGrid
        processRowUpdate={(line: Line) => {
          const whole = Math.min(10_000, Math.max(0, Math.round(Number(line.whole) || 0)));
          setTold(new Map([...told, [line.id, whole]]));
          return { ...line, whole };
        }}
        rows={rows}
        columns={COLUMNS}
        density="compact"
        disableRowSelectionOnClick
        initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
        aria-label="The kit in numbers"
      />
    </Box>
  );
}
