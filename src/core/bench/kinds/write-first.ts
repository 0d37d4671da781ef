import { quotedText } from '../../spread/voice';
import type { Context, Placement } from '../../spread/placement';
import { isWriting } from '../../spread/placement';
import { isNearBinding } from '../near-binding';
import { pieceKeyOf } from '../step-key';
import type { StepKind } from './step-kind';

export interface AboutWriteFirst {
  readonly is: 'write first';
  readonly placement: string;
}

/** Texts near the binding, written on the backing sheet where that is the way (handbook P3). */
export const isWrittenFirst = ({ book, ways }: Context, p: Placement): boolean =>
  ways.nearBinding === 'written first' && !isWriting(p) && isNearBinding(book, p);

/** A text that is written before its sticker goes down. */
export const writeFirstStep: StepKind<AboutWriteFirst> = {
  is: 'write first',
  stepsOf: ({ context, stacks }) =>
    stacks.flat().flatMap((p) => {
      if (!isWrittenFirst(context, p)) return [];
      const refs = [`text:${p.id}`];
      const about = { is: 'write first', placement: p.id } as const;
      return [{ do: 'write' as const, key: pieceKeyOf('write', refs), refs, about }];
    }),
  standsAt: ({ about }) => ({ by: about.placement }),
  edgesOf: ({ key, about }, { laidBy }) => {
    const after = laidBy.get(about.placement);
    return after === undefined ? [] : [{ before: key, after, because: 'is written before' }];
  },
  say: ({ about }, voice) => {
    const p = voice.placement(about.placement);
    return `On its backing sheet write ${quotedText(p?.text ?? '')}${p?.ink ? ` with ${p.ink}` : ''}: its place is near the ${voice.context.book.binding.kind}.`;
  },
  size: () => 1,
  stickersOf: () => [],
};
