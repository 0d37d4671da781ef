import type { Draft } from '../spread/draft';
import type { OpenPlace } from '../spread/open-places';
import type { Context, Placement, Unplaced } from '../spread/placement';
import type { WhiteOut } from '../bench/white-out';
import type { Piece } from '../kit/kit';
import type { Demand } from '../week/demand';

/** stop: the week would not work; fix: it would show; look: worth knowing before the glue. */
export type Severity = 'stop' | 'fix' | 'look';

/** Something that would go wrong, or should be known, with its place on a page in mm. */
export interface Finding {
  readonly rule: string;
  readonly severity: Severity;
  readonly page: number;
  readonly x: number;
  readonly y: number;
  /** ids of the placements it is about */
  readonly placements: readonly string[];
  /** one sentence with millimeters or counts, as a friend at the table would say it */
  readonly message: string;
  readonly remedy: string;
}

/** All that a rule looks at, worked out once. */
export interface View {
  readonly context: Context;
  readonly placements: readonly Placement[];
  readonly whiteOut: readonly WhiteOut[];
  readonly unplaced: readonly (Unplaced & { readonly demand: Demand })[];
  /** which placement carries which demand, by the demand's key */
  readonly carriers: ReadonlyMap<string, Placement>;
  /** empty places kept for what is written in afterwards */
  readonly openPlaces: readonly OpenPlace[];
  /** the spread as a draft: what is free, and which stickers are left; not to be added to */
  readonly draft: Draft;
  readonly pieceOf: (p: Pick<Placement, 'kit' | 'code'>) => Piece | undefined;
}

/** One rule of the handbook, named by its code. */
export interface Rule {
  readonly code: string;
  readonly title: string;
  readonly check: (view: View) => readonly Finding[];
}
