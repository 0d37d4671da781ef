import Box from '@mui/material/Box';
import { num } from '../../core/art/svg';
import type { Bench } from '../../core/bench/bench';
import { pageName } from '../../core/bench/measure-from';
import type { TwoEdges } from '../../core/bench/two-edges';
import type { Stroke } from '../../core/bench/strokes';
import { handSvg, marksSvg, whiteOutSvg } from '../../core/format/spread-svg';
import { pieceKey } from '../../core/kit/kit';
import { fine, unseen } from '../../core/measure/fraction';
import type { Rect } from '../../core/measure/rect';
import { bounds, centerX, centerY, right } from '../../core/measure/rect';
import type { Context, Placement } from '../../core/spread/placement';
import { footprint, pieceIndex } from '../../core/spread/placement';
import { LaidFaces } from '../sticker/Face';
import { GLASS, PHONE } from '../theme';

interface PageProps {
  readonly context: Context;
  readonly bench: Bench;
  readonly page: number;
  readonly laid: readonly Placement[];
  readonly targets: readonly Placement[];
  /** strokes of the tape to mark */
  readonly white: readonly Stroke[];
  /** the targets are written, not laid */
  readonly written?: boolean;
  readonly edges?: TwoEdges | null;
  /** a number on each target: those of a group */
  readonly numbers?: ReadonlyMap<string, number>;
}

const HALO = { stroke: '#fffdf9', strokeWidth: 1.6, paintOrder: 'stroke' } as const;

/** A page as it is by a step, with what the step is about marked, measured or numbered. */
export function PagePicture(props: PageProps) {
  const { context, bench, page, laid, targets, white, written = false, edges = null, numbers } = props;
  const { width, height } = context.book.pages[page] as Context['book']['pages'][number];
  const pieces = pieceIndex(context);
  const spots = written || numbers ? targets.map(footprint) : targets.length ? [bounds(targets.map(footprint))] : [];
  return (
    <Box
      sx={{
        height: '100%',
        maxHeight: 'calc(100vh - 250px)',
        minHeight: 260,
        aspectRatio: `${width + 8} / ${height + 8}`,
        flexShrink: 1,
        minWidth: 0,
        '@media (orientation: portrait)': { maxHeight: '46vh' },
        [PHONE]: { width: '100%', height: 'auto', maxHeight: 'none' },
      }}
    >
      <svg
        viewBox={`-4 -4 ${num(width + 8)} ${num(height + 8)}`}
        style={{ height: '100%', width: '100%' }}
        role="img"
        aria-label={`${pageName(context.book, page)} as it is by this step`}
      >
        <rect width={width} height={height} rx="1.5" fill={GLASS.paper} stroke={GLASS.edge} strokeWidth=".6" />
        <g
          dangerouslySetInnerHTML={{
            __html:
              marksSvg(context.book, page) +
              (white.length ? '' : whiteOutSvg(bench.whiteOut.filter((w) => w.page === page))),
          }}
        />
        <LaidFaces
          placements={laid}
          pieceOf={(p) => pieces.get(pieceKey(p))}
          over={(p) =>
            written && targets.includes(p) ? (
              <g dangerouslySetInnerHTML={{ __html: handSvg(context, p, bench.placements) }} />
            ) : null
          }
        />
        {white.map((w, i) => (
          <rect
            key={i}
            x={w.x - 0.6}
            y={w.y - 0.6}
            width={w.w + 1.2}
            height={w.h + 1.2}
            fill={GLASS.cranberry}
            fillOpacity=".55"
          />
        ))}
        {spots.map((r, i) => (
          <rect
            key={`${r.x} ${r.y} ${i}`}
            x={r.x - 0.8}
            y={r.y - 0.8}
            width={r.w + 1.6}
            height={r.h + 1.6}
            rx="1.4"
            fill="none"
            stroke={GLASS.amber}
            strokeWidth="1.3"
          />
        ))}
        {numbers && targets.map((p) => <NumberOn key={p.id} at={footprint(p)} n={numbers.get(p.id)} />)}
        {edges && spots[0] && <Measures {...props} target={spots[0]} edges={edges} />}
      </svg>
    </Box>
  );
}

function NumberOn({ at, n }: { at: Rect; n: number | undefined }) {
  if (n === undefined) return null;
  return (
    <g>
      <circle cx={at.x + 2.6} cy={at.y + 2.6} r="3.4" fill={GLASS.bottle} stroke="#fff" strokeWidth=".5" />
      <text
        x={at.x + 2.6}
        y={at.y + 4.1}
        fontSize="4.2"
        fontWeight="700"
        fontFamily="Figtree"
        textAnchor="middle"
        fill="#fff"
      >
        {n}
      </text>
    </g>
  );
}

/** The two lengths that a ruler measures, drawn from the edges they are measured from. */
function Measures({
  target: t,
  edges: { across, down },
  context,
  page,
}: { target: Rect; edges: TwoEdges } & Omit<PageProps, 'edges'>) {
  const { unit } = context.book;
  const { width } = context.book.pages[page] as Context['book']['pages'][number];
  const cx = centerX(t);
  const cy = centerY(t);
  const end = across ? (across.side === 'left' ? t.x - across.mm : right(t) + across.mm) : 0;
  const middle = t.y - down.mm / 2;
  return (
    <g stroke={GLASS.amber} strokeWidth=".6" fill={GLASS.amber} fontSize="5.4" fontWeight="600" fontFamily="Figtree">
      {!unseen(down.mm, unit) && (
        <>
          <path d={`M${num(cx)} ${num(t.y - down.mm)}V${num(t.y)}`} strokeDasharray="1.4 1" />
          <path d={`M${num(cx - 5)} ${num(t.y - down.mm)}h10`} strokeWidth=".9" />
          <text x={num(Math.min(width - 26, cx + 1.8))} y={num(Math.max(5, middle + 1.9))} {...HALO}>
            {fine(down.mm, unit)}
          </text>
        </>
      )}
      {across && !unseen(across.mm, unit) && (
        <>
          <path
            d={
              across.side === 'left'
                ? `M${num(end)} ${num(cy)}H${num(t.x)}`
                : `M${num(right(t))} ${num(cy)}H${num(end)}`
            }
            strokeDasharray="1.4 1"
          />
          <path d={`M${num(end)} ${num(cy - 5)}v10`} strokeWidth=".9" />
          <text
            x={num(across.side === 'left' ? Math.max(1, end + 1) : Math.min(width - 1, end - 1))}
            y={num(cy - 1.6)}
            textAnchor={across.side === 'left' ? 'start' : 'end'}
            {...HALO}
          >
            {fine(across.mm, unit)}
          </text>
        </>
      )}
    </g>
  );
}
