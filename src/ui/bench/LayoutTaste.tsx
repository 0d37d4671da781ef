import Box from '@mui/material/Box';
import Chip from '@mui/material/Chip';
import Typography from '@mui/material/Typography';
import { spokenName } from '../../core/kit/kit';
import { choiceOf, choicesMade, sayChoice } from '../../core/manner/choices';
import { judgeLayout } from '../../server/bench-actions';
import type { SpreadData } from '../../server/spread-data';
import { GLASS } from '../theme';
import { useJudged } from './use-judged';

const NONE = { loved: [], jarred: [] };

/** How a week was laid out, to be loved or not: new weeks of its school heed it (handbook 7). */
export function LayoutTaste({ spread }: { spread: SpreadData }) {
  const { manner } = spread.context;
  const { of, tap, said } = useJudged(spread.keep?.choices ?? NONE, (judged) =>
    judgeLayout({ spreadId: spread.id, ...judged }),
  );
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
      <Box sx={{ display: 'flex', flexWrap: 'wrap', gap: 0.75, maxHeight: 260, overflowY: 'auto' }}>
        {choicesMade(manner, spread.own).map((made) => {
          const key = choiceOf(made);
          const now = of(key);
          return (
            <Chip
              key={key}
              data-testid="layout-taste"
              label={now ? `${sayChoice(made)} · ${now}` : sayChoice(made)}
              variant="outlined"
              onClick={() => void tap(key)}
              sx={{
                borderWidth: 2,
                borderColor: now === 'loved' ? GLASS.bottle : now === 'jarred' ? GLASS.cranberry : GLASS.edge,
                fontWeight: now ? 700 : 400,
                background: GLASS.milk,
              }}
            />
          );
        })}
      </Box>
    </>
  );
}
