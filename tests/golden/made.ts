import { ICONS } from '../../src/core/art/icons';
import { drawPiece } from '../../src/core/art/draw-piece';
import { MOTIFS } from '../../src/core/art/motifs/registry';
import { USUAL_PLAN } from '../../src/core/bench/plan';
import { benchOf } from '../../src/core/bench/bench';
import { spreadSvg } from '../../src/core/format/spread-svg';
import { KIND_NAMES, SHAPES, traits } from '../../src/core/kit/kinds';
import { hashOf } from '../../src/core/measure/random';
import { remediesFor } from '../../src/core/remedy/remedies';
import { review, viewOf } from '../../src/core/review/review';
import type { Context, Placement } from '../../src/core/spread/placement';
import { corpus } from '../corpus';
import { demoKit, piece } from '../fixtures';
import { kitCorpus, laidOut } from '../kit-corpus';

/** What is held to the golden files: a name, and a mark for all that was made under it. */
export type Golden = Readonly<Record<string, string>>;

/** One week in so many of the corpus of odd kits. */
const EVERY = 5;

/** Trying remedies takes longest: of one week in so many. */
const REMEDIED = 6;

const mark = (made: unknown): string => hashOf(typeof made === 'string' ? made : JSON.stringify(made)).toString(36);

/** Numbers to a hundredth: what is less is nobody's. */
const rounded = (made: unknown): string =>
  JSON.stringify(made, (_, value: unknown) => (typeof value === 'number' ? Math.round(value * 100) / 100 : value));

/** Every motif, kind, outline and icon, and each design of the demo's kits, as drawn. */
export function drawings(): Golden {
  const drawn = Object.entries({
    motif: Object.keys(MOTIFS).map((motif) => [motif, piece({ kind: 'full-box', height: 48.3, motif })] as const),
    kind: KIND_NAMES.map((kind) => {
      const [width, height] = traits(kind).usual;
      return [kind, piece({ kind, width, height, words: 'to do', icon: 'heart', rows: 5, foil: 'gold' })] as const;
    }),
    outline: SHAPES.map((shape) => [shape, piece({ shape, height: 20 })] as const),
    icon: Object.keys(ICONS).map((icon) => [icon, piece({ kind: 'icon', width: 9, height: 9, icon })] as const),
    ...Object.fromEntries(
      ['rockpool', 'night-almanac', 'stash'].map((kit) => [kit, demoKit(kit).pieces.map((p) => [p.code, p] as const)]),
    ),
  }).flatMap(([what, pieces]) => pieces.map(([name, p]) => [`${what} ${name}`, mark(drawPiece(p, 'g'))] as const));
  return Object.fromEntries(drawn);
}

/** What is made of a week: its layout, what the review says of it, the order of work, its picture. */
function madeOf(context: Context, placements: readonly Placement[], remedied: boolean): string {
  const view = viewOf(context, placements);
  const findings = review(view);
  const bench = benchOf(context, placements, view.whiteOut, USUAL_PLAN);
  // it is no matter in which order the constraints are told
  const edges = bench.edges.map((e) => JSON.stringify(e)).sort();
  return [
    rounded(placements),
    rounded(findings),
    rounded(findings.slice(0, remedied ? 1 : 0).map((f) => remediesFor(context, placements, f))),
    rounded({ ...bench, edges }),
    spreadSvg(context, placements, view.whiteOut),
  ]
    .map(mark)
    .join(' ');
}

/** Weeks over all schools, books and sorts of kits. */
export function weeks(): Golden {
  const odd = kitCorpus(EVERY).map(
    (w, i) => [`${i} ${w.sort}, ${w.book}, ${w.manner}`, w.context, laidOut(w)] as const,
  );
  const usual = corpus().map((w) => [w.name, w.context, w.placements] as const);
  return Object.fromEntries(
    [...odd, ...usual].map(([name, c, placements], i) => [name, madeOf(c, placements, i % REMEDIED === 0)]),
  );
}
