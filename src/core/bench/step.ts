import type { AboutCut } from './kinds/cut';
import type { AboutLay } from './kinds/lay';
import type { AboutWhiteOut } from './kinds/white-out';
import type { AboutWrite } from './kinds/write';
import type { AboutDates } from './kinds/write-dates';
import type { AboutWriteFirst } from './kinds/write-first';

/** One thing to do at the table. */
export interface Step {
  readonly n: number;
  /** names it, see `step-key.ts` */
  readonly key: string;
  readonly do: 'white-out' | 'cut' | 'stack' | 'place' | 'write';
  /**
   * ids of placements and writings; `white:` and `cut:` with a number into those lists; `text:` with the id of the
   * sticker it is written on
   */
  readonly refs: readonly string[];
  readonly about: StepAbout;
  /** what it is done together with */
  readonly group: StepGroup;
}

/** What a step is about, as data; its kind (`kinds/registry.ts`) puts it into words. */
export type StepAbout = AboutWhiteOut | AboutCut | AboutLay | AboutWriteFirst | AboutDates | AboutWrite;

/** Work that is done in one go. */
export type StepGroup =
  | { readonly is: 'white-out'; readonly page: number }
  | { readonly is: 'knife' }
  | { readonly is: 'base'; readonly page: number }
  | { readonly is: 'sidebar' }
  | { readonly is: 'boxes' }
  | { readonly is: 'banner' }
  | { readonly is: 'day'; readonly day: number }
  | { readonly is: 'finish' }
  | { readonly is: 'permanent' }
  | { readonly is: 'ink' };

/** Why one step must come before another; `say-blocked.ts` puts it into words. */
export type Because =
  'lies under it' | 'is cut for it' | 'is whited out for it' | 'is written before' | 'is written on';

/** `before` must be done before `after`: keys of steps. */
export interface Edge {
  readonly before: string;
  readonly after: string;
  readonly because: Because;
}

/** A step with what an order ranks it by. */
export interface Work {
  readonly step: Omit<Step, 'n' | 'group'>;
  /** the part of the work that it belongs to; a cut and a text belong where their sticker does */
  readonly part: Part;
  readonly page: number;
  /** -1 for what is of no day */
  readonly day: number;
  readonly layer: number;
  readonly y: number;
  readonly x: number;
}

export const PARTS = ['white-out', 'base', 'sidebar', 'box', 'banner', 'day', 'finish', 'permanent', 'ink'] as const;
/** The parts of the work (handbook 4). */
export type Part = (typeof PARTS)[number];
