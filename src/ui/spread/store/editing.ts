import { applies, apply } from '../../../core/edit/change';
import { moveBy, moveTogether } from '../../../core/edit/together';
import { contextFrom } from '../../../core/spread/context';
import { matchDemands } from '../../../core/spread/placement';
import { voiceOf } from '../../../core/spread/voice';
import { saveEdit, undoOrRedo, waveThrough } from '../../../server/actions';
import { mend } from '../../../server/repair-actions';
import { OTHER_WINDOW, sayMended } from './messages';
import type { Queue } from './queue';
import type { Editing, Get, Set } from './state';

export function editing(spreadId: number, get: Get, set: Set, queue: Queue): Editing {
  return {
    edit: (change) => {
      const { placements: before, history, selected, also, item, astray } = get();
      if (!change || !applies(before, change)) return;
      const placements = apply(before, change);
      set({
        placements,
        history: { ...history, undo: change.deed, redo: null },
        finding: null,
        selected: placements.some((p) => p.id === selected) ? selected : null,
        also: also.filter((id) => placements.some((p) => p.id === id)),
        glimpse: null,
        astray: astray && { ...astray, last: false },
        item: item !== null && matchDemands(placements, get().context.week.demands).has(item) ? null : item,
      });
      queue.add(
        () => saveEdit({ spreadId, change }),
        (saved) => set({ history: saved }),
      );
    },
    moved: (from) => {
      const { placements, context } = get();
      const now = placements.find((p) => p.id === from.id);
      const demand = context.week.demands.find((d) => from.items.includes(d.uid) && d.day === from.day);
      if (!now || now.day === null || now.day === from.day || !demand || demand.kind === 'band') return;
      set({ astray: { key: demand.key, day: now.day, last: true } });
    },
    nudge: (dx, dy) => {
      const { context, placements, selected, also, edit } = get();
      const p = placements.find((q) => q.id === selected);
      if (p && also.length) edit(moveTogether(context, placements, [p.id, ...also], dx, dy));
      else if (p) edit(moveBy(context, placements, p.id, dx, dy));
    },
    travel: (way) => {
      if (!get().history[way]) return;
      // the step that was seen when it was asked for: sent twice, it is taken once
      let revision: number | null = null;
      queue.add(
        () => undoOrRedo({ spreadId, way, revision: (revision ??= get().history.revision) }),
        (made) => {
          if (!made) return;
          const { change, history, withAgenda } = made;
          if (!applies(get().placements, change)) return void queue.fail([OTHER_WINDOW]);
          set({ placements: apply(get().placements, change), history, selected: null, finding: null });
          if (withAgenda) return queue.readAnew();
        },
        'read',
      );
    },
    wave: (key, wanted) =>
      queue.add(
        () => waveThrough({ spreadId, key, wanted }),
        (waved) => set({ waved, finding: null }),
      ),
    mishap: (placement, what) =>
      queue.add(
        () => mend({ spreadId, placement, what }),
        ({ repair, changed, spread }) => {
          const context = contextFrom(spread.context);
          set({
            data: spread,
            context,
            placements: spread.placements,
            history: spread.history,
            said: sayMended(repair, voiceOf(context, spread.placements)),
            changed,
            selected: null,
          });
        },
        'read',
      ),
  };
}
