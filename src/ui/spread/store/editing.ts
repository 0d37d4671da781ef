import { applies, apply } from '../../../core/edit/change';
import { movePiece } from '../../../core/edit/move';
import { contextFrom } from '../../../core/spread/context';
import { voiceOf } from '../../../core/spread/voice';
import { saveEdit, undoOrRedo, waveThrough } from '../../../server/actions';
import { mend } from '../../../server/repair-actions';
import { OTHER_WINDOW, sayMended } from './messages';
import type { Queue } from './queue';
import type { Editing, Get, Set } from './state';

export function editing(spreadId: number, get: Get, set: Set, queue: Queue): Editing {
  return {
    edit: (change) => {
      const { placements: before, history, selected } = get();
      if (!change || !applies(before, change)) return;
      const placements = apply(before, change);
      set({
        placements,
        history: { ...history, undo: change.deed, redo: null },
        finding: null,
        selected: placements.some((p) => p.id === selected) ? selected : null,
      });
      queue.add(async () => {
        const saved = await saveEdit({ spreadId, change });
        if (!saved.ok) return queue.fail(saved.messages);
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
      queue.add(async () => {
        const made = await undoOrRedo({ spreadId, way });
        if (!made.ok) return queue.fail(made.messages);
        if (!made.value) return set({ saving: 'saved' });
        const { change, history } = made.value;
        if (!applies(get().placements, change)) return queue.fail([OTHER_WINDOW]);
        set({
          placements: apply(get().placements, change),
          history,
          saving: 'saved',
          selected: null,
          finding: null,
        });
      });
    },
    wave: (key, wanted) =>
      queue.add(async () => {
        const made = await waveThrough({ spreadId, key, wanted });
        if (!made.ok) return queue.fail(made.messages);
        set({ waved: made.value, saving: 'saved', finding: null });
      }),
    mishap: (placement, what) =>
      queue.add(async () => {
        const made = await mend({ spreadId, placement, what });
        if (!made.ok) return set({ saving: 'saved', messages: made.messages });
        const { repair, changed, spread } = made.value;
        const context = contextFrom(spread.context);
        set({
          data: spread,
          context,
          placements: spread.placements,
          history: spread.history,
          saving: 'saved',
          said: sayMended(repair, voiceOf(context, spread.placements)),
          changed,
          selected: null,
        });
      }),
  };
}
