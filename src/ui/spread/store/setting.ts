import { patchedWeek } from '../../../core/remedy/remedy';
import type { Patch } from '../../../core/remedy/remedy';
import { sayRemedy } from '../../../core/remedy/say';
import { contextFrom } from '../../../core/spread/context';
import type { IsoDay } from '../../../core/week/week';
import { voiceOf } from '../../../core/spread/voice';
import { setStash } from '../../../server/actions';
import { tickSteps } from '../../../server/bench-actions';
import { keepBoth, moveItems } from '../../../server/agenda-actions';
import { setMannerOf } from '../../../server/manner-actions';
import type { Queue } from './queue';
import { MOVED_IN_AGENDA, MOVED_TOGETHER } from './messages';
import type { Get, Set, Setting } from './state';

export function setting(spreadId: number, get: Get, set: Set, queue: Queue): Setting {
  /** Does what a remedy does beside the spread: a tick at the bench, or a change of the agenda. */
  const beside = async ({ ticked, moved, bothMeant = [] }: Patch, withEdit: boolean) => {
    if (ticked) return tickSteps({ spreadId, steps: [ticked], done: true });
    const { uid, on, to } = moved ?? {};
    if (moved) return moveItems({ items: [{ uid, on }], to, ...(withEdit ? { withSpread: spreadId } : {}) });
    return keepBoth({ pairs: bothMeant.map(([one, other]) => ({ one, other })) });
  };
  return {
    afterSaving: queue.after,
    setManner: (manner, anew = false) =>
      queue.add(
        () => setMannerOf({ spreadId, manner }),
        ({ context, own }) => {
          const mannerBefore = { school: get().data.context.manner, ...get().data.own };
          set({ data: { ...get().data, context, own }, context: contextFrom(context), mannerBefore });
          if (anew) get().arrange('anew');
        },
      ),
    followSticker: () => {
      const { astray, context } = get();
      const demand = context.week.demands.find((d) => d.key === astray?.key);
      if (!astray || !demand) return;
      const patch: Patch = { moved: { uid: demand.uid, on: demand.on, to: context.week.days[astray.day] as IsoDay } };
      set({ astray: null });
      queue.add<unknown>(
        () => beside(patch, astray.last),
        () => {
          const now = get().data;
          const fresh = { ...now.context, week: patchedWeek(now.context.week, patch) };
          set({
            data: { ...now, context: fresh },
            context: contextFrom(fresh),
            said: astray.last ? MOVED_TOGETHER : MOVED_IN_AGENDA,
          });
        },
      );
    },
    setStash: (kits) =>
      queue.add(
        () => setStash({ spreadId, kits }),
        (context) => set({ data: { ...get().data, context }, context: contextFrom(context) }),
      ),
    remedy: ({ change, patch, deed }) => {
      if (change) get().edit(change);
      const { data, context, placements } = get();
      if (patch?.options || patch?.ways) {
        const options = { ...data.own.options, ...patch.options };
        get().setManner({ school: data.context.manner, options, ways: { ...data.own.ways, ...patch.ways } });
      }
      if (patch?.ticked || patch?.bothMeant || patch?.moved)
        queue.add<unknown>(
          () => beside(patch, change !== null),
          () => {
            const now = get().data;
            const ticked = [...(now.context.ticked ?? []), ...(patch.ticked ? [patch.ticked] : [])];
            const fresh = { ...now.context, week: patchedWeek(now.context.week, patch), ticked };
            set({ data: { ...now, context: fresh }, context: contextFrom(fresh), finding: null });
          },
        );
      set({ said: sayRemedy(deed, voiceOf(context, placements)) });
    },
  };
}
