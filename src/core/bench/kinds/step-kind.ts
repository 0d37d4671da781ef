import type { Rect } from '../../measure/rect';
import { intersect } from '../../measure/rect';
import type { Context, Placement } from '../../spread/placement';
import { footprint } from '../../spread/placement';
import type { Voice } from '../../spread/voice';
import type { Cut } from '../cuts';
import type { Measures } from '../measures';
import type { Edge, Part, Step, StepAbout } from '../step';
import type { WhiteOut } from '../white-out';

/** A step before it has its place in the order. */
export type Unnumbered<A extends StepAbout = StepAbout> = Omit<Step, 'n' | 'group' | 'about'> & { readonly about: A };

/** All that the work on a week is told by. */
export interface ToDo {
  readonly context: Context;
  readonly placements: readonly Placement[];
  /** items' bases with the overlays that lie wholly on them; all else alone */
  readonly stacks: readonly (readonly Placement[])[];
  readonly whiteOut: readonly WhiteOut[];
  readonly cuts: readonly Cut[];
  /** keys of steps that are done */
  readonly done: ReadonlySet<string>;
}

/** Where something lies, and how high. */
export type Spot = Rect & Pick<Placement, 'page' | 'layer'>;

/** The steps that a constraint is looked for among. */
export interface Among {
  readonly steps: readonly Unnumbered[];
  readonly placements: readonly Placement[];
  readonly whiteOut: readonly WhiteOut[];
  readonly spotsOf: (ids: readonly string[]) => Spot[];
  /** the steps that lay something, with where */
  readonly laid: readonly { readonly step: Unnumbered; readonly spots: readonly Spot[] }[];
  /** the key of the step that lays a placement */
  readonly laidBy: ReadonlyMap<string, string>;
}

/** A kind of step at the table: when there is one, what it waits for, what is said of it, how long it takes. */
export interface StepKind<A extends StepAbout = StepAbout> {
  readonly is: A['is'];
  readonly stepsOf: (work: ToDo) => Unnumbered<A>[];
  /** the part of the work and the place that it belongs to; `by`: where that placement does */
  readonly standsAt: (step: Unnumbered<A>) => {
    readonly part?: Part;
    readonly page?: number;
    readonly day?: number;
    readonly by?: string | undefined;
  };
  /** what must come before it, or after it, for its sake */
  readonly edgesOf: (step: Unnumbered<A>, among: Among) => Edge[];
  readonly say: (step: Pick<Unnumbered<A>, 'about' | 'refs'>, voice: Voice, measures: Measures) => string;
  /** how many of what its pace is told by it is */
  readonly size: (about: A) => number;
  /** the stickers that a mishap at it befalls */
  readonly stickersOf: (step: Pick<Unnumbered<A>, 'about' | 'refs' | 'do'>) => readonly string[];
}

/** Thinner than this a place that is shared is none, mm. */
const TOLERANCE = 0.01;

/** True where two things lie over each other, on whatever page. */
export const shares = (a: Rect, b: Rect): boolean =>
  a.x < b.x + b.w - TOLERANCE &&
  b.x < a.x + a.w - TOLERANCE &&
  a.y < b.y + b.h - TOLERANCE &&
  b.y < a.y + a.h - TOLERANCE;

export const spotOf = (p: Placement): Spot => ({ ...footprint(p), page: p.page, layer: p.layer });

/** True when some part of `a` lies under some part of `b`. */
export const liesUnder = (a: readonly Spot[], b: readonly Spot[]): boolean =>
  a.some((p) => b.some((q) => p.page === q.page && p.layer < q.layer && intersect(p, q) !== null));
