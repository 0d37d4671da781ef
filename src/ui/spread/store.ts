'use client';

import type { Remote } from 'comlink';
import { wrap } from 'comlink';
import { createContext, useContext } from 'react';
import { createStore, useStore } from 'zustand';
import { contextFrom } from '../../core/spread/context';
import type { Alternative } from '../../core/compare/alternatives';
import type { Context, Placement } from '../../core/spread/placement';
import type { Change } from '../../core/edit/change';
import { applies, apply } from '../../core/edit/change';
import { movePiece } from '../../core/edit/move';
import type { Piece } from '../../core/kit/kit';
import type { Finding } from '../../core/review/finding';
import type { History } from '../../db/spreads';
import type { Options } from '../../core/manner/options';
import type { Ways } from '../../core/manner/ways';
import { mend } from '../../server/repair-actions';
import { setMannerOf } from '../../server/manner-actions';
import type { Hex } from '../../core/color/color';
import type { Remedy } from '../../core/remedy/remedy';
import { patchedWeek } from '../../core/remedy/remedy';
import type { ColorSwap } from '../../core/repair/swap-color';
import { keepBoth, moveItems } from '../../server/agenda-actions';
import { readSpread, saveEdit, tickStep, undoOrRedo, waveThrough } from '../../server/actions';
import type { SpreadData } from '../../server/spread-data';
import type { ArrangeService } from '../../workers/arrange.worker';

export type StepName = 'Week' | 'Kit' | 'Base' | 'Sidebar' | 'Boxes' | 'Days' | 'Finish' | 'Bench';
export type Zoom = 'both' | 0 | 1;

/** The pages that are seen: all of them, or the left or right one of two; of four the first or the last two. */
export function pagesShown(pages: number, zoom: Zoom): number[] {
  const all = Array.from({ length: pages }, (_, i) => i);
  if (zoom === 'both') return all;
  const half = Math.max(1, Math.floor(pages / 2));
  return all.slice(zoom * half, zoom * half + half);
}

interface State {
  readonly data: SpreadData;
  readonly context: Context;
  readonly placements: readonly Placement[];
  readonly history: History;
  readonly selected: string | null;
  readonly picked: Piece | null;
  readonly finding: Finding | null;
  readonly step: StepName | null;
  readonly zoom: Zoom;
  readonly saving: 'saved' | 'saving' | 'failed';
  readonly busy: string | null;
  readonly messages: readonly string[];
  readonly select: (id: string | null) => void;
  readonly pick: (piece: Piece | null) => void;
  readonly show: (finding: Finding | null) => void;
  readonly setStep: (step: StepName | null) => void;
  readonly setZoom: (zoom: Zoom) => void;
  readonly dismiss: () => void;
  readonly complain: (messages: readonly string[]) => void;
  readonly edit: (change: Change | null) => void;
  /** moves the chosen piece by some mm, from where it is by now: keys come faster than the screen is drawn */
  readonly nudge: (dx: number, dy: number) => void;
  readonly travel: (way: 'undo' | 'redo') => void;
  readonly arrange: (how: 'rest' | 'anew') => void;
  /** arranges one day alone; the others stay as they are */
  readonly arrangeDay: (day: number) => void;
  /** lays out in another manner from now on; what lies there stays */
  readonly setManner: (manner: MannerChoice, anew?: boolean) => void;
  /** the manner before the last change of it, to go back to */
  readonly mannerBefore: MannerChoice | null;
  readonly waved: readonly string[];
  /** waves a finding through, or takes that back */
  readonly wave: (key: string, wanted: boolean) => void;
  /** actions that take a finding away, each tried */
  readonly remediesOf: (finding: Finding) => Promise<readonly Remedy[]>;
  readonly remedy: (remedy: Remedy) => void;
  /** lets an item in with the fewest moves */
  readonly letIn: (key: string) => void;
  /** what it would come to to change one color for another */
  readonly colorSwapsOf: (from: Hex) => Promise<readonly ColorSwap[]>;
  readonly recolor: (swap: ColorSwap) => void;
  /** three other ways to lay the week out */
  readonly alternatives: () => Promise<readonly Alternative[]>;
  /** lays the week out as chosen, each day from one of the alternatives, in the settings of the first */
  readonly choose: (sources: readonly Alternative[], from: readonly number[]) => void;
  /** a sticker was spoiled, or none is left: another takes its place */
  readonly mishap: (id: string, what: 'spoiled' | 'out') => void;
  /** ids of what the last repair laid anew or moved */
  readonly changed: readonly string[];
  /** says what was done, and shows it */
  readonly said: string | null;
}

/** A school with what the spread sets beside its habits. */
export interface MannerChoice {
  readonly school: string;
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
}

