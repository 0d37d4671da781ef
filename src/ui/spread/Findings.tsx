'use client';

import Box from '@mui/material/Box';
import Button from '@mui/material/Button';
import ButtonBase from '@mui/material/ButtonBase';
import CircularProgress from '@mui/material/CircularProgress';
import Typography from '@mui/material/Typography';
import { useEffect, useState } from 'react';
import type { Remedy } from '../../core/remedy/remedy';
import { RULES } from '../../core/review/registry';
import type { Finding, Severity } from '../../core/review/finding';
import { sayRemedy } from '../../core/remedy/say';
import { sayFinding } from '../../core/review/say';
import { findingKey } from '../../core/review/wave';
import { GLASS } from '../theme';
import { stepOf, useReview, useVoice } from './review-context';
import { useSpread } from './store';
import { useGlimpse } from './use-glimpse';
import { stopped } from './store/messages';
import { Hint } from '../Hint';

const COLORS: Readonly<Record<Severity, string>> = { stop: GLASS.cranberry, fix: GLASS.amber, look: GLASS.cobalt };
const SAID: Readonly<Record<Severity, string>> = { stop: 'would not work', fix: 'would show', look: 'good to know' };

/** What the review found, worst first; each one points to its place, and the chosen one says what takes it away. */
export function Findings() {
  const { findings, ordinary, waved } = useReview();
  const shown = useSpread((s) => s.finding);
  const show = useSpread((s) => s.show);
  const step = useSpread((s) => s.step);
  const wave = useSpread((s) => s.wave);
  const voice = useVoice();
  const [all, setAll] = useState(false);
  const steps = step && step !== 'Week' ? ordinary.filter((f) => stepOf(f) === step) : ordinary;
  const [usual, setUsual] = useState(false);
  const list = step && step !== 'Week' ? findings.filter((f) => stepOf(f) === step) : findings;
  return (
    <Box
      sx={{ overflowY: 'auto', flex: 1, p: 1.25, display: 'flex', flexDirection: 'column', gap: 0.75 }}
      data-testid="findings"
    >
      {list.length === 0 && (
        <Typography color="text.secondary" sx={{ p: 0.75 }}>
          {step ? 'Nothing to say about this step.' : 'Nothing would go wrong. The spread works.'}
        </Typography>
      )}
      {list.map((f, i) => {
        const said = sayFinding(f, voice);
        const chosen = shown !== null && findingKey(shown) === findingKey(f);
        return (
          <Box
            key={`${findingKey(f)}-${i}`}
            sx={{
              borderRadius: 2,
              border: `1px solid ${chosen ? COLORS[f.severity] : GLASS.edge}`,
              background: GLASS.paper,
              flexShrink: 0,
            }}
          >
            <ButtonBase
              onClick={() => show(chosen ? null : f)}
              aria-pressed={chosen}
              data-rule={f.rule}
              sx={{ display: 'block', textAlign: 'left', p: 1.25, width: '100%', borderRadius: 2 }}
            >
              <Typography
                variant="caption"
                sx={{ color: COLORS[f.severity], fontWeight: 600, display: 'flex', alignItems: 'center', gap: 0.75 }}
              >
                <Box
                  component="span"
                  sx={{ width: 8, height: 8, borderRadius: '50%', background: COLORS[f.severity] }}
                />
                <Hint title={`${f.rule}: ${RULES.find((r) => r.code === f.rule)?.title ?? ''}`}>
                  <span>{SAID[f.severity]}</span>
                </Hint>
              </Typography>
              <Typography variant="body2" sx={{ mt: 0.25, overflowWrap: 'anywhere' }}>
                {said.message}
              </Typography>
            </ButtonBase>
            {chosen && <Remedies key={findingKey(f)} finding={f} byHand={said.remedy} />}
          </Box>
        );
      })}
      {steps.length > 0 && (
        <Button size="small" onClick={() => setUsual(!usual)} aria-expanded={usual} data-testid="ordinary">
          Steps of the work · {steps.length}
        </Button>
      )}
      {usual && steps.map((f) => <Ordinary key={findingKey(f)} finding={f} />)}
      {waved.length > 0 && (
        <Button size="small" onClick={() => setAll(!all)} aria-expanded={all}>
          Wanted so · {waved.length}
        </Button>
      )}
      {all &&
        waved.map((f) => (
          <Box
            key={findingKey(f)}
            sx={{ px: 1.25, py: 0.75, borderRadius: 2, border: `1px dashed ${GLASS.edge}`, flexShrink: 0 }}
          >
            <Typography variant="body2" color="text.secondary" sx={{ overflowWrap: 'anywhere' }}>
              {sayFinding(f, voice).message}
            </Typography>
            <Button size="small" onClick={() => wave(findingKey(f), false)}>
              Say it again
            </Button>
          </Box>
        ))}
    </Box>
  );
}

