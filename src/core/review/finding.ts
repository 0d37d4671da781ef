import type { Stroke } from '../bench/strokes';
import type { WhiteOut } from '../bench/white-out';
import type { Kind } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import type { Section } from '../manner/section';
import type { Draft } from '../spread/draft';
import type { OpenPlace } from '../spread/open-places';
import type { Context, Placement } from '../spread/placement';
import type { Voice } from '../spread/voice';
import type { Demand } from '../week/demand';
import type { Missing } from './unplaced';

/** stop: the week would not work; fix: it would show; look: worth knowing before the glue. */
export type Severity = 'stop' | 'fix' | 'look';

/**
 * What a finding is about, as data: remedies look for their subject here, and its name in `wave.ts` is made of it.
 * A rule adds what else it measured under names of its own.
 */
export interface About {
  /** which of its rule's cases it is */
  readonly is: string;
  /** days of the week, 0-6 */
  readonly days?: readonly number[];
  /** keys of demands */
  readonly demands?: readonly string[];
  /** `kit/code` */
  readonly pieces?: readonly string[];
  readonly kit?: string;
  readonly kind?: Kind;
  readonly section?: Section;
  readonly side?: 'left' | 'right';
  /** the length it is about */
  readonly mm?: number;
}

/** Something that would go wrong, or should be known, with its place on a page in mm. */
export interface Finding<A extends About = About> {
  /** code of the rule, as in the handbook */
  readonly rule: string;
  readonly severity: Severity;
  readonly page: number;
  readonly x: number;
  readonly y: number;
  /** ids of the placements it is about */
  readonly placements: readonly string[];
  readonly about: A;
}

/** A finding in words. */
export interface Said {
  /** one sentence with millimeters or counts, as a friend at the table would say it */
  readonly message: string;
  readonly remedy: string;
}

/** All that a rule looks at, worked out once. */
export interface View {
  readonly context: Context;
  readonly placements: readonly Placement[];
  readonly whiteOut: readonly WhiteOut[];
  /** what of it is still to do, by pages, and the strokes that do it */
  readonly toWhiteOut: readonly { readonly list: readonly WhiteOut[]; readonly strokes: readonly Stroke[] }[];
  readonly unplaced: readonly Missing[];
  /** which placement carries which demand, by the demand's key */
  readonly carriers: ReadonlyMap<string, Placement>;
  /** empty places kept for what is written in afterwards */
  readonly openPlaces: readonly OpenPlace[];
  /** the spread as a draft: what is free, and which stickers are left; not to be added to */
  readonly draft: Draft;
  readonly pieceOf: (p: Pick<Placement, 'kit' | 'code'>) => Piece | undefined;
  readonly demandOf: (key: string) => Demand | undefined;
}

/** One rule of the handbook, named by its code: what it looks for, and how that is said. */
export interface Rule<A extends About = About> {
  readonly code: string;
  readonly title: string;
  readonly check: (view: View) => readonly Finding<A>[];
  /** A method, so that a rule with cases of its own is a rule like any other. */
  say(finding: Finding<A>, voice: Voice): Said;
}
