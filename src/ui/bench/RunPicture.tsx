import Box from '@mui/material/Box';
import Checkbox from '@mui/material/Checkbox';
import Typography from '@mui/material/Typography';
import type { StepRun } from '../../core/bench/groups';
import { measuresOf } from '../../core/bench/measures';
import { downBefore, sayStep } from '../../core/bench/say-step';
import type { Step } from '../../core/bench/step';
import { pieceKey } from '../../core/kit/kit';
import { isWriting, pieceIndex } from '../../core/spread/placement';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import { PagePicture } from './PagePicture';
import { targetsOf } from './StepPicture';
import type { AtBench } from './use-bench';

/** A whole group at once: its pages with each place numbered, and the pieces in the order they are taken. */
export function RunPicture({ at, run }: { at: AtBench; run: StepRun }) {
  const { context, bench, voice, done, tick, go, showWhole } = at;
  const [first] = run.steps as readonly [Step];
  const numbers = new Map(
    run.steps.flatMap((s) =>
      s.about.is === 'lay' || s.do === 'write'
        ? targetsOf(bench, s).map((p, i) => [p.id, i && s.about.is === 'lay' ? undefined : s.n] as const)
        : [],
    ),
  );
  const targets = run.steps.filter((s) => s.about.is !== 'cut').flatMap((s) => targetsOf(bench, s));
  const before = downBefore(bench, first.n);
  const pages = [...new Set(targets.map((p) => p.page))].sort((a, b) => a - b);
  const written = run.steps.every((s) => s.do === 'write');
  const pieces = pieceIndex(context);
  return (
    <Box
      sx={{ display: 'flex', gap: 3, alignItems: 'flex-start', flex: 1, minHeight: 300, minWidth: 0, flexWrap: 'wrap' }}
    >
      {pages.map((page) => (
        <PagePicture
          key={page}
          context={context}
          bench={bench}
          page={page}
          laid={[...before, ...targets.filter((p) => !before.includes(p))].filter((p) => p.page === page)}
          targets={targets.filter((p) => p.page === page)}
          white={[]}
          written={written}
          numbers={new Map([...numbers].flatMap(([id, n]) => (n === undefined ? [] : [[id, n] as const])))}
        />
      ))}
      <Box
        component="ol"
        sx={{ m: 0, p: 0, listStyle: 'none', flex: '1 1 280px', minWidth: 240, columns: '260px', columnGap: 3 }}
      >
        {run.steps.map((s) => {
          const piece = s.about.is === 'lay' || s.about.is === 'cut' ? pieceOf(s) : undefined;
          return (
            <Box
              component="li"
              key={s.key}
              sx={{ display: 'flex', alignItems: 'center', gap: 1, py: 0.4, breakInside: 'avoid' }}
            >
              <Checkbox
                size="small"
                checked={done.has(s.key)}
                onChange={(e) => void tick([s.key], e.target.checked)}
                slotProps={{ input: { 'aria-label': `${s.n} done` } }}
              />
              <Box
                component="button"
                onClick={() => {
                  go(bench.steps.indexOf(s));
                  showWhole(false);
                }}
                sx={{
                  all: 'unset',
                  cursor: 'pointer',
                  display: 'flex',
                  gap: 1,
                  alignItems: 'center',
                  '&:focus-visible': { outline: `2px solid ${GLASS.cobalt}`, outlineOffset: 2 },
                }}
              >
                <Box sx={{ width: 44, flexShrink: 0, display: 'flex', justifyContent: 'center' }}>
                  {piece && (
                    <svg
                      viewBox={`0 0 ${Math.min(piece.width, 60)} ${piece.height}`}
                      style={{ maxWidth: 44, maxHeight: 38 }}
                      width={Math.min(piece.width, 60)}
                      aria-hidden
                    >
                      <use href={`#${symbolId(piece)}`} />
                    </svg>
                  )}
                </Box>
                <Typography
                  variant="body2"
                  component="span"
                  sx={{ fontSize: 15, color: done.has(s.key) ? GLASS.quiet : GLASS.ink }}
                >
                  <b>{s.n}</b> {sayStep(s, voice, measuresOf(context, bench))}
                </Typography>
              </Box>
            </Box>
          );
        })}
      </Box>
    </Box>
  );

  function pieceOf(s: Step) {
    if (s.about.is === 'cut') return pieces.get(pieceKey(s.about.cut));
    const [p] = targetsOf(bench, s);
    return p && !isWriting(p) ? pieces.get(pieceKey(p)) : undefined;
  }
}
