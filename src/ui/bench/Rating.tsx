import Box from '@mui/material/Box';
import TextField from '@mui/material/TextField';
import Typography from '@mui/material/Typography';
import { useState } from 'react';
import { rateSpread, tagSpread } from '../../server/keep-actions';
import type { SpreadData } from '../../server/spread-data';
import { GLASS } from '../theme';
import { useRun } from '../use-run';

const STEPS = [1, 2, 3, 4, 5] as const;

/** How well the week came out, in raised dots, and the words it is found by. */
export function Rating({ spread }: { spread: SpreadData }) {
  const { run, messages } = useRun();
  const kept = spread.keep?.rating ?? 0;
  const [rated, setRated] = useState<{ readonly was: number; readonly is: number } | null>(null);
  const rating = rated?.was === kept ? rated.is : kept;
  const keptTags = (spread.keep?.tags ?? []).join(', ');
  const [tags, setTags] = useState(keptTags);
  const rate = async (n: number) => {
    const is = n === rating ? 0 : n;
    setRated({ was: kept, is });
    if (!(await run(() => rateSpread({ spreadId: spread.id, rating: is })))) setRated(null);
  };
  return (
    <>
      <Box role="radiogroup" aria-label="How did it come out?" sx={{ display: 'flex', alignItems: 'center', gap: 0.5 }}>
        {STEPS.map((n) => (
          <Box
            key={n}
            component="button"
            type="button"
            role="radio"
            aria-checked={n === rating}
            aria-label={`${n} of 5`}
            onClick={() => void rate(n)}
            sx={{ border: 0, background: 'none', p: 0.5, cursor: 'pointer', lineHeight: 0 }}
          >
            <Box
              sx={{
                width: 24,
                height: 24,
                borderRadius: '50%',
                ...(n <= rating
                  ? {
                      background: `radial-gradient(circle at 35% 30%, #ffffffb0 0 12%, ${GLASS.bottle} 48%)`,
                      boxShadow: '0 1px 2px #0004',
                    }
                  : { boxShadow: `inset 0 0 0 1.5px ${GLASS.quiet}66`, background: GLASS.milk }),
              }}
            />
          </Box>
        ))}
        <Typography variant="body2" color="text.secondary" sx={{ ml: 1 }}>
          {rating ? `${rating} of 5` : 'not rated'}
        </Typography>
      </Box>
      <TextField
        label="Tags"
        placeholder="concert, first frost"
        helperText="The log finds the week by them. Commas between."
        fullWidth
        size="small"
        value={tags}
        onChange={(e) => setTags(e.target.value.slice(0, 300))}
        onBlur={() => {
          const list = tags
            .split(',')
            .map((t) => t.trim().slice(0, 40))
            .filter(Boolean);
          if (tags !== keptTags) void run(() => tagSpread({ spreadId: spread.id, tags: list.slice(0, 12) }));
        }}
        sx={{ mt: 1.5 }}
      />
      {messages.map((m) => (
        <Typography key={m} role="alert" sx={{ color: GLASS.cranberry }}>
          {m}
        </Typography>
      ))}
    </>
  );
}
