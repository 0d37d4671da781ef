'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import type { GridColDef, GridRenderCellParams, GridRenderEditCellParams, GridRowId } from '@mui/x-data-grid';
import { DataGrid, useGridApiContext } from '@mui/x-data-grid';
import type { ClipboardEvent, FocusEvent } from 'react';
import { useState } from 'react';
import { useHotkeys } from 'react-hotkeys-hook';
import { faultsOf } from './faults-of';
import type { At, LineField } from '../../core/format/paste-lines';
import { LINE_FIELDS, blankLine, copyDown, copyLines, pasteLines } from '../../core/format/paste-lines';
import type { Cell } from '../../core/kit/fields';
import { KIND_NAMES, traits } from '../../core/kit/kinds';
import type { Piece } from '../../core/kit/kit';
import type { Past } from '../past';
import { NO_PAST, stepped, withStep } from '../past';
import { GLASS } from '../theme';
import { IconField, MeantIcon } from '../fields/IconField';
import { Messages } from '../screen/Messages';
import { parseLength } from '../../core/measure/parse-length';
import { ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

type Row = Piece & { readonly id: number };

const dot = (color: string) => (
  <Box
    component="span"
    sx={{
      display: 'inline-block',
      width: 12,
      height: 12,
      borderRadius: '50%',
      background: color,
      mr: 0.75,
      border: '1px solid #0002',
    }}
  />
);

/** A word of the kit's file as people say it. */
const SAID: ReadonlyMap<string, string> = new Map([
  ['rect', 'square corners'],
  ['rounded', 'round corners'],
  ['free', 'its own outline'],
  ['matte-removable', 'matte, removable'],
  ['matte-permanent', 'matte, permanent'],
  ['part', 'partly'],
]);
const sayChoice = (value: string): string => SAID.get(value) ?? KIND_LABELS.get(value) ?? value.replaceAll('-', ' ');
const KIND_LABELS: ReadonlyMap<string, string> = new Map(KIND_NAMES.map((k) => [k, traits(k).label.toLowerCase()]));

/** How a field is shown and changed, by what it can say. */
const AS: Readonly<Record<Cell['is'], (cell: Cell) => Partial<GridColDef<Row>>>> = {
  text: () => ({}),
  icon: () => ({
    renderCell: ({ value }: GridRenderCellParams<Row, string>) => (
      <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.75, height: '100%' }}>
        <MeantIcon meaning={value ?? ''} size={18} />
        {value}
      </Box>
    ),
    renderEditCell: (params) => <IconCell {...params} />,
  }),
  whole: () => ({ type: 'number' }),
  length: () => ({
    renderCell: ({ value }: GridRenderCellParams<Row, number>) => <Ruled mm={value ?? 0} />,
    renderEditCell: (params) => <LengthCell {...params} />,
  }),
  share: () => ({ type: 'number' }),
  choice: (cell) => ({
    type: 'singleSelect',
    valueOptions: cell.is === 'choice' ? cell.of.map((value) => ({ value, label: sayChoice(value) })) : [],
  }),
  color: () => ({
    renderCell: ({ value }: GridRenderCellParams<Row, string>) => (
      <>
        {dot(value ?? '')}
        {value}
      </>
    ),
    renderEditCell: (params) => <ColorCell {...params} />,
  }),
};

const COLUMNS: GridColDef<Row>[] = [
  {
    field: 'picture',
    headerName: '',
    width: 44,
    sortable: false,
    renderCell: ({ row }) =>
      row.picture ? (
        <Box
          component="img"
          src={`/pictures/${row.picture}`}
          alt=""
          sx={{ maxWidth: 36, maxHeight: 28, verticalAlign: 'middle' }}
        />
      ) : null,
  },
  ...LINE_FIELDS.map(
    ({ name, cell, shown }) =>
      ({
        field: name,
        headerName: shown.title,
        width: shown.width,
        editable: true,
        ...AS[cell.is](cell),
      }) as GridColDef<Row>,
  ),
];

