'use client';

import Box from '@mui/material/Box';
import Typography from '@mui/material/Typography';
import type { Context, Placement } from '../../core/spread/placement';
import { footprint, pieceIndex } from '../../core/spread/placement';
import { num } from '../../core/art/svg';
import { LaidFaces } from '../sticker/Face';
import type { Cut } from '../../core/bench/cuts';
import { worthKeeping } from '../../core/kit/offcut';
import { pageName } from '../../core/bench/measure-from';
import type { Bench } from '../../core/bench/bench';
import { whiteOutName } from '../../core/bench/say-white-out';
import type { Step } from '../../core/bench/step';
import type { WhiteOut } from '../../core/bench/white-out';
import { whiteOutPlaces } from '../../core/bench/white-out-places';
import { handSvg, marksSvg, whiteOutSvg } from '../../core/format/spread-svg';
import type { Kit, Piece } from '../../core/kit/kit';
import { isRoll, pieceKey } from '../../core/kit/kit';
import { sheetsOf } from '../../core/kit/sheet-layout';
import { ruled } from '../../core/measure/fraction';
import { bounds, right } from '../../core/measure/rect';
import type { CopyLook } from '../sticker/SheetView';
import { SheetView } from '../sticker/SheetView';
import { symbolId } from '../sticker/symbol-id';
import { GLASS } from '../theme';
import { useKitName } from '../kit-names';

/** What a step is about, pictured: the sticker on its sheet, and its place on the page as the page is by then. */
export function StepPicture({ context, bench, step }: { context: Context; bench: Bench; step: Step }) {
  const placements = new Map(bench.placements.map((p) => [p.id, p]));
  const ids = step.refs.map((r) => r.replace(/^text:/, ''));
  const targets = ids.flatMap((id) => placements.get(id) ?? []);
  if (step.about.is === 'cut') return <CutPicture context={context} cut={step.about.cut} />;
  const white = step.do === 'white-out' ? step.refs.flatMap((r) => bench.whiteOut[Number(r.slice(6))] ?? []) : [];
  const page = targets[0]?.page ?? white[0]?.page ?? 0;
  const before = new Set(
    bench.steps.filter((s) => s.n < step.n && (s.do === 'place' || s.do === 'stack')).flatMap((s) => s.refs),
  );
  const laid = bench.placements.filter((p) => p.page === page && (before.has(p.id) || step.do === 'write'));
  return (
    <Box sx={{ display: 'flex', gap: 4, alignItems: 'flex-start', flex: 1, minHeight: 340 }}>
      <PageSoFar
        context={context}
        bench={bench}
        page={page}
        laid={[...laid, ...(step.do === 'write' ? [] : targets)]}
        targets={targets}
        white={white}
        written={step.do === 'write'}
      />
      {step.do !== 'write' && targets[0] && <OnSheet context={context} target={targets[0]} />}
      {step.do === 'white-out' && (
        <Box
          component="table"
          sx={{ borderSpacing: 0, '& td, & th': { textAlign: 'left', pr: 3, py: 0.5, fontWeight: 500 } }}
        >
          <thead>
            <tr>
              <th>Where</th>
              <th>Places</th>
              <th>Tape</th>
            </tr>
          </thead>
          <tbody>
            {whiteOutPlaces(context.book, white).map((p) => (
              <tr key={`${p.day} ${p.region}`}>
                <td>{whiteOutName({ context }, p)}</td>
                <td>{p.count}</td>
                <td>{ruled(p.length, context.book.unit)}</td>
              </tr>
            ))}
          </tbody>
        </Box>
      )}
      {step.do === 'write' && (
        <Box component="ul" sx={{ m: 0, pl: 2.5, fontFamily: 'Caveat', fontSize: 22, lineHeight: 1.35 }}>
          {targets.map((p) => (
            <li key={p.id}>
              {p.text?.split('\n').map((l) => (
                <div key={l}>{l}</div>
              ))}
            </li>
          ))}
        </Box>
      )}
    </Box>
  );
}

interface PageProps {
  readonly context: Context;
  readonly bench: Bench;
  readonly page: number;
  readonly laid: readonly Placement[];
  readonly targets: readonly Placement[];
  readonly white: readonly WhiteOut[];
  readonly written: boolean;
}

