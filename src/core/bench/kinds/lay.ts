import { looksAndSheet } from '../../spread/looks-name';
import type { Placement } from '../../spread/placement';
import type { Voice } from '../../spread/voice';
import { dayName, sentence } from '../../spread/voice';
import { pageName } from '../measure-from';
import { sayPlace } from '../say-place';
import type { Measures } from '../measures';
import type { Edge } from '../step';
import { pieceKeyOf } from '../step-key';
import { twoEdges } from '../two-edges';
import { partedRefs } from '../what-is-done';
import type { StepKind, Unnumbered } from './step-kind';
import { liesUnder } from './step-kind';

/** The piece or stack that its refs name, the base first. */
export interface AboutLay {
  readonly is: 'lay';
}

/** A piece, or a stack built on the backing sheet (R2). What lies stays; what comes onto it later is laid by itself. */
export const layStep: StepKind<AboutLay> = {
  is: 'lay',
  stepsOf: ({ stacks, done: ticked }) =>
    stacks.flatMap((stack) => {
      const step = (key: string | null, refs: readonly string[]): Unnumbered<AboutLay> => {
        const work = refs.length > 1 ? 'stack' : 'place';
        return { do: work, key: key ?? pieceKeyOf(work, refs), refs, about: { is: 'lay' } };
      };
      const ids = stack.map((p) => p.id);
      const { done, left } = partedRefs('lay', ids, ticked);
      return [...done.map(({ key, things }) => step(key, things)), ...(left.length ? [step(null, left)] : [])];
    }),
  standsAt: ({ refs }) => ({ by: refs[0] }),
  edgesOf: ({ key, refs }, { laid, spotsOf }) => {
    const spots = spotsOf(refs);
    return laid
      .filter((other) => other.step.key !== key && liesUnder(spots, other.spots))
      .map((other): Edge => ({ before: key, after: other.step.key, because: 'lies under it' }));
  },
  say: ({ refs }, voice, measures) => {
    const unit = refs.flatMap((id) => voice.placement(id) ?? []);
    return sayLaying(voice, unit, measures);
  },
  size: () => 1,
  stickersOf: ({ refs }) => refs.slice(0, 1),
};

function sayLaying(voice: Voice, unit: readonly Placement[], measures: Measures): string {
  const [base, ...over] = unit;
  if (!base) return 'Lay what is not on the spread any more.';
  const { book } = voice.context;
  const day = base.day === null ? sentence(pageName(book, base.page)) : dayName(voice, base.day);
  const where = sayPlace(voice, base, measures.get(base.id) ?? twoEdges(voice.context, base, [], []));
  const called = (p: Placement): string => {
    const piece = voice.pieceOf(p);
    return piece ? looksAndSheet(piece) : 'piece';
  };
  if (!over.length) return `${day}: place the ${called(base)}, ${where}.`;
  const laid = over.map((p) => `the ${called(p)}`).join(' and ');
  return `${day}: on its backing sheet lay ${laid} on the ${called(base)}; move the stack over, ${where}.`;
}