const isField = (field: string | undefined): field is LineField => LINE_FIELDS.some((f) => f.name === field);

/** The lines of a kit, to be corrected like a spreadsheet; nothing is stored by it. */
export default function LineTable({
  kit,
  pieces,
  onChange,
  height = 380,
  begin = 0,
}: {
  kit: string;
  pieces: readonly Piece[];
  onChange: (pieces: readonly Piece[]) => void;
  height?: number | string;
  /** the line to begin with, from 0 */
  begin?: number;
}) {
  const [past, setPast] = useState<Past<readonly Piece[]>>(NO_PAST);
  const [chosen, setChosen] = useState<ReadonlySet<GridRowId>>(new Set());
  const [at, setAt] = useState<At>({ row: begin, field: 'code' });
  const [faults, setFaults] = useState<readonly string[]>([]);
  const rows = pieces.map((p, id): Row => ({ ...p, id }));
  const picked = new Set([...chosen].map(Number).filter((i) => i < pieces.length));
  const aimed = picked.size ? picked : new Set(pieces.length > at.row ? [at.row] : []);
  const change = (next: readonly Piece[]) => {
    setPast(withStep(past, pieces));
    setFaults([]);
    onChange(next);
  };
  /** a line is chosen by where it stands */
  const rearranged = (next: readonly Piece[]) => {
    change(next);
    setChosen(new Set());
  };
  const step = (way: 'undo' | 'redo') => {
    const to = stepped(past, pieces, way);
    if (!to) return;
    setPast(to.past);
    setChosen(new Set());
    onChange(to.now);
  };
  const down = () => {
    const below = picked.size ? picked : new Set([at.row + 1]);
    change(copyDown(pieces, picked.size ? { ...at, row: Math.min(...picked) } : at, below));
  };
  const paste = (e: ClipboardEvent<HTMLElement>) => {
    if ((e.target as HTMLElement).closest('input, textarea')) return;
    e.preventDefault();
    const text = e.clipboardData.getData('text/plain');
    if (text.trim()) setFaults(faultsOf(() => change(pasteLines(kit, pieces, text, at))));
  };
  const inCells = { preventDefault: true, enableOnFormTags: false } as const;
  const keys = useHotkeys<HTMLDivElement>(
    ['mod+z', 'mod+y', 'mod+shift+z', 'mod+d'],
    (e) => {
      e.stopPropagation();
      if (e.key.toLowerCase() === 'd') down();
      else step(e.key.toLowerCase() === 'y' || e.shiftKey ? 'redo' : 'undo');
    },
    inCells,
    [pieces, past, at, chosen],
  );
  return (
    <Box
      ref={keys}
      tabIndex={-1}
      onPaste={paste}
      sx={{ outline: 'none', minHeight: 0, display: 'flex', flexDirection: 'column' }}
    >
      <Box
        role="toolbar"
        aria-label="Lines"
        sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.5, pb: 1, alignItems: 'center' }}
      >
        <Button size="small" variant="outlined" onClick={() => rearranged([...pieces, blankLine(kit, pieces)])}>
          Add a line
        </Button>
        <Button size="small" disabled={!aimed.size} onClick={() => rearranged(copyLines(pieces, aimed))}>
          Copy {aimed.size > 1 ? `${aimed.size} lines` : 'the line'}
        </Button>
        <Button size="small" disabled={!pieces.length} onClick={down} title="Ctrl+D">
          Copy down
        </Button>
        <Button
          size="small"
          color="error"
          disabled={!aimed.size}
          onClick={() => rearranged(pieces.filter((_, i) => !aimed.has(i)))}
        >
          Remove {aimed.size > 1 ? `${aimed.size} lines` : 'the line'}
        </Button>
        <Box sx={{ flex: 1 }} />
        <Button size="small" disabled={!past.back.length} onClick={() => step('undo')}>
          Undo
        </Button>
        <Button size="small" disabled={!past.ahead.length} onClick={() => step('redo')}>
          Redo
        </Button>
      </Box>
      <Messages of={faults} onClose={() => setFaults([])} />
      <Box sx={{ height }}>
        <DataGrid
          rows={rows}
          columns={COLUMNS}
          columnVisibilityModel={{ picture: pieces.some((p) => p.picture) }}
          density="compact"
          editMode="cell"
          checkboxSelection
          disableRowSelectionOnClick
          rowSelectionModel={{ type: 'include', ids: new Set(chosen) }}
          onRowSelectionModelChange={({ type, ids }) =>
            setChosen(type === 'include' ? ids : new Set(rows.map((r) => r.id).filter((id) => !ids.has(id))))
          }
          aria-label="Check the pieces"
          initialState={{
            pagination: { paginationModel: { pageSize: 100, page: Math.floor(begin / 100) } },
          }}
          slotProps={{
            cell: {
              onFocus: (e: FocusEvent<HTMLElement>) => {
                const { field } = e.currentTarget.dataset;
                const row = Number(e.currentTarget.parentElement?.dataset.id);
                if (isField(field) && Number.isInteger(row)) setAt({ row, field });
              },
            },
          }}
          getRowClassName={({ id }) => (id === at.row ? 'at' : '')}
          sx={{ '& .at': { background: GLASS.bottleSoft } }}
          processRowUpdate={(row: Row) => {
            const { id, ...piece } = row;
            change(pieces.map((p, i) => (i === id ? piece : p)));
            return row;
          }}
        />
      </Box>
    </Box>
  );
}

