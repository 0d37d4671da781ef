'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { memo, useMemo, useState } from 'react';
import type { Kit, Piece } from '../../core/kit/kit';
import { isRoll, palette, pieceKey } from '../../core/kit/kit';
import { saidWhere } from '../../core/kit/planned';
import { traits } from '../../core/kit/kinds';
import { sheetsOf } from '../../core/kit/sheet-layout';
import type { Sheet } from '../../core/kit/sheet-layout';
import type { CopyStock, PieceStock } from '../../core/kit/stock';
import { Swatches } from '../Swatches';
import type { CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import type { Run } from '../use-run';
import { PieceCard } from './PieceCard';
import { ruled } from '../../core/measure/fraction';
import { useOwnWays } from '../own-ways';

/** Pixels to the mm on the table: all sheets at one scale, a little over half their size on paper. */
const SCALE = 2.2;

/** The kit's sheets as they lie on the table, true to scale, with gaps where pieces are used, cut or spoiled. */
export function Table({
  kit,
  stock,
  favorites,
  first = null,
  unit,
  run,
  busy,
  messages,
}: {
  kit: Kit;
  stock: readonly PieceStock[];
  favorites: readonly string[];
  /** code of the sticker that is looked at first */
  first?: string | null;
  unit: 'mm' | 'in';
  run: Run;
  busy: boolean;
  messages: readonly string[];
}) {
  const [chosen, setChosen] = useState<string | null>(first);
  const sheets = useMemo(() => sheetsOf(kit), [kit]);
  const byCode = useMemo(() => new Map(stock.map((s) => [s.piece.code, s])), [stock]);
  const card = chosen ? byCode.get(chosen) : undefined;
  return (
    <Box sx={{ display: 'flex', gap: 2.5, flex: 1, minHeight: 0, flexWrap: { xs: 'wrap', md: 'nowrap' } }}>
      <Box sx={{ flex: 1, minWidth: 0, overflow: 'auto' }}>
        <Box sx={{ display: 'flex', alignItems: 'center', gap: 1.5, mb: 1.5 }}>
          <Swatches colors={palette(kit, 10)} />
          <Typography variant="caption" color="text.secondary">
            its colors, the most seen first
          </Typography>
        </Box>
        <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 2, alignItems: 'flex-start', pb: 2 }}>
          {sheets.map((sheet) => (
            <SheetOnTable key={sheet.number} sheet={sheet} byCode={byCode} chosen={chosen} onChoose={setChosen} />
          ))}
          {kit.pieces.filter(isRoll).map((p) => (
            <RollOnTable key={p.code} piece={p} chosen={chosen === p.code} onChoose={setChosen} />
          ))}
        </Box>
        {kit.pieces.length === 0 && <Typography color="text.secondary">No sticker is in it.</Typography>}
      </Box>
      <Box
        component="aside"
        aria-label="The chosen sticker"
        sx={{
          width: { xs: '100%', md: 290 },
          flexShrink: 0,
          borderLeft: { md: `1px solid ${GLASS.edge}` },
          pl: { md: 2.5 },
          overflowY: 'auto',
        }}
      >
        {card ? (
          <PieceCard
            key={card.piece.code}
            line={card}
            liked={favorites.includes(pieceKey(card.piece))}
            unit={unit}
            run={run}
            busy={busy}
            messages={messages}
          />
        ) : (
          <Counts stock={stock} />
        )}
      </Box>
    </Box>
  );
}

/** Counts by kind, and what to do next. */
function Counts({ stock }: { stock: readonly PieceStock[] }) {
  const kinds = [...new Set(stock.map((s) => s.piece.kind))];
  return (
    <>
      <Typography variant="h3" component="h2">
        What is there
      </Typography>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Choose a sticker to see its copies, or to note that one was spoiled, used elsewhere or found.
      </Typography>
      {kinds.map((kind) => {
        const copies = stock.filter((s) => s.piece.kind === kind).flatMap((s) => s.copies);
        const whole = copies.filter((c) => c.state === 'whole').length;
        return (
          <Box key={kind} sx={{ display: 'flex', py: 0.25 }}>
            <Typography variant="body2" sx={{ flex: 1 }}>
              {traits(kind).plural}
            </Typography>
            <Typography variant="body2" color="text.secondary">
              {whole === copies.length ? whole : `${whole} of ${copies.length}`}
            </Typography>
          </Box>
        );
      })}
    </>
  );
}

const SheetOnTable = memo(function SheetOnTable({
  sheet,
  byCode,
  chosen,
  onChoose,
}: {
  sheet: Sheet;
  byCode: ReadonlyMap<string, PieceStock>;
  chosen: string | null;
  onChoose: (code: string) => void;
}) {
  const stateOf = (piece: Piece, copy: number): CopyStock | undefined => byCode.get(piece.code)?.copies[copy - 1];
  const whole = sheet.lying.filter((l) => stateOf(l.piece, l.copy)?.state === 'whole').length;
  const lookOf = (piece: Piece, copy: number): CopyLook => {
    const stock = stateOf(piece, copy);
    const where = stock?.where.length ? `: ${stock.where.map(saidWhere).join(', ')}` : '';
    return {
      free: stock?.state === 'whole' || stock?.state === 'planned',
      rest: stock?.left ?? [],
      chosen: chosen === piece.code,
      state: stock?.state ?? '',
      note: where,
      spoiled: stock?.state === 'spoiled',
      focusable: copy === 1,
      testId: 'on-table',
    };
  };
  return (
    <Box sx={{ contentVisibility: 'auto' }}>
      <SheetView
        sheet={sheet}
        width={sheet.width * SCALE}
        lookOf={lookOf}
        onChoose={(piece) => onChoose(piece.code)}
        caption={
          <Typography variant="caption" color="text.secondary">
            Sheet {sheet.number} · {whole} of {sheet.lying.length} whole
          </Typography>
        }
      />
    </Box>
  );
});

function RollOnTable({ piece, chosen, onChoose }: { piece: Piece; chosen: boolean; onChoose: (code: string) => void }) {
  const { unit } = useOwnWays();
  const shown = 127;
  return (
    <Box
      role="button"
      tabIndex={0}
      onClick={() => onChoose(piece.code)}
      onKeyDown={(e) => e.key === 'Enter' && onChoose(piece.code)}
      aria-label={`washi roll ${piece.code}`}
      sx={{ cursor: 'pointer', outline: chosen ? `2px solid ${GLASS.amber}` : 'none', borderRadius: 1 }}
    >
      <Typography variant="caption" color="text.secondary">
        Roll {piece.code}, {ruled(piece.height, unit)} wide
      </Typography>
      <svg
        width={shown * SCALE}
        height={piece.height * SCALE}
        viewBox={`0 0 ${shown} ${piece.height}`}
        style={{ display: 'block' }}
        aria-hidden
      >
        <use href={`#${symbolId(piece)}`} />
      </svg>
    </Box>
  );
}