function PageSoFar({ context, bench, page, laid, targets, white, written }: PageProps) {
  const { width, height, bindingSide } = context.book.pages[page] as Context['book']['pages'][number];
  const pieces = pieceIndex(context);
  const target = targets.length ? bounds(targets.map(footprint)) : null;
  const outerLeft = bindingSide === 'right';
  return (
    <Box sx={{ height: '100%', maxHeight: 'calc(100vh - 250px)', aspectRatio: `${width + 8} / ${height + 8}` }}>
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
        {(written ? targets.map(footprint) : target ? [target] : []).map((r) => (
          <rect
            key={`${r.x}-${r.y}`}
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
        {target && !written && (
          <g
            stroke={GLASS.amber}
            strokeWidth=".5"
            fill={GLASS.amber}
            fontSize="5.2"
            fontWeight="600"
            fontFamily="Figtree"
          >
            <path
              d={
                outerLeft
                  ? `M0 ${num(target.y + target.h / 2)}H${num(target.x)}`
                  : `M${num(right(target))} ${num(target.y + target.h / 2)}H${num(width)}`
              }
              strokeDasharray="1.4 1"
            />
            <path d={`M${num(target.x + target.w / 2)} 0V${num(target.y)}`} strokeDasharray="1.4 1" />
            <text
              x={num(target.x + target.w / 2 + 1.5)}
              y={num(Math.max(6, target.y / 2))}
              stroke="#fffdf9"
              strokeWidth="1.6"
              paintOrder="stroke"
            >
              {ruled(target.y, context.book.unit)}
            </text>
            {target.x > 1 && (
              <text
                x={outerLeft ? 1 : width - 1}
                y={num(target.y + target.h / 2 - 1.4)}
                textAnchor={outerLeft ? 'start' : 'end'}
                stroke="#fffdf9"
                strokeWidth="1.6"
                paintOrder="stroke"
              >
                {ruled(outerLeft ? target.x : width - right(target), context.book.unit)}
              </text>
            )}
          </g>
        )}
      </svg>
    </Box>
  );
}

/** The sheet the sticker lies on, with the sticker marked. */
function OnSheet({ context, target }: { context: Context; target: Placement }) {
  const called = useKitName();
  const kit = [context.kit, ...context.stash].find((k) => k.name === target.kit) as Kit;
  const piece = pieceIndex(context).get(pieceKey(target));
  if (!piece) return null;
  const sheet = isRoll(piece) ? undefined : sheetsOf(kit).find((s) => s.number === piece.sheet);
  const lookOf = (p: Piece, copy: number): CopyLook => ({
    free: true,
    rest: [],
    chosen: p.code === piece.code && copy === target.copy,
    state: '',
    focusable: false,
    testId: 'on-sheet',
  });
  return (
    <Box sx={{ width: 250, flexShrink: 0 }}>
      <svg
        viewBox={`0 0 ${Math.min(piece.width, 80)} ${piece.height}`}
        style={{ width: '100%', maxHeight: 170 }}
        aria-hidden
      >
        <use href={`#${symbolId(piece)}`} />
      </svg>
      <Typography variant="h3" sx={{ mt: 1 }}>
        {piece.code}
        {piece.words ? ` “${piece.words}”` : ''}
      </Typography>
      <Typography color="text.secondary">
        {called(kit.name)}, {sheet ? `sheet ${piece.sheet}` : 'on its roll'} · {piece.width} × {piece.height} mm
      </Typography>
      {sheet && (
        <Box sx={{ mt: 1.5, '& svg': { maxHeight: 340 } }}>
          <SheetView sheet={sheet} width="100%" lookOf={lookOf} onChoose={null} />
        </Box>
      )}
    </Box>
  );
}

function CutPicture({ context, cut }: { context: Context; cut: Cut }) {
  const piece = pieceIndex(context).get(pieceKey(cut));
  if (!piece) return null;
  const from = isRoll(piece) ? Math.min(...cut.pieces.map((r) => r.x)) : 0;
  const shown = isRoll(piece) ? Math.max(...cut.pieces.map(right)) - from : piece.width;
  const { unit } = context.book;
  const kept = cut.left.filter(worthKeeping);
  const scale = Math.min(8, 760 / (shown + 12), 420 / (piece.height + 14));
  return (
    <Box>
      <svg
        viewBox={`${num(from - 6)} -7 ${num(shown + 12)} ${num(piece.height + 14)}`}
        style={{ width: (shown + 12) * scale, maxWidth: '100%' }}
        role="img"
        aria-label={`Where to cut ${cut.code}`}
      >
        <svg
          x={from}
          y="0"
          width={shown}
          height={piece.height}
          viewBox={`${num(isRoll(piece) ? 0 : from)} 0 ${num(shown)} ${num(piece.height)}`}
          opacity=".85"
        >
          <use href={`#${symbolId(piece)}`} />
        </svg>
        {cut.pieces.map((r) => (
          <g key={r.placement} fontFamily="Figtree" fontWeight="600">
            <rect
              x={r.x}
              y={r.y}
              width={r.w}
              height={r.h}
              fill="none"
              stroke={GLASS.cranberry}
              strokeWidth=".5"
              strokeDasharray="1.6 1"
            />
            <text
              x={r.x + r.w / 2}
              y={r.y - 1.4}
              fontSize="3.4"
              textAnchor="middle"
              fill={GLASS.cranberry}
              stroke="#F7F5F0"
              strokeWidth="1"
              paintOrder="stroke"
            >
              {ruled(r.w, unit)}
            </text>
            <text
              x={r.x + r.w / 2}
              y={r.y + r.h / 2 + 1.2}
              fontSize="3.4"
              textAnchor="middle"
              fill={GLASS.cranberry}
              stroke="#F7F5F0"
              strokeWidth="1.2"
              paintOrder="stroke"
            >
              {ruled(r.h, unit)} high
            </text>
          </g>
        ))}
      </svg>
      <Typography color="text.secondary" sx={{ mt: 1 }}>
        {kept.length
          ? `Keep what is left: ${kept.map((o) => (o.rows ? `${o.rows} ${o.rows === 1 ? 'row' : 'rows'}` : `${ruled(o.w, unit)} × ${ruled(o.h, unit)}`)).join(' and ')}.`
          : 'Nothing worth keeping is left.'}
      </Typography>
    </Box>
  );
}