/** A step of the work that every week has, with what takes it off one's hands. */
function Ordinary({ finding: f }: { finding: Finding }) {
  const shown = useSpread((s) => s.finding);
  const show = useSpread((s) => s.show);
  const voice = useVoice();
  const said = sayFinding(f, voice);
  const chosen = shown !== null && findingKey(shown) === findingKey(f);
  return (
    <Box sx={{ borderRadius: 2, border: `1px solid ${chosen ? GLASS.cobalt : GLASS.edge}`, flexShrink: 0 }}>
      <ButtonBase
        onClick={() => show(chosen ? null : f)}
        aria-pressed={chosen}
        data-rule={f.rule}
        sx={{ display: 'block', textAlign: 'left', p: 1.25, width: '100%', borderRadius: 2 }}
      >
        <Typography variant="body2" title={f.rule} sx={{ overflowWrap: 'anywhere' }}>
          {said.message}
        </Typography>
      </ButtonBase>
      {chosen && <Remedies key={findingKey(f)} finding={f} byHand={said.remedy} />}
    </Box>
  );
}

/**
 * Actions that were tried and truly take the finding away, and the one that lets it be. What can be done by hand is
 * said only where there is no such action: words never advise one thing while the buttons do another.
 */
function Remedies({ finding, byHand }: { finding: Finding; byHand: string }) {
  const remediesOf = useSpread((s) => s.remediesOf);
  const apply = useSpread((s) => s.remedy);
  const setGlimpse = useSpread((s) => s.setGlimpse);
  const glimpse = useGlimpse();
  const wave = useSpread((s) => s.wave);
  const voice = useVoice();
  const [remedies, setRemedies] = useState<readonly Remedy[] | null>(null);
  const [trouble, setTrouble] = useState<string | null>(null);
  useEffect(() => {
    let current = true;
    remediesOf(finding)
      .then((r) => current && setRemedies(r))
      .catch((error: unknown) => current && setTrouble(stopped('The trying', error)));
    return () => {
      current = false;
    };
  }, [remediesOf, finding]);
  return (
    <Box
      sx={{ px: 1.25, pb: 1.25, display: 'flex', flexDirection: 'column', gap: 0.5, alignItems: 'flex-start' }}
      data-testid="remedies"
    >
      {trouble && (
        <Typography variant="caption" color="error" role="alert">
          {trouble}
        </Typography>
      )}
      {remedies === null && !trouble && (
        <Typography variant="caption" color="text.secondary" sx={{ display: 'flex', alignItems: 'center', gap: 1 }}>
          <CircularProgress size={12} /> trying what would help…
        </Typography>
      )}
      {remedies?.map((r) => (
        <Button
          key={sayRemedy(r.deed, voice)}
          size="small"
          variant="outlined"
          data-testid="remedy"
          onClick={() => {
            setGlimpse(null);
            apply(r);
          }}
          {...glimpse(r.change)}
          sx={{
            textAlign: 'left',
            lineHeight: 1.3,
            py: 0.5,
            borderRadius: 2,
            justifyContent: 'flex-start',
            overflowWrap: 'anywhere',
          }}
        >
          {sayRemedy(r.deed, voice)}
        </Button>
      ))}
      {remedies?.length === 0 && (
        <Typography variant="caption" color="text.secondary">
          No single press takes it away. By hand: {byHand}
        </Typography>
      )}
      <Button size="small" onClick={() => wave(findingKey(finding), true)}>
        I want it so
      </Button>
    </Box>
  );
}
