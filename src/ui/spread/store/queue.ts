import { readSpread } from '../../../server/actions';
import { unreachable } from './messages';
import type { Get, Set } from './state';

export interface Queue {
  /** does it after all that waits already; what is on the disk is shown again when it fails */
  readonly add: (task: () => Promise<void>) => void;
  /** calls back when all that waits now is done */
  readonly after: (done: () => void) => void;
  /** shows what is on the disk, and why what was wanted is not */
  readonly fail: (messages: readonly string[]) => Promise<void>;
}

/** Saves in order, one after the other. */
export function saveQueue(get: Get, set: Set): Queue {
  let last: Promise<void> = Promise.resolve();
  const fail = async (messages: readonly string[]): Promise<void> => {
    set({ saving: 'failed', messages, selected: null });
    const fresh = await readSpread({ spreadId: get().data.id }).catch(() => null);
    if (fresh?.ok) set(fresh.value);
  };
  return {
    fail,
    after: (done) => {
      last = last.then(done);
    },
    add: (task) => {
      set({ saving: 'saving', messages: [] });
      last = last.then(task).catch((error: unknown) => fail([unreachable(error)]));
    },
  };
}