let worker: Remote<ArrangeService> | null = null;
const arranger = (): Remote<ArrangeService> =>
  (worker ??= wrap<ArrangeService>(
    new Worker(new URL('../../workers/arrange.worker.ts', import.meta.url), { type: 'module' }),
  ));

/**
 * The spread screen's state. An edit is seen at once and saved in order, one after the other; when one fails,
 * what is on the disk is shown again and the reason is said.
 */
export function createSpreadStore(data: SpreadData) {
  let queue: Promise<void> = Promise.resolve();
  const store = createStore<State>()((set, get) => {
    const fail = async (messages: readonly string[]): Promise<void> => {
      const fresh = await readSpread({ spreadId: data.id }).catch(() => null);
      set({ saving: 'failed', messages, selected: null, ...(fresh?.ok ? fresh.value : {}) });
    };
    const enqueue = (task: () => Promise<void>): void => {
      set({ saving: 'saving', messages: [] });
      queue = queue
        .then(task)
        .catch((error: unknown) =>
          fail([
            `The server could not be reached: ${error instanceof Error ? error.message : String(error)}. What is shown is what was last saved.`,
          ]),
        );
    };
    return {
      data,
      context: contextFrom(data.context),
      placements: data.placements,
      history: data.history,
      selected: null,
      picked: null,
      finding: null,
      step: null,
      zoom: 'both',
      saving: 'saved',
      busy: null,
      messages: [],
      mannerBefore: null,
      waved: data.waved,
      said: null,
      changed: [],
      select: (selected) => set({ selected, picked: null }),
      pick: (picked) => set({ picked, selected: null }),
      show: (finding) =>
        set({ finding, ...(finding?.placements[0] ? { selected: finding.placements[0], picked: null } : {}) }),
      setStep: (step) => set({ step }),
      setZoom: (zoom) => set({ zoom }),
      dismiss: () => set({ messages: [], mannerBefore: null, said: null, changed: [] }),
      complain: (messages) => set({ messages }),
      edit: (change) => {
        if (!change || !applies(get().placements, change)) return;
        const placements = apply(get().placements, change);
        set({
          placements,
          history: { ...get().history, undo: change.label, redo: null },
          finding: null,
          selected: placements.some((p) => p.id === get().selected) ? get().selected : null,
        });
        enqueue(async () => {
          const saved = await saveEdit({ spreadId: data.id, change });
          if (!saved.ok) return fail(saved.messages);
          set({ saving: 'saved', history: saved.value });
        });
      },
      nudge: (dx, dy) => {
        const { context, placements, selected, edit } = get();
        const p = placements.find((q) => q.id === selected);
        if (p) edit(movePiece(context, placements, p.id, { page: p.page, x: p.x + dx, y: p.y + dy, day: p.day }));
      },
      travel: (way) => {
        if (!get().history[way]) return;
        enqueue(async () => {
          const made = await undoOrRedo({ spreadId: data.id, way });
          if (!made.ok) return fail(made.messages);
          if (!made.value) return set({ saving: 'saved' });
          const { change, history } = made.value;
          if (!applies(get().placements, change))
            return fail(['This spread was changed in another window. It has been loaded anew.']);
          set({ placements: apply(get().placements, change), history, saving: 'saved', selected: null, finding: null });
        });
      },
      arrange: (how) => {
        if (get().busy) return;
        set({ busy: how === 'rest' ? 'Arranging what is open…' : 'Arranging anew…', selected: null, picked: null });
        const { placements } = get();
        arranger()
          [how](get().data.context, placements as Placement[])
          .then((change) => {
            set({ busy: null });
            if (change) get().edit(change as Change);
            else
              set({
                messages: [
                  'Nothing more could be placed: what is still open has no room, or no sticker. The findings say why.',
                ],
              });
          })
          .catch((error: unknown) =>
            set({
              busy: null,
              messages: [
                `The arranging stopped: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
              ],
            }),
          );
      },
      arrangeDay: (day) => {
        if (get().busy) return;
        set({ busy: 'Arranging the day…', selected: null, picked: null });
        arranger()
          .day(get().data.context, get().placements as Placement[], day)
          .then((change) => {
            set({ busy: null });
            if (change) get().edit(change as Change);
          })
          .catch((error: unknown) =>
            set({
              busy: null,
              messages: [
                `The arranging stopped: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
              ],
            }),
          );
      },
      wave: (key, wanted) =>
        enqueue(async () => {
          const made = await waveThrough({ spreadId: data.id, key, wanted });
          if (!made.ok) return fail(made.messages);
          set({ waved: made.value, saving: 'saved', finding: null });
        }),
      remediesOf: async (finding) =>
        (await arranger().remedies(get().data.context, get().placements as Placement[], finding)) as readonly Remedy[],
      remedy: ({ change, patch, label }) => {
        if (change) get().edit(change);
        const { own, context } = get().data;
        if (patch?.options || patch?.ways)
          get().setManner({
            school: context.manner,
            options: { ...own.options, ...patch.options },
            ways: { ...own.ways, ...patch.ways },
          });
        if (patch?.ticked || patch?.bothMeant || patch?.moved)
          enqueue(async () => {
            const { ticked, bothMeant = [], moved } = patch;
            const made = ticked
              ? await tickStep({ spreadId: data.id, step: ticked, done: true })
              : moved
                ? await moveItems({ items: [{ uid: moved.uid, on: moved.on }], to: moved.to })
                : await keepBoth({ pairs: bothMeant.map(([one, other]) => ({ one, other })) });
            if (!made.ok) return fail(made.messages);
            const now = get().data;
            const fresh = {
              ...now.context,
              week: patchedWeek(now.context.week, patch),
              ticked: [...(now.context.ticked ?? []), ...(ticked ? [ticked] : [])],
            };
            set({ data: { ...now, context: fresh }, context: contextFrom(fresh), saving: 'saved', finding: null });
          });
        set({ said: label });
      },
      colorSwapsOf: async (from) =>
        (await arranger().colors(get().data.context, get().placements as Placement[], from)) as readonly ColorSwap[],
      recolor: ({ change, swapped, left }) => {
        get().edit(change);
        set({
          said: `${change.label}: ${swapped} ${swapped === 1 ? 'piece' : 'pieces'} changed, nothing moved.${left ? ` ${left} stay: nothing of that color fits there, or they are stuck down.` : ''}`,
          changed: change.after.map((p) => p.id),
          selected: null,
        });
      },
      alternatives: async () =>
        (await arranger().alternatives(get().data.context, get().placements as Placement[])) as readonly Alternative[],
      choose: (sources, from) => {
        const main = sources[from[0] ?? 0];
        if (!main) return;
        const { own, context } = get().data;
        const label = new Set(from).size > 1 ? 'Lay the week out from several' : 'Lay the week out otherwise';
        set({ busy: 'Laying it out…' });
        const changed = Object.keys({ ...main.options, ...main.ways }).length > 0;
        if (changed)
          get().setManner({
            school: context.manner,
            options: { ...own.options, ...main.options },
            ways: { ...own.ways, ...main.ways },
          });
        queue = queue
          .then(async () => {
            const order = [main, ...sources.filter((s) => s !== main)];
            const change = await arranger().mix(
              get().data.context,
              get().placements as Placement[],
              order.map((s) => s.placements as Placement[]),
              from.map((n) => order.indexOf(sources[n] as Alternative)),
              label,
            );
            set({ busy: null });
            get().edit(change as Change);
            set({ said: `${label}: ${main.says}` });
          })
          .catch((error: unknown) =>
            set({
              busy: null,
              messages: [`It stopped: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`],
            }),
          );
      },
      mishap: (placement, what) =>
        enqueue(async () => {
          const made = await mend({ spreadId: data.id, placement, what });
          if (!made.ok) return set({ saving: 'saved', messages: made.messages });
          const { said, changed, spread } = made.value;
          set({
            data: spread,
            context: contextFrom(spread.context),
            placements: spread.placements,
            history: spread.history,
            saving: 'saved',
            said,
            changed,
            selected: null,
          });
        }),
      letIn: (key) => {
        set({ busy: 'Looking for a place…' });
        arranger()
          .letIn(get().data.context, get().placements as Placement[], key)
          .then((repair) => {
            set({ busy: null });
            if (!repair)
              return set({ messages: ['It does not fit into its day as that is. The finding about it has ways out.'] });
            get().edit(repair.change as Change);
            set({
              said: `${repair.change.label}: ${repair.moved === 0 ? 'nothing had to move' : `${repair.moved} ${repair.moved === 1 ? 'piece' : 'pieces'} moved for it`}.`,
              changed: repair.change.after.map((p) => p.id),
              selected: null,
            });
          })
          .catch((error: unknown) =>
            set({
              busy: null,
              messages: [`It stopped: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`],
            }),
          );
      },
      setManner: (manner, anew = false) =>
        enqueue(async () => {
          const before = { school: get().data.context.manner, ...get().data.own };
          const made = await setMannerOf({ spreadId: data.id, manner });
          if (!made.ok) return fail(made.messages);
          const { context, own } = made.value;
          set({
            data: { ...get().data, context, own },
            context: contextFrom(context),
            saving: 'saved',
            mannerBefore: before,
          });
          if (anew) get().arrange('anew');
        }),
    };
  });
  return store;
}

export type SpreadStore = ReturnType<typeof createSpreadStore>;
export const SpreadStoreContext = createContext<SpreadStore | null>(null);

/** Reads from the spread screen's store. */
export function useSpread<T>(read: (state: State) => T): T {
  const store = useContext(SpreadStoreContext);
  if (!store) throw new Error('useSpread outside the spread screen');
  return useStore(store, read);
}
