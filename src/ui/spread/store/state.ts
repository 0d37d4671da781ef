import type { Alternative } from '../../../core/compare/alternatives';
import type { Hex } from '../../../core/color/color';
import type { Change } from '../../../core/edit/change';
import type { Piece } from '../../../core/kit/kit';
import type { Options } from '../../../core/manner/options/registry';
import type { Ways } from '../../../core/manner/ways/registry';
import type { Remedy } from '../../../core/remedy/remedy';
import type { ColorSwap } from '../../../core/repair/swap-color';
import type { Finding } from '../../../core/review/finding';
import type { Context, Placement } from '../../../core/spread/placement';
import type { History } from '../../../db/spread-edits';
import type { Standing } from '../../patient-queue';
import type { SpreadData } from '../../../server/spread-data';

export type StepName = 'Week' | 'Kit' | 'Base' | 'Sidebar' | 'Boxes' | 'Days' | 'Finish' | 'Bench';
export type Zoom = 'both' | 0 | 1;

/** A school with what the spread sets beside its habits. */
export interface MannerChoice {
  readonly school: string;
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
}

/** What the spread screen shows. */
export interface Shown {
  readonly data: SpreadData;
  readonly context: Context;
  readonly placements: readonly Placement[];
  readonly history: History;
  readonly selected: string | null;
  readonly picked: Piece | null;
  readonly finding: Finding | null;
  readonly step: StepName | null;
  readonly zoom: Zoom;
  /** waiting: the server is away, and what was done is kept in this window */
  readonly saving: Standing | 'failed';
  readonly busy: string | null;
  readonly messages: readonly string[];
  /** the manner before the last change of it, to go back to */
  readonly mannerBefore: MannerChoice | null;
  readonly waved: readonly string[];
  /** ids of what the last repair laid anew or moved */
  readonly changed: readonly string[];
  /** says what was done, and shows it */
  readonly said: string | null;
}

/** What can be chosen, looked at and said; nothing of it is saved. */
export interface Looking {
  readonly select: (id: string | null) => void;
  readonly pick: (piece: Piece | null) => void;
  readonly show: (finding: Finding | null) => void;
  readonly setStep: (step: StepName | null) => void;
  readonly setZoom: (zoom: Zoom) => void;
  readonly dismiss: () => void;
  readonly complain: (messages: readonly string[]) => void;
}

/** Edits of the spread: seen at once, saved in order. */
export interface Editing {
  readonly edit: (change: Change | null) => void;
  /** moves the chosen piece by some mm, from where it is by now: keys come faster than the screen is drawn */
  readonly nudge: (dx: number, dy: number) => void;
  readonly travel: (way: 'undo' | 'redo') => void;
  /** waves a finding through, or takes that back */
  readonly wave: (key: string, wanted: boolean) => void;
  /** a sticker was spoiled, or none is left: another takes its place */
  readonly mishap: (id: string, what: 'spoiled' | 'out') => void;
}

/** Settings of the spread. */
export interface Setting {
  /** lays out in another manner from now on; what lies there stays */
  readonly setManner: (manner: MannerChoice, anew?: boolean) => void;
  /** chooses the kits that the spread may take from beside its own */
  readonly setStash: (kits: readonly string[]) => void;
  readonly remedy: (remedy: Remedy) => void;
  /** calls back when all that waits to be saved is saved */
  readonly afterSaving: (done: () => void) => void;
}

/** What the worker is asked. */
export interface Arranging {
  readonly arrange: (how: 'rest' | 'anew') => void;
  /** arranges one day alone; the others stay as they are */
  readonly arrangeDay: (day: number) => void;
  /** lets an item in with the fewest moves */
  readonly letIn: (key: string) => void;
  /** actions that take a finding away, each tried */
  readonly remediesOf: (finding: Finding) => Promise<readonly Remedy[]>;
  /** what it would come to to change one color for another */
  readonly colorSwapsOf: (from: Hex) => Promise<readonly ColorSwap[]>;
  readonly recolor: (swap: ColorSwap) => void;
  /** other ways to lay the week out */
  readonly alternatives: () => Promise<readonly Alternative[]>;
  /** lays the week out as chosen, each day from one of the alternatives, in the settings of the first */
  readonly choose: (sources: readonly Alternative[], from: readonly number[]) => void;
}

export type State = Shown & Looking & Editing & Setting & Arranging;

export type Get = () => State;
export type Set = (next: Partial<State>) => void;
