import type { Options } from './options';

/** How high a full box stands in its day: right under the header, or on the floor of the column. */
export type Height = 'high' | 'low';

/** A school: its habits, as default options and a few decisions (handbook 5). */
export interface Manner {
  readonly name: string;
  readonly habits: Options;
  /** printed rows of the columns are a system to keep, or only marks to hide */
  readonly keepsRows: boolean;
  /** patterns of box heights over the seven days, the best liked first (handbook W4) */
  readonly rhythms: readonly (readonly Height[])[];
}
