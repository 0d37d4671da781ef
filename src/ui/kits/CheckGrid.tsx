'use client';

import Box from '@mui/material/Box';
import type { GridColDef } from '@mui/x-data-grid';
import { DataGrid } from '@mui/x-data-grid';
import { FINISHES, KIND_NAMES, WRITABLE } from '../../core/kit/kinds';
import type { Piece } from '../../core/kit/kit';

type Row = Piece & { readonly id: number };

const COLUMNS: GridColDef<Row>[] = [
  { field: 'code', headerName: 'Code', width: 90, editable: true },
  {
    field: 'kind',
    headerName: 'Kind',
    width: 130,
    editable: true,
    type: 'singleSelect',
    valueOptions: [...KIND_NAMES],
  },
  { field: 'count', headerName: 'Copies', width: 80, editable: true, type: 'number' },
  { field: 'width', headerName: 'Width, mm', width: 95, editable: true, type: 'number' },
  { field: 'height', headerName: 'Height, mm', width: 95, editable: true, type: 'number' },
  { field: 'sheet', headerName: 'Sheet', width: 70, editable: true, type: 'number' },
  {
    field: 'color',
    headerName: 'Color',
    width: 110,
    editable: true,
    renderCell: ({ value }) => (
      <>
        <Box
          component="span"
          sx={{
            display: 'inline-block',
            width: 12,
            height: 12,
            borderRadius: '50%',
            background: String(value),
            mr: 0.75,
            border: '1px solid #0002',
          }}
        />
        {String(value)}
      </>
    ),
  },
  { field: 'words', headerName: 'Says', width: 110, editable: true },
  { field: 'icon', headerName: 'Means', width: 90, editable: true },
  { field: 'motif', headerName: 'Motif', width: 90, editable: true },
  { field: 'rows', headerName: 'Rows', width: 70, editable: true, type: 'number' },
  {
    field: 'writable',
    headerName: 'Writable',
    width: 90,
    editable: true,
    type: 'singleSelect',
    valueOptions: [...WRITABLE],
  },
  {
    field: 'finish',
    headerName: 'Finish',
    width: 130,
    editable: true,
    type: 'singleSelect',
    valueOptions: [...FINISHES],
  },
  { field: 'foil', headerName: 'Foil', width: 80, editable: true },
];

/** A kit's pieces to be checked and corrected before anything is stored. */
export default function CheckGrid({
  pieces,
  onChange,
}: {
  pieces: readonly Piece[];
  onChange: (pieces: readonly Piece[]) => void;
}) {
  const rows = pieces.map((p, id): Row => ({ ...p, id }));
  return (
    <Box sx={{ height: 380 }}>
      <DataGrid
        rows={rows}
        columns={COLUMNS}
        density="compact"
        editMode="cell"
        disableRowSelectionOnClick
        aria-label="Check the pieces"
        initialState={{ pagination: { paginationModel: { pageSize: 100 } } }}
        processRowUpdate={(row: Row) => {
          const { id, ...piece } = row;
          onChange(pieces.map((p, i) => (i === id ? piece : p)));
          return row;
        }}
      />
    </Box>
  );
}
