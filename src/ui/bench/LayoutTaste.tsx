import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { spokenName } from '../../core/kit/kit';
import type { Made } from '../../core/manner/choices';
import { choiceOf, choicesMade, sayChoice } from '../../core/manner/choices';
import { judgeLayout } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { GLASS } from '../theme';
import type { Judgement } from './use-judged';
import { useJudged } from './use-judged';

/** How a week was laid out, to be loved or not: new weeks of its school heed it (handbook 7). */
export function LayoutTaste({ spread }: { spread: SpreadData }) {
  const { manner } = spread.context;
  const { of, tap, said } = useJudged(spread.keep?.choices, (judged) =>
    judgeLayout({ spreadId: spread.id, ...judged }),
  );
  const all = choicesMade(manner, spread.own);
  const groups = [...new Set(all.map((made) => made.setting.group))];
  return (
    <>
      <Typography variant="body2" color="text.secondary" sx={{ mb: 1 }}>
        The same for how it was laid out, {spokenName(manner)}. New weeks in that manner lean this way.
      </Typography>
      {said && (
        <Typography role="alert" sx={{ color: GLASS.cranberry }}>
          {said}
        </Typography>
      )}
      <Box sx={{ maxHeight: 300, overflowY: 'auto' }}>
        {groups.map((group) => (
          <Box key={group} component="section" aria-label={group} sx={{ mb: 1 }}>
            <Typography variant="caption" component="h4" sx={{ color: GLASS.quiet, mb: 0.5 }}>
              {group}
            </Typography>
            <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75 }}>
              {all
                .filter((made) => made.setting.group === group)
                .map((made) => (
                  <JudgedChip
                    key={choiceOf(made)}
                    made={made}
                    now={of(choiceOf(made))}
                    onTap={() => void tap(choiceOf(made))}
                  />
                ))}
            </Box>
          </Box>
        ))}
      </Box>
    </>
  );
}

function JudgedChip({ made, now, onTap }: { made: Made; now: Judgement; onTap: () => void }) {
  return (
    <Chip
      data-testid="layout-taste"
      label={now ? `${sayChoice(made)} · ${now}` : sayChoice(made)}
      variant="outlined"
      onClick={onTap}
      sx={{
        borderWidth: 2,
        borderColor: now === 'loved' ? GLASS.bottle : now === 'jarred' ? GLASS.cranberry : GLASS.edge,
        fontWeight: now ? 700 : 400,
        background: GLASS.milk,
      }}
    />
  );
}
