import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Kit, Piece } from '../../core/kit/kit';
import { isRoll, pieceKey } from '../../core/kit/kit';
import { sheetsOf } from '../../core/kit/sheet-layout';
import { fine } from '../../core/measure/fraction';
import type { Context, Placement } from '../../core/spread/placement';
import { pieceIndex } from '../../core/spread/placement';
import { useKitName } from '../kit-names';
import type { CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { symbolId } from '../sticker/symbol-id';

/** The sheet the sticker lies on, with the sticker marked. */
export function OnSheet({ context, target }: { context: Context; target: Placement }) {
  const called = useKitName();
  const kit = [context.kit, ...context.stash].find((k) => k.name === target.kit) as Kit;
  const piece = pieceIndex(context).get(pieceKey(target));
  if (!piece) return null;
  const sheet = isRoll(piece) ? undefined : sheetsOf(kit).find((s) => s.number === piece.sheet);
  const lookOf = (p: Piece, copy: number): CopyLook => ({
    free: true,
    rest: [],
    chosen: p.code === piece.code && copy === target.copy,
    state: '',
    focusable: false,
    testId: 'on-sheet',
  });
  return (
    <Box sx={{ width: 250, flexShrink: 0, '@media (orientation: portrait)': { width: 190 } }}>
      <svg
        viewBox={`0 0 ${Math.min(piece.width, 80)} ${piece.height}`}
        style={{ width: '100%', maxHeight: 170 }}
        aria-hidden
      >
        <use href={`#${symbolId(piece)}`} />
      </svg>
      <Typography variant="h3" sx={{ mt: 1 }}>
        {piece.code}
        {piece.words ? ` “${piece.words}”` : ''}
      </Typography>
      <Typography color="text.secondary">
        {called(kit.name)}, {sheet ? `sheet ${piece.sheet}` : 'on its roll'} · {fine(piece.width, context.book.unit)} ×{' '}
        {fine(piece.height, context.book.unit)}
      </Typography>
      {sheet && (
        <Box sx={{ mt: 1.5, '& svg': { maxHeight: 'clamp(160px, calc(100vh - 530px), 420px)' } }}>
          <SheetView sheet={sheet} width="100%" lookOf={lookOf} onChoose={null} />
        </Box>
      )}
    </Box>
  );
}
