import { traits } from '../../kit/kinds';
import type { Piece } from '../../kit/kit';
import { looksAndSheet } from '../../spread/looks-name';
import { pieceKey } from '../../kit/kit';
import type { Unit } from '../../measure/fraction';
import { ruleStep } from '../../measure/fraction';
import type { Rect } from '../../measure/rect';
import { pieceIndex } from '../../spread/placement';
import type { Voice } from '../../spread/voice';
import { counted, mm } from '../../spread/voice';
import type { Cut } from '../cuts';
import type { Edge } from '../step';
import { partedCut } from '../what-is-done';
import type { StepKind } from './step-kind';

export interface AboutCut {
  readonly is: 'cut';
  readonly cut: Cut;
}

/** A sticker cut into its parts. What was cut stays cut; another part of the same sticker is another cut. */
export const cutStep: StepKind<AboutCut> = {
  is: 'cut',
  stepsOf: ({ cuts, done }) =>
    cuts.flatMap((whole, i) =>
      partedCut(whole, done).map(({ key, cut }) => ({
        do: 'cut' as const,
        key,
        refs: [`cut:${i}`],
        about: { is: 'cut' as const, cut },
      })),
    ),
  standsAt: ({ about }) => ({ by: about.cut.pieces[0]?.placement }),
  edgesOf: ({ key, about }, { steps, laidBy }) =>
    about.cut.pieces.flatMap(({ placement }) => {
      const first = steps.find((s) => s.about.is === 'write first' && s.about.placement === placement);
      return [laidBy.get(placement), first?.key].flatMap((after): Edge[] =>
        after === undefined ? [] : [{ before: key, after, because: 'is cut for it' }],
      );
    }),
  say: ({ about }, voice) => sayCut(voice, about.cut),
  size: () => 1,
  stickersOf: ({ about }) => about.cut.pieces.map((p) => p.placement),
};

function sayCut(voice: Voice, cut: Cut): string {
  const piece = pieceIndex(voice.context).get(pieceKey(cut));
  if (!piece) return `Cut ${cut.code}.`;
  return `Cut the ${looksAndSheet(piece)}: ${partsOf(voice, piece, cut)}.`;
}

/** `1 1/2 in × 1/4 in and 2 rows`: what a sticker is cut into. */
function partsOf(voice: Voice, piece: Piece, cut: Cut): string {
  const lengths = ruledParts(cut.pieces, piece, voice.unit);
  const parts = cut.pieces.map((r, i) => {
    const { w, h } = lengths[i] ?? r;
    const rows = piece.kind === 'checklist' ? Math.round(r.h / (piece.height / Math.max(1, piece.rows))) : 0;
    const narrower = r.w < piece.width - 0.05 ? `, ${mm(voice, w)} wide` : '';
    return rows ? `${counted(rows, 'row')}${narrower}` : `${mm(voice, w)} × ${mm(voice, h)}`;
  });
  return tallied(parts).join(' and ');
}

/** What is said more than once, said once with its number: `3 of 1 1/2 in × 1/4 in`. */
function tallied(said: readonly string[]): string[] {
  const counts = new Map<string, number>();
  for (const one of said) counts.set(one, (counts.get(one) ?? 0) + 1);
  return [...counts].map(([one, n]) => (n > 1 ? `${n} of ${one}` : one));
}

/**
 * Cuts that are alike are one thing to do: `Cut 7 headers to 1 1/2 in × 1/4 in each: 4 of the teal header (sheet 1) …`.
 * @param cuts of one kind of sticker, into parts that are said alike
 */
export function sayCuts(voice: Voice, cuts: readonly Cut[]): string {
  const index = pieceIndex(voice.context);
  const [first] = cuts as readonly [Cut];
  const piece = index.get(pieceKey(first));
  if (!piece || cuts.length === 1) return sayCut(voice, first);
  const names = cuts.map((cut) => {
    const own = index.get(pieceKey(cut));
    return own ? `the ${looksAndSheet(own)}` : cut.code;
  });
  return `Cut ${counted(cuts.length, traits(piece.kind).label, traits(piece.kind).plural)} alike, ${partsOf(voice, piece, first)} of each: ${tallied(names).join(', ')}.`;
}

/** What makes cuts alike: the kind of sticker, and what it is cut into, as it is said. */
export function cutLikeness(voice: Voice, cut: Cut): string | null {
  const piece = pieceIndex(voice.context).get(pieceKey(cut));
  return piece ? `${piece.kind}: ${partsOf(voice, piece, cut)}` : null;
}

/**
 * The sides of a sticker's parts as a ruler shows them: rounded, but side by side never more than there is.
 * @returns mm
 */
export function ruledParts(parts: readonly Rect[], whole: Pick<Piece, 'width' | 'height'>, unit: Unit) {
  const step = unit === 'in' ? ruleStep(unit) : 0.1;
  const side = (length: 'w' | 'h', cross: 'x' | 'y', wide: 'w' | 'h', most: number): number[] =>
    parts.map((own) => {
      const line = parts.filter(
        (p) => p[cross] < own[cross] + own[wide] - 0.05 && own[cross] < p[cross] + p[wide] - 0.05,
      );
      const rounded = roundedTo(line.map((p) => p[length]), most, step); // prettier-ignore
      return rounded[line.indexOf(own)] as number;
    });
  const [ws, hs] = [side('w', 'y', 'h', whole.width), side('h', 'x', 'w', whole.height)];
  return parts.map((_, i) => ({ w: ws[i] as number, h: hs[i] as number }));
}

/** Lengths to the nearest step; those that gain most by it lose a step, until together they are no more than `most`. */
function roundedTo(lengths: readonly number[], most: number, step: number): number[] {
  const rounded = lengths.map((l) => Math.max(1, Math.round(l / step)) * step);
  while (rounded.reduce((sum, l) => sum + l, 0) > most + 0.05) {
    const gains = rounded.map((l, i) => (l > step ? l - (lengths[i] as number) : -Infinity));
    const i = gains.indexOf(Math.max(...gains));
    if (gains[i] === -Infinity) break;
    rounded[i] = (rounded[i] as number) - step;
  }
  return rounded;
}
