'use client';

import Alert from '@mui/material/Alert';
import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import LinearProgress from '@mui/material/LinearProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Alternative } from '../../core/compare/alternatives';
import { RULES } from '../../core/review/registry';
import { OFFERED } from '../../core/compare/offered';
import { shortDay } from '../../core/week/day-names';
import { WeekPicture } from './WeekPicture';
import { GLASS } from '../theme';
import { useSpread } from './store';
import { FormDialog } from '../screen/FormDialog';

/** Up to three ways to lay the week out, side by side: choose one, or take each day from the one where it is best. */
export function AlternativesDialog({ onClose, onNone }: { onClose: () => void; onNone: () => void }) {
  const alternatives = useSpread((s) => s.alternatives);
  const choose = useSpread((s) => s.choose);
  const context = useSpread((s) => s.context);
  const [list, setList] = useState<readonly Alternative[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  const [tried, setTried] = useState({ done: 0, of: 0 });
  const [from, setFrom] = useState<readonly number[]>([0, 0, 0, 0, 0, 0, 0]);
  useEffect(() => {
    let current = true;
    alternatives((done, of) => current && setTried({ done, of }))
      .then((found) => {
        if (!current) return;
        setList(found);
        if (found.length < 2) onNone();
      })
      .catch((e: unknown) => current && setTrouble(`It stopped: ${e instanceof Error ? e.message : String(e)}.`));
    return () => {
      current = false;
    };
  }, [alternatives, onNone]);
  const mixed = new Set(from).size > 1;
  const main = from[0] ?? 0;
  return (
    <FormDialog
      plain
      title="Other ways to lay this week out"
      size="lg"
      onClose={onClose}
      messages={trouble ? [trouble] : []}
      act={{
        label: mixed ? 'Lay it out so, day by day' : `Lay out way ${main + 1}`,
        disabled: !list?.length,
        run: () => {
          if (list) choose(list, from);
          onClose();
        },
      }}
    >
      {list === null && !trouble && (
        <Box sx={{ py: 6 }}>
          <Typography color="text.secondary" sx={{ mb: 2 }}>
            {tried.of
              ? `${tried.done} of ${tried.of} ways tried: other heights, headers, lists and amounts of white…`
              : 'Trying other heights, headers, lists and amounts of white…'}
          </Typography>
          <LinearProgress
            color="secondary"
            aria-label="Trying other ways"
            variant={tried.of ? 'determinate' : 'indeterminate'}
            value={(100 * tried.done) / Math.max(1, tried.of)}
          />
        </Box>
      )}

      {list && list.length < OFFERED && (
        <Alert severity="info">
          {list.length === 1
            ? 'With this kit, school and week every other way comes out like this one.'
            : 'More ways than these would come out like one of them.'}
        </Alert>
      )}
      {list && (
        <Box sx={{ display: 'grid', gridTemplateColumns: `repeat(${list.length}, 1fr)`, gap: 2 }}>
          {list.map((a, n) => (
            <Box
              key={a.says}
              component="section"
              aria-label={`Way ${n + 1}`}
              sx={{
                display: 'flex',
                flexDirection: 'column',
                gap: 1,
                p: 1.25,
                borderRadius: 2,
                border: `1.5px solid ${from.includes(n) ? GLASS.bottle : GLASS.edge}`,
              }}
            >
              <WeekPicture context={context} placements={a.placements} label={a.says} />
              <Typography variant="body2">{a.says}</Typography>
              <Typography variant="caption" color="text.secondary">
                score {Math.round(a.score.total)}
                {lost(a)}
                {a.unplaced ? `; ${a.unplaced} without a place` : ''}
              </Typography>
              <Typography variant="caption" color="text.secondary" data-testid="minds">
                {a.minds.length ? `The eye minds ${a.minds.join('; ')}.` : 'The eye minds nothing.'}
              </Typography>
              <Box role="group" aria-label={`Days from way ${n + 1}`} sx={{ display: 'flex', gap: 0.25, mt: 'auto' }}>
                {context.week.days.map((iso, day) => (
                  <ButtonBase
                    key={iso}
                    aria-pressed={from[day] === n}
                    aria-label={`${shortDay(iso)}, way ${n + 1}`}
                    onClick={() => setFrom(from.map((f, d) => (d === day ? n : f)))}
                    sx={{
                      flex: 1,
                      py: 0.5,
                      borderRadius: 1,
                      fontSize: 11.5,
                      background: from[day] === n ? GLASS.bottle : GLASS.bottleSoft,
                      color: from[day] === n ? '#fff' : GLASS.ink,
                    }}
                  >
                    {shortDay(iso)}
                  </ButtonBase>
                ))}
              </Box>
              <Button variant="outlined" size="small" onClick={() => setFrom(from.map(() => n))}>
                The whole week
              </Button>
            </Box>
          ))}
        </Box>
      )}
      {list && (
        <Typography variant="caption" color="text.secondary" sx={{ display: 'block' }}>
          What is locked stays in all of them. Base and sidebar come from the way that Monday, or your first day, is
          taken from. Undo brings back what lies there now.
        </Typography>
      )}
    </FormDialog>
  );
}

/** What cost the most points. */
function lost(a: Alternative): string {
  const worst = Object.entries(a.score.parts)
    .filter(([, n]) => n < 0)
    .sort((x, y) => x[1] - y[1])
    .slice(0, 3);
  const title = (rule: string): string => RULES.find((r) => r.code === rule)?.title.toLowerCase() ?? rule;
  return worst.length ? `: ${worst.map(([rule, n]) => `${title(rule)} ${n}`).join('; ')}` : '';
}
