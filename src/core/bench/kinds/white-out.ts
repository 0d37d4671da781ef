import { counted, mm } from '../../spread/voice';
import { thePage } from '../measure-from';
import type { Edge } from '../step';
import { whiteOutKey } from '../step-key';
import { stillToWhiteOut } from '../what-is-done';
import type { Stroke } from '../strokes';
import { strokesOf, tapeLength } from '../strokes';
import type { WhiteOut } from '../white-out';
import type { Spot, StepKind, Unnumbered } from './step-kind';
import { shares } from './step-kind';

export interface AboutWhiteOut {
  readonly is: 'white-out';
  readonly page: number;
  readonly strokes: readonly Stroke[];
}

/** A page's printed lines and labels that nothing covers, in one go (handbook B1). */
export const whiteOutStep: StepKind<AboutWhiteOut> = {
  is: 'white-out',
  stepsOf: ({ context: { book, ticked }, placements, whiteOut }) =>
    book.pages.flatMap((_, page) => {
      const here = whiteOut.map((w, i) => ({ w, i })).filter(({ w }) => w.page === page);
      if (!here.length) return [];
      const ofPage = here.map(({ w }) => w);
      const step = (own: typeof here, what: readonly WhiteOut[], done?: string): Unnumbered<AboutWhiteOut>[] => {
        if (!own.length) return [];
        const strokes = strokesOf({ book, placements }, what);
        const about = { is: 'white-out', page, strokes } as const;
        const refs = own.map(({ i }) => `white:${i}`);
        return [{ do: 'white-out', key: done ?? whiteOutKey(page, what, strokes), refs, about }];
      };
      const key = ticked.find((k) => k.startsWith(`white-out:${page}:`));
      if (key === undefined) return step(here, ofPage);
      const left = stillToWhiteOut(ticked, page, ofPage);
      if (!left.length) return step(here, ofPage, key);
      const open = here.filter(({ w }) => stillToWhiteOut(ticked, page, [w]).length > 0);
      const settled = here.filter((h) => !open.includes(h));
      const settledOnes = settled.map(({ w }) => w);
      return [...step(settled, settledOnes, key), ...step(open, left)];
    }),
  standsAt: ({ about: { page } }) => ({ part: 'white-out', page }),
  edgesOf: ({ key, refs }, { whiteOut, laid, steps, spotsOf }) => {
    const patches = refs.flatMap((r) => whiteOut[Number(r.slice(6))] ?? []);
    const covers = (s: Spot): boolean => patches.some((w) => w.page === s.page && shares(w, s));
    const onPaper = ({ about, refs: ids }: Unnumbered): readonly string[] =>
      about.is === 'write' ? about.paper : about.is === 'write dates' ? ids : [];
    const texts = steps.filter((s) => spotsOf(onPaper(s)).some(covers));
    return [...laid.filter(({ spots }) => spots.some(covers)).map(({ step }) => step), ...texts].map((after): Edge => ({
      before: key,
      after: after.key,
      because: 'is whited out for it',
    }));
  },
  say: ({ about }, voice) =>
    `White out ${thePage(voice.context.book, about.page)} in ${counted(about.strokes.length, 'stroke')}, ${mm(voice, tapeLength(about.strokes))} of tape in all.`,
  size: ({ strokes }) => strokes.length,
  stickersOf: () => [],
};
