import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useEffect, useMemo, useState } from 'react';
import type { MemoryOffer, MemorySort } from '../../core/keep/memory-pieces';
import type { Piece } from '../../core/kit/kit';
import { pieceKey } from '../../core/kit/kit';
import { pieceIndex } from '../../core/spread/placement';
import type { Context } from '../../core/spread/placement';
import { longDay } from '../../core/week/day-names';
import { layMemoryPiece, memoryOffersOf } from '../../server/keep-actions';
import type { SpreadData } from '../../server/spread-data';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import { useRun } from '../use-run';
import { looksName } from '../../core/spread/looks-name';

const SAYS: { readonly [S in MemorySort]: string } = {
  moment: 'for a moment',
  word: 'for a word',
  picture: 'for a small picture',
};

/** Leftovers that suit the empty places of days that are over, by color and size: one tap lays one. */
export function Memories({ spread, context }: { spread: SpreadData; context: Context }) {
  const { ask, busy, messages } = useRun();
  const [offers, setOffers] = useState<readonly MemoryOffer[] | null>(null);
  const pieces = useMemo(() => pieceIndex(context), [context]);
  useEffect(() => {
    let gone = false;
    void memoryOffersOf({ spreadId: spread.id })
      .catch(() => null)
      .then((answer) => {
        if (!gone) setOffers(answer?.ok ? answer.value : []);
      });
    return () => {
      gone = true;
    };
  }, [spread.id]);
  const lay = ({ kit, code, day, sort }: MemoryOffer, text: string) => {
    void ask(() => layMemoryPiece({ spreadId: spread.id, kit, code, day, sort, text })).then((left) => {
      if (left) setOffers(left.value);
    });
  };
  if (!offers) return <Typography color="text.secondary">Looking for empty places…</Typography>;
  return (
    <>
      {messages.map((m) => (
        <Typography key={m} role="alert" sx={{ color: GLASS.cranberry }}>
          {m}
        </Typography>
      ))}
      {offers.length === 0 && (
        <Typography color="text.secondary">
          No day that is over has an empty place that a leftover of this week would suit.
        </Typography>
      )}
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 1, maxHeight: 320, overflowY: 'auto' }}>
        {offers.map((o) => (
          <Offer
            key={`${o.day} ${o.sort} ${pieceKey(o)}`}
            offer={o}
            piece={pieces.get(pieceKey(o))}
            day={longDay(context.week.days[o.day] as string)}
            busy={busy}
            lay={lay}
          />
        ))}
      </Box>
    </>
  );
}

interface OfferProps {
  readonly offer: MemoryOffer;
  readonly piece: Piece | undefined;
  readonly day: string;
  readonly busy: boolean;
  readonly lay: (offer: MemoryOffer, text: string) => void;
}

function Offer({ offer, piece, day, busy, lay }: OfferProps) {
  const [text, setText] = useState('');
  const takesWord = offer.sort === 'word';
  return (
    <Box
      component="form"
      data-testid="memory"
      onSubmit={(e) => {
        e.preventDefault();
        lay(offer, text);
      }}
      sx={{
        border: `1px solid ${GLASS.edge}`,
        borderRadius: 2,
        p: 1,
        width: takesWord ? 172 : 132,
        textAlign: 'center',
      }}
    >
      {piece && (
        <svg viewBox={`0 0 ${piece.width} ${piece.height}`} style={{ maxWidth: 96, height: 62 }} aria-hidden>
          <use href={`#${symbolId(piece)}`} />
        </svg>
      )}
      <Typography variant="caption" component="p">
        <b>{day}</b>, {SAYS[offer.sort]}
      </Typography>
      {takesWord && (
        <TextField
          size="small"
          fullWidth
          placeholder="first frost"
          value={text}
          onChange={(e) => setText(e.target.value)}
          slotProps={{ htmlInput: { 'aria-label': `The word for ${day}`, maxLength: 60 } }}
          sx={{ my: 0.5 }}
        />
      )}
      <Button
        type="submit"
        size="small"
        disabled={busy}
        aria-label={`Lay ${piece ? `the ${looksName(piece)}` : 'it'} on ${day}`}
      >
        Lay it
      </Button>
    </Box>
  );
}