/** An icon by its picture, or another word. */
function IconCell({ id, field, value }: GridRenderEditCellParams<Row, string>) {
  const api = useGridApiContext();
  return (
    <IconField
      quiet
      value={value ?? ''}
      onSay={(icon) => void api.current.setEditCellValue({ id, field, value: icon })}
      sx={{ width: '100%', px: 0.5 }}
    />
  );
}

/** A length in the owner's unit. */
function Ruled({ mm }: { mm: number }) {
  return ruled(mm, useOwnWays().unit);
}

/** A length as it is read off a ruler. */
function LengthCell({ id, field, value }: GridRenderEditCellParams<Row, number>) {
  const api = useGridApiContext();
  const { unit } = useOwnWays();
  const [text, setText] = useState(ruled(value ?? 0, unit));
  return (
    <input
      autoFocus
      aria-label="Length"
      value={text}
      onFocus={(e) => e.target.select()}
      onChange={(e) => {
        setText(e.target.value);
        const mm = parseLength(e.target.value, unit);
        if (mm !== null) void api.current.setEditCellValue({ id, field, value: mm });
      }}
      style={{ width: '100%', border: 'none', font: 'inherit', background: 'none', padding: '0 8px' }}
    />
  );
}

/** A color by its swatch, or as it is typed. */
function ColorCell({ id, field, value }: GridRenderEditCellParams<Row, string>) {
  const api = useGridApiContext();
  const set = (color: string) => void api.current.setEditCellValue({ id, field, value: color });
  return (
    <Box sx={{ display: 'flex', alignItems: 'center', gap: 0.5, px: 0.5 }}>
      <input
        type="color"
        aria-label="Color"
        value={/^#[0-9a-f]{6}$/.test(value ?? '') ? value : '#d9d4c7'}
        onChange={(e) => set(e.target.value)}
        style={{ width: 24, height: 24, padding: 0, border: 'none', background: 'none' }}
      />
      <input
        autoFocus
        aria-label="Color as a code"
        value={value ?? ''}
        onChange={(e) => set(e.target.value)}
        style={{ width: 66, border: 'none', font: 'inherit', background: 'none' }}
      />
    </Box>
  );
}
