import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { pieceKey } from '../../core/kit/kit';
import { isStrip, traits } from '../../core/kit/kinds';
import type { Context, Placement } from '../../core/spread/placement';
import { isWriting, pieceIndex } from '../../core/spread/placement';
import { judgeSpread } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import { useJudged } from './use-judged';
import { looksName } from '../../core/spread/looks-name';

/** The designs of a spread: one tap, it was loved; two, it jarred; three, nothing. It is learned (handbook 7). */
export function Taste({
  spread,
  context,
  placements,
}: {
  spread: SpreadData;
  context: Context;
  placements: readonly Placement[];
}) {
  const index = pieceIndex(context);
  const { of, tap, said } = useJudged(spread.keep, (judged) => judgeSpread({ spreadId: spread.id, ...judged }));
  const designs = [...new Set(placements.filter((p) => !isWriting(p)).map(pieceKey))]
    .flatMap((key) => index.get(key) ?? [])
    .filter((p) => p.kind !== 'date-dot' && !isStrip(p.kind) && (!traits(p.kind).overlay || p.kind === 'deco'));
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Tap once what you loved, twice what bothered you. It is used for later weeks.
      </Typography>
      {said && (
        <Typography role="alert" sx={{ color: GLASS.cranberry }}>
          {said}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, maxHeight: 340, overflowY: 'auto' }}>
        {designs.map((p) => {
          const now = of(pieceKey(p));
          return (
            <Box
              component="button"
              key={pieceKey(p)}
              aria-label={`${looksName(p)}${now ? `, ${now}` : ''}`}
              data-testid="taste"
              title={p.code}
              onClick={() => void tap(pieceKey(p))}
              sx={{
                border: `2px solid ${now === 'loved' ? GLASS.bottle : now === 'jarred' ? GLASS.cranberry : GLASS.edge}`,
                borderRadius: 2,
                background: GLASS.milk,
                p: 0.75,
                width: 84,
                height: 96,
                cursor: 'pointer',
                display: 'flex',
                flexDirection: 'column',
                alignItems: 'center',
                justifyContent: 'space-between',
                opacity: now === 'jarred' ? 0.75 : 1,
              }}
            >
              <svg
                viewBox={`0 0 ${p.width} ${p.height}`}
                style={{ maxWidth: 66, maxHeight: 62 }}
                width={p.width * 2}
                aria-hidden
              >
                <use href={`#${symbolId(p)}`} />
              </svg>
              <Typography variant="caption" sx={{ fontWeight: now ? 700 : 400, lineHeight: 1.2 }}>
                {now ?? traits(p.kind).label}
              </Typography>
            </Box>
          );
        })}
      </Box>
    </>
  );
}
