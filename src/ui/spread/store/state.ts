import type { Alternative, Wish } from '../../../core/compare/alternatives';
import type { Looked } from '../../../core/compare/looked';
import type { Hex } from '../../../core/color/color';
import type { Change } from '../../../core/edit/change';
import type { Piece } from '../../../core/kit/kit';
import type { Options } from '../../../core/manner/options/registry';
import type { Ways } from '../../../core/manner/ways/registry';
import type { Remedy } from '../../../core/remedy/remedy';
import type { ColorSwap } from '../../../core/repair/swap-color';
import type { Way } from '../../../core/repair/let-in';
import type { Finding } from '../../../core/review/finding';
import type { Context, Placement } from '../../../core/spread/placement';
import type { History } from '../../../db/spread-edits';
import type { SaveStatus } from '../../patient-queue';
import type { SpreadData } from '../../../server/spread-data';
import type { Mishap } from '../../../server/dto/spread.dto';
import type { Camera } from '../board/camera';

export type StepName = 'Week' | 'Kit' | 'Base' | 'Sidebar' | 'Boxes' | 'Days' | 'Finish' | 'Bench';
export type Zoom = 'both' | 0 | 1;
export type DrawerName = 'sheets' | 'items' | 'findings';

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
  /** what else is chosen beside it, to be moved or taken off in one go */
  readonly also: readonly string[];
  readonly picked: Piece | null;
  /** key of the item in hand, which has no place yet */
  readonly item: string | null;
  /** where the item in hand could go; null while that is worked out */
  readonly offers: readonly Way[] | null;
  /** an edit that is looked at before it is made */
  readonly glimpse: Change | null;
  readonly drawer: DrawerName;
  /** the book alone, without the drawer */
  readonly folded: boolean;
  /** what part of the book is looked at; null: all of the pages that are shown */
  readonly camera: Camera | null;
  readonly finding: Finding | null;
  readonly step: StepName | null;
  readonly zoom: Zoom;
  /** waiting: the server is away, and what was done is kept in this window */
  readonly saving: SaveStatus | 'failed';
  readonly busy: string | null;
  readonly messages: readonly string[];
  /** the manner before the last change of it, to go back to */
  readonly mannerBefore: MannerChoice | null;
  readonly waved: readonly string[];
  /** ids of what the last repair laid anew or moved */
  readonly changed: readonly string[];
  /** says what was done, and shows it */
  readonly said: string | null;
  /** an item whose sticker was dragged to another day, which the agenda does not know */
  readonly astray: { readonly key: string; readonly day: number; readonly last: boolean } | null;
}

/** What can be chosen, looked at and said; nothing of it is saved. */
export interface Looking {
  readonly select: (id: string | null) => void;
  /** chooses one more beside what is chosen, or lets it go again */
  readonly selectAlso: (id: string) => void;
  readonly pick: (piece: Piece | null) => void;
  /** takes an item in hand: its sticker is chosen, or places for it are offered */
  readonly pickItem: (key: string | null) => void;
  readonly setGlimpse: (change: Change | null) => void;
  readonly open: (drawer: DrawerName) => void;
  readonly fold: (folded: boolean) => void;
  readonly setCamera: (camera: Camera | null) => void;
  readonly show: (finding: Finding | null) => void;
  readonly setStep: (step: StepName | null) => void;
  readonly setZoom: (zoom: Zoom) => void;
  readonly dismiss: () => void;
  readonly complain: (messages: readonly string[]) => void;
}

/** Edits of the spread: seen at once, saved in order. */
export interface Editing {
  readonly edit: (change: Change | null) => void;
  /** says what a piece that was dragged away from a day left behind in the agenda */
  readonly moved: (from: Placement) => void;
  /** moves the chosen piece by some mm, from where it is by now: keys come faster than the screen is drawn */
  readonly nudge: (dx: number, dy: number) => void;
  readonly travel: (way: 'undo' | 'redo') => void;
  /** waves a finding through, or takes that back */
  readonly wave: (key: string, wanted: boolean) => void;
  /** a sticker was spoiled, or none is left: another takes its place; one that is kept for later leaves it open */
  readonly mishap: (id: string, what: Mishap) => void;
}

/** Settings of the spread. */
export interface Setting {
  /** lays out in another manner from now on; what lies there stays */
  readonly setManner: (manner: MannerChoice, anew?: boolean) => void;
  /** the agenda has the item on the day where its sticker lies now */
  readonly followSticker: () => void;
  readonly setStash: (kits: readonly string[]) => void;
  readonly remedy: (remedy: Remedy) => void;
  /** calls back when all that waits to be saved is saved */
  readonly afterSaving: (done: () => void) => void;
}

/** What the worker is asked. */
export interface Arranging {
  readonly arrange: (how: 'rest' | 'anew') => void;
  /** gives up what the worker is at; nothing is changed */
  readonly cancel: () => void;
  /** arranges one day alone; the others stay as they are */
  readonly arrangeDay: (day: number) => void;
  /** where the item in hand could go, best first */
  readonly askOffers: (key: string) => void;
  /** lets an item in with the fewest moves */
  readonly letIn: (key: string) => void;
  /** actions that take a finding away, each tried */
  readonly remediesOf: (finding: Finding) => Promise<readonly Remedy[]>;
  /** what it would come to to change one color for another */
  readonly colorSwapsOf: (from: Hex) => Promise<readonly ColorSwap[]>;
  readonly recolor: (swap: ColorSwap) => void;
  /** the week as it would be in another manner */
  readonly look: (manner: MannerChoice) => Promise<Looked>;
  /** other ways to lay the week out */
  readonly alternatives: (wish: Wish, onTried: (done: number, of: number) => void) => Promise<readonly Alternative[]>;
  /** the week put together from some of them, each day from one, in the settings of the first day's */
  readonly mixed: (sources: readonly Alternative[], from: readonly number[]) => Promise<readonly Placement[]>;
  /** lays the week out as chosen, each day from one of the alternatives, in the settings of the first */
  readonly choose: (sources: readonly Alternative[], from: readonly number[]) => void;
}

export type State = Shown & Looking & Editing & Setting & Arranging;

export type Get = () => State;
export type Set = (next: Partial<State>) => void;
