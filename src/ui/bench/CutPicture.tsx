import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { num } from '../../core/art/svg';
import type { Cut } from '../../core/bench/cuts';
import { isRoll, pieceKey } from '../../core/kit/kit';
import { worthKeeping } from '../../core/kit/offcut';
import { fine } from '../../core/measure/fraction';
import { right } from '../../core/measure/rect';
import type { Context } from '../../core/spread/placement';
import { pieceIndex } from '../../core/spread/placement';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import { looksName } from '../../core/spread/looks-name';

/** A sticker with its cuts, measured from its own edges, and what is kept of it. */
export function CutPicture({ context, cut }: { context: Context; cut: Cut }) {
  const piece = pieceIndex(context).get(pieceKey(cut));
  if (!piece) return null;
  const from = isRoll(piece) ? Math.min(...cut.pieces.map((r) => r.x)) : 0;
  const shown = isRoll(piece) ? Math.max(...cut.pieces.map(right)) - from : piece.width;
  const { unit } = context.book;
  const kept = cut.left.filter(worthKeeping);
  const scale = Math.min(9, 620 / (shown + 12), 440 / (piece.height + 14));
  return (
    <Box sx={{ flex: '1 1 auto', minWidth: 0 }}>
      <svg
        viewBox={`${num(from - 6)} -7 ${num(shown + 12)} ${num(piece.height + 14)}`}
        style={{ width: (shown + 12) * scale, maxWidth: '100%' }}
        role="img"
        aria-label={`Where to cut the ${looksName(piece)}`}
      >
        <svg
          x={from}
          y="0"
          width={shown}
          height={piece.height}
          viewBox={`${num(isRoll(piece) ? 0 : from)} 0 ${num(shown)} ${num(piece.height)}`}
          opacity=".85"
        >
          <use href={`#${symbolId(piece)}`} />
        </svg>
        {cut.pieces.map((r) => (
          <g key={r.placement} fontFamily="Figtree" fontWeight="600">
            <rect
              x={r.x}
              y={r.y}
              width={r.w}
              height={r.h}
              fill="none"
              stroke={GLASS.cranberry}
              strokeWidth=".5"
              strokeDasharray="1.6 1"
            />
            <text
              x={r.x + r.w / 2}
              y={r.y - 1.4}
              fontSize="3.4"
              textAnchor="middle"
              fill={GLASS.cranberry}
              stroke="#F7F5F0"
              strokeWidth="1"
              paintOrder="stroke"
            >
              {fine(r.w, unit)}
            </text>
            <text
              x={r.x + r.w / 2}
              y={r.y + r.h / 2 + 1.2}
              fontSize="3.4"
              textAnchor="middle"
              fill={GLASS.cranberry}
              stroke="#F7F5F0"
              strokeWidth="1.2"
              paintOrder="stroke"
            >
              {fine(r.h, unit)} high
            </text>
          </g>
        ))}
      </svg>
      <Typography color="text.secondary" sx={{ mt: 1 }}>
        {kept.length
          ? `Keep what is left: ${kept.map((o) => (o.rows ? `${o.rows} ${o.rows === 1 ? 'row' : 'rows'}` : `${fine(o.w, unit)} × ${fine(o.h, unit)}`)).join(' and ')}.`
          : 'Nothing worth keeping is left.'}
      </Typography>
    </Box>
  );
}
