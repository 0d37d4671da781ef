import Box from '@mui/material/Box';
import type { Bench } from '../../core/bench/bench';
import { measuresOf } from '../../core/bench/measures';
import { downBefore } from '../../core/bench/say-step';
import { whiteOutName } from '../../core/bench/say-white-out';
import type { Step } from '../../core/bench/step';
import type { Stroke } from '../../core/bench/strokes';
import { whiteOutPlaces } from '../../core/bench/white-out-places';
import { ruled } from '../../core/measure/fraction';
import type { Context } from '../../core/spread/placement';
import { CutPicture } from './CutPicture';
import { PHONE } from '../theme';
import { OnSheet } from './OnSheet';
import { PagePicture } from './PagePicture';

/** The placements that a step is about. */
export const targetsOf = (bench: Bench, step: Step) => {
  const placements = new Map(bench.placements.map((p) => [p.id, p]));
  return step.refs.flatMap((r) => placements.get(r.replace(/^text:/, '')) ?? []);
};

/** What a step is about, pictured: the sticker on its sheet, and its place on the page as the page is by then. */
export function StepPicture({ context, bench, step }: { context: Context; bench: Bench; step: Step }) {
  if (step.about.is === 'cut') {
    const { cut } = step.about;
    const parts = new Set(cut.pieces.map((p) => p.placement));
    return (
      <Box
        sx={{
          display: 'flex',
          gap: { xs: 2, lg: 4 },
          flex: 1,
          minWidth: 0,
          alignItems: 'flex-start',
          [PHONE]: { flexWrap: 'wrap' },
        }}
      >
        <CutPicture context={context} cut={cut} />
        <OnSheet wide context={context} targets={bench.placements.filter((p) => parts.has(p.id)).slice(0, 1)} />
      </Box>
    );
  }
  const targets = targetsOf(bench, step);
  const white = step.about.is === 'white-out' ? step.about.strokes : [];
  const page = targets[0]?.page ?? white[0]?.page ?? 0;
  const written = step.do === 'write';
  const laid = downBefore(bench, step.n).filter((p) => p.page === page);
  const first = targets[0];
  // ink last: the whole page is there by then, also what goes straight onto the paper
  const here = written ? [...laid, ...targets.filter((p) => !laid.includes(p))] : [...laid, ...targets];
  return (
    <Box
      sx={{
        display: 'flex',
        gap: { xs: 2, lg: 4 },
        alignItems: 'flex-start',
        flex: 1,
        minHeight: 300,
        minWidth: 0,
        [PHONE]: { flexWrap: 'wrap' },
      }}
    >
      <PagePicture
        context={context}
        bench={bench}
        page={page}
        laid={here.filter((p) => p.page === page)}
        targets={targets.filter((p) => p.page === page)}
        white={white}
        written={written}
        edges={first && !written ? (measuresOf(context, bench).get(first.id) ?? null) : null}
      />
      {!written && first && <OnSheet context={context} targets={targets} />}
      {step.do === 'white-out' && <WhiteOutTable context={context} strokes={white} />}
      {written && (
        <Box component="ul" sx={{ m: 0, pl: 2.5, fontFamily: 'Caveat', fontSize: 26, lineHeight: 1.35 }}>
          {targets.map((p) => (
            <li key={p.id}>
              {p.text?.split('\n').map((l, i) => (
                <div key={`${i} ${l}`}>{l || '·'}</div>
              ))}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

function WhiteOutTable({ context, strokes }: { context: Context; strokes: readonly Stroke[] }) {
  return (
    <Box
      component="table"
      sx={{ borderSpacing: 0, fontSize: 16, '& td, & th': { textAlign: 'left', pr: 3, py: 0.5, fontWeight: 500 } }}
    >
      <thead>
        <tr>
          <th>Where</th>
          <th>Strokes</th>
          <th>Tape</th>
        </tr>
      </thead>
      <tbody>
        {whiteOutPlaces(strokes).map((p) => (
          <tr key={`${p.day} ${p.region}`}>
            <td>{whiteOutName({ context }, p)}</td>
            <td>{p.count}</td>
            <td>{ruled(p.length, context.book.unit)}</td>
          </tr>
        ))}
      </tbody>
    </Box>
  );
}
