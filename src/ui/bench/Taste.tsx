import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import type { Piece } from '../../core/kit/kit';
import { pieceKey } from '../../core/kit/kit';
import { isStrip, traits } from '../../core/kit/kinds';
import type { Context, Placement } from '../../core/spread/placement';
import { isWriting, pieceIndex } from '../../core/spread/placement';
import { judgeSpread } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';

type Judgement = 'loved' | 'jarred' | null;
const NEXT = new Map<Judgement, Judgement>([
  [null, 'loved'],
  ['loved', 'jarred'],
  ['jarred', null],
]);
const SAID = { loved: 'loved', jarred: 'jarred' } as const;

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
  const [judged, setJudged] = useState<ReadonlyMap<string, Judgement>>(
    () =>
      new Map<string, Judgement>([
        ...(spread.keep?.loved ?? []).map((key) => [key, 'loved'] as const),
        ...(spread.keep?.jarred ?? []).map((key) => [key, 'jarred'] as const),
      ]),
  );
  const [said, setSaid] = useState('');
  const designs = [...new Set(placements.filter((p) => !isWriting(p)).map(pieceKey))]
    .flatMap((key) => index.get(key) ?? [])
    .filter((p) => p.kind !== 'date-dot' && !isStrip(p.kind) && (!traits(p.kind).overlay || p.kind === 'deco'));
  const tap = async (piece: Piece) => {
    const key = pieceKey(piece);
    const before = judged;
    const after = new Map(judged).set(key, NEXT.get(judged.get(key) ?? null) ?? null);
    setJudged(after);
    const all = (what: Judgement) => [...after].flatMap(([k, v]) => (v === what ? [k] : []));
    const kept = await judgeSpread({ spreadId: spread.id, loved: all('loved'), jarred: all('jarred') }).catch(
      () => null,
    );
    if (!kept?.ok) setJudged(before);
    setSaid(
      kept === null ? 'The server could not be reached; that was not kept.' : kept.ok ? '' : kept.messages.join(' '),
    );
  };
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        Tap once what you loved, twice what jarred. Other weeks heed it.
      </Typography>
      {said && (
        <Typography role="alert" sx={{ color: GLASS.cranberry }}>
          {said}
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, maxHeight: 340, overflowY: 'auto' }}>
        {designs.map((p) => {
          const now = judged.get(pieceKey(p)) ?? null;
          return (
            <Box
              component="button"
              key={pieceKey(p)}
              aria-label={`${traits(p.kind).label} ${p.code}${now ? `, ${SAID[now]}` : ''}`}
              data-testid="taste"
              onClick={() => void tap(p)}
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
                {now ? SAID[now] : p.code}
              </Typography>
            </Box>
          );
        })}
      </Box>
    </>
  );
}
