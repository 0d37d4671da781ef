import { isPenDate } from '../../spread/dates-of';
import { dayName } from '../../spread/voice';
import { pieceKeyOf } from '../step-key';
import { partedRefs } from '../what-is-done';
import type { StepKind, Unnumbered } from './step-kind';
import { writingEdges } from './write';

export interface AboutDates {
  readonly is: 'write dates';
  readonly pens: readonly string[];
}

/** The dates of a book without any, in one go where neither dot nor cover shows them (handbook B5). */
export const writeDatesStep: StepKind<AboutDates> = {
  is: 'write dates',
  stepsOf: ({ placements, context }) => {
    const dates = placements.filter(isPenDate);
    const pens = [...new Set(dates.flatMap((p) => p.ink ?? []))];
    const step = (key: string | null, refs: readonly string[]): Unnumbered<AboutDates> => ({
      do: 'write',
      key: key ?? pieceKeyOf('write', refs),
      refs,
      about: { is: 'write dates', pens },
    });
    const { done, left } = partedRefs(
      'write',
      dates.map((p) => p.id),
      context.ticked,
    );
    return [...done.map(({ key, things }) => step(key, things)), ...(left.length ? [step(null, left)] : [])];
  },
  standsAt: () => ({ part: 'ink', day: -1 }),
  edgesOf: writingEdges,
  say: ({ refs, about: { pens } }, voice) => {
    const said = refs.flatMap((id) => {
      const p = voice.placement(id);
      return p?.text && p.day !== null ? [/\d/.test(p.text[0] ?? '') ? `${dayName(voice, p.day)} “${p.text}”` : `“${p.text}”`] : []; // prettier-ignore
    });
    return `Write the dates${pens.length ? ` with ${pens.join(', ')}` : ''}: ${said.join(', ')}.`;
  },
  size: () => 1,
  stickersOf: () => [],
};
