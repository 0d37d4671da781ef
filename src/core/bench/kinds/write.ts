import type { Placement } from '../../spread/placement';
import { isPenDate } from '../../spread/dates-of';
import { footprint, isWriting } from '../../spread/placement';
import { rowsGoingOn } from '../../spread/list-text';
import type { Voice } from '../../spread/voice';
import { counted, dayName, quotedText } from '../../spread/voice';
import { measuredFrom } from '../measure-from';
import type { Edge } from '../step';
import { pieceKeyOf } from '../step-key';
import { partedRefs } from '../what-is-done';
import type { Among, StepKind, Unnumbered } from './step-kind';
import { shares } from './step-kind';
import { isWrittenFirst } from './write-first';

export interface AboutWrite {
  readonly is: 'write';
  readonly day: number | null;
  readonly texts: number;
  readonly pens: readonly string[];
  /** those of them that go straight onto the paper */
  readonly paper: readonly string[];
  /** boxes of rows that go on with the item above, each to be struck */
  readonly struck?: number;
}

const DAYS = [null, 0, 1, 2, 3, 4, 5, 6];

/** The texts of a day, or of sidebar and strips, on what is down by then and on the paper. */
export const writeStep: StepKind<AboutWrite> = {
  is: 'write',
  stepsOf: ({ context, placements }) =>
    DAYS.flatMap((day): Unnumbered<AboutWrite>[] => {
      const here = placements.filter((p) => p.text && p.day === day && !isWrittenFirst(context, p) && !isPenDate(p));
      if (!here.length) return [];
      const byRef = new Map(here.map((p) => [isWriting(p) ? p.id : `text:${p.id}`, p]));
      const step = (key: string | null, refs: readonly string[]): Unnumbered<AboutWrite> => {
        const own = refs.map((ref) => byRef.get(ref) as Placement);
        const paper = own.filter(isWriting).map((p) => p.id);
        const pens = [...new Set(own.flatMap((p) => p.ink ?? []))];
        const struck = own.reduce((n, p) => n + (p.text ? rowsGoingOn(p.text).length : 0), 0);
        const about = { is: 'write', day, texts: own.length, pens, paper, ...(struck ? { struck } : {}) } as const;
        return { do: 'write', key: key ?? pieceKeyOf('write', refs), refs, about };
      };
      const { done, left } = partedRefs('write', [...byRef.keys()], context.ticked);
      return [...done.map(({ key, things }) => step(key, things)), ...(left.length ? [step(null, left)] : [])];
    }),
  standsAt: ({ about }) => ({ part: 'ink', day: about.day ?? -1 }),
  edgesOf: writingEdges,
  say: ({ about }, voice) => {
    const where = about.day === null ? 'sidebar and strips' : dayName(voice, about.day);
    const pens = about.pens.length ? ` with ${about.pens.join(', ')}` : '';
    return `Write ${where}: ${counted(about.texts, 'text')}${pens}.${sayPaper(voice, about.paper)}${sayStruck(about.struck)}`;
  },
  size: ({ texts }) => texts,
  stickersOf: () => [],
};

/** Texts wait for what they are written on. */
export function writingEdges(step: Pick<Unnumbered, 'key' | 'refs'>, among: Among): Edge[] {
  return [...writtenOn(step.refs, among)].map((before) => ({ before, after: step.key, because: 'is written on' }));
}

/** Keys of the steps that lay what a text is written on. */
function writtenOn(refs: readonly string[], { placements, laidBy }: Among): Set<string> {
  const under = new Set<string>();
  for (const ref of refs) {
    const own = laidBy.get(ref.replace(/^text:/, ''));
    if (own) under.add(own);
    const writing = placements.find((p) => p.id === ref);
    if (!writing || !isWriting(writing)) continue;
    for (const p of placements) {
      const key = laidBy.get(p.id);
      if (key && p.page === writing.page && p.layer < writing.layer && shares(footprint(p), footprint(writing)))
        under.add(key);
    }
  }
  return under;
}

const sayStruck = (n = 0): string =>
  n
    ? ` Strike the ${n === 1 ? 'box of the row that goes' : `boxes of the ${n} rows that go`} on with the one above.`
    : '';

/** What goes straight onto the paper, and where a ruler finds its place. */
function sayPaper(voice: Voice, ids: readonly string[]): string {
  const said = ids.flatMap((id) => {
    const p = voice.placement(id);
    return p ? [`${quotedText(p.text ?? '')} ${measuredFrom(voice.context.book, p, voice.unit)}`] : [];
  });
  return said.length ? ` On the paper itself: ${said.join('; ')}.` : '';
}
