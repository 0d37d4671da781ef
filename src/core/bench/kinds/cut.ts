import { traits } from '../../kit/kinds';
import { isRoll, pieceKey } from '../../kit/kit';
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
  const parts = cut.pieces.map((r) => {
    const rows = piece.kind === 'checklist' ? Math.round(r.h / (piece.height / Math.max(1, piece.rows))) : 0;
    const narrower = r.w < piece.width - 0.05 ? `, ${mm(voice, r.w)} wide` : '';
    return rows ? `${counted(rows, 'row')}${narrower}` : `${mm(voice, r.w)} × ${mm(voice, r.h)}`;
  });
  const copy = piece.count > 1 ? `, copy ${cut.copy}` : '';
  const where = isRoll(piece) ? 'roll' : `sheet ${piece.sheet}`;
  return `Cut ${traits(piece.kind).label} ${cut.code}${copy} (${where}): ${parts.join(' and ')}.`;
}
