import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { num } from '../../core/art/svg';
import { tableKits } from '../../core/kit/is-of';
import type { Kit, Piece } from '../../core/kit/kit';
import { isRoll, pieceKey } from '../../core/kit/kit';
import { copyKey } from '../../core/kit/ledger';
import type { Sheet } from '../../core/kit/sheet-layout';
import { sheetsOf } from '../../core/kit/sheet-layout';
import { fine } from '../../core/measure/fraction';
import { bounds } from '../../core/measure/rect';
import type { Context, Placement } from '../../core/spread/placement';
import { footprint, pieceIndex } from '../../core/spread/placement';
import { useKitName } from '../kit-names';
import { LaidFaces } from '../sticker/Face';
import type { CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { sentence } from '../../core/spread/voice';
import { looksName } from '../../core/spread/looks-name';

/** What is taken: the sticker, or the stack as it will be, and the sheets that its parts lie on, each marked. */
export function OnSheet({
  context,
  targets,
  wide = false,
}: {
  context: Context;
  targets: readonly Placement[];
  /** the sheet is what one looks at: it takes the room, and what becomes of it is not drawn */
  wide?: boolean;
}) {
  const called = useKitName();
  const index = pieceIndex(context);
  const kits = tableKits(context);
  const taken = targets.flatMap((p) => {
    const piece = index.get(pieceKey(p));
    const kit = kits.find((k) => k.name === p.kit);
    return piece && kit ? [{ p, piece, kit }] : [];
  });
  const sheets = new Map<string, { kit: Kit; sheet: Sheet }>();
  for (const { kit, piece } of taken) {
    const sheet = isRoll(piece) ? undefined : sheetsOf(kit).find((s) => s.number === piece.sheet);
    if (sheet) sheets.set(`${kit.name} ${sheet.number}`, { kit, sheet });
  }
  if (!taken.length) return null;
  const box = bounds(taken.map(({ p }) => footprint(p)));
  const wanted = new Set(taken.map(({ p }) => copyKey(p)));
  const lookOf = (p: Piece, copy: number): CopyLook => ({
    free: true,
    rest: [],
    chosen: wanted.has(copyKey({ kit: p.kit, code: p.code, copy })),
    state: '',
    focusable: false,
    testId: 'on-sheet',
  });
  const many = sheets.size > 1;
  return (
    <Box
      sx={
        wide
          ? { flex: '1 1 340px', minWidth: 240, maxWidth: 520 }
          : { width: 250, flexShrink: 0, '@media (orientation: portrait)': { width: 190 } }
      }
    >
      {!wide && (
        <svg
          viewBox={`${num(box.x - 0.5)} ${num(box.y - 0.5)} ${num(box.w + 1)} ${num(box.h + 1)}`}
          style={{ width: '100%', maxHeight: 170 }}
          aria-hidden
        >
          <LaidFaces placements={targets} pieceOf={(p) => index.get(pieceKey(p))} />
        </svg>
      )}
      {taken.map(({ p, piece, kit }) => (
        <Box key={p.id} sx={{ mt: 1 }}>
          <Typography variant="h3" title={piece.code}>
            {sentence(looksName(piece))}
          </Typography>
          <Typography color="text.secondary">
            {called(kit.name)}, {isRoll(piece) ? 'on its roll' : `sheet ${piece.sheet}`} ·{' '}
            {fine(piece.width, context.book.unit)} × {fine(piece.height, context.book.unit)}
          </Typography>
        </Box>
      ))}
      <Box
        sx={{
          mt: 1.5,
          display: 'flex',
          gap: 1,
          '& svg': {
            maxHeight: wide ? 'calc(100vh - 410px)' : `clamp(150px, calc(100vh - ${530 + 50 * taken.length}px), 420px)`,
          },
        }}
      >
        {[...sheets].map(([key, { sheet }]) => (
          <Box key={key} sx={{ flex: 1, minWidth: 0 }}>
            {many && (
              <Typography variant="caption" color="text.secondary">
                Sheet {sheet.number}
              </Typography>
            )}
            <SheetView sheet={sheet} width="100%" lookOf={lookOf} onChoose={null} />
          </Box>
        ))}
      </Box>
    </Box>
  );
}
