'use client';

import Box from '@mui/material/Box';
import ButtonBase from '@mui/material/ButtonBase';
import Typography from '@mui/material/Typography';
import { RULES } from '../../core/review/registry';
import type { Severity } from '../../core/review/finding';
import { GLASS } from '../theme';
import { stepOf, useReview } from './review-context';
import { useSpread } from './store';

const COLORS: Readonly<Record<Severity, string>> = { stop: GLASS.cranberry, fix: GLASS.amber, look: GLASS.cobalt };
const SAID: Readonly<Record<Severity, string>> = { stop: 'would not work', fix: 'would show', look: 'good to know' };

/** What the review found, worst first; each one points to its place. */
export function Findings() {
  const { findings } = useReview();
  const shown = useSpread((s) => s.finding);
  const show = useSpread((s) => s.show);
  const step = useSpread((s) => s.step);
  const list = step && step !== 'Week' ? findings.filter((f) => stepOf(f) === step) : findings;
  if (!list.length) return <Typography color="text.secondary" sx={{ p: 2 }}>{step ? `Nothing to say about this step.` : 'Nothing would go wrong. The spread works.'}</Typography>;
  return (
    <Box sx={{ overflowY: 'auto', flex: 1, p: 1.25, display: 'flex', flexDirection: 'column', gap: 0.75 }} data-testid="findings">
      {list.map((f, i) => {
        const chosen = shown === f;
        return (
          <ButtonBase key={`${f.rule}-${f.x}-${f.y}-${i}`} onClick={() => show(chosen ? null : f)} aria-pressed={chosen} sx={{ display: 'block', textAlign: 'left', p: 1.25, borderRadius: 2, border: `1px solid ${chosen ? COLORS[f.severity] : GLASS.edge}`, background: GLASS.paper, flexShrink: 0 }}>
            <Typography variant="caption" sx={{ color: COLORS[f.severity], fontWeight: 600, display: 'flex', alignItems: 'center', gap: 0.75 }}>
              <Box component="span" sx={{ width: 8, height: 8, borderRadius: '50%', background: COLORS[f.severity] }} />
              {SAID[f.severity]} · <span title={RULES.find((r) => r.code === f.rule)?.title}>{f.rule}</span>
            </Typography>
            <Typography variant="body2" sx={{ mt: 0.25, overflowWrap: 'anywhere' }}>{f.message}</Typography>
            <Typography variant="body2" color="text.secondary" sx={{ mt: 0.25, overflowWrap: 'anywhere' }}>{f.remedy}</Typography>
          </ButtonBase>
        );
      })}
    </Box>
  );
}
