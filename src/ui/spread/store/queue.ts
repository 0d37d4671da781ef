import { readSpread } from '../../../server/actions';
import type { Outcome } from '../../../server/outcome';
import type { PatientQueue } from '../../patient-queue';
import { patientQueue } from '../../patient-queue';
import { dropped } from './messages';
import type { Get, Set } from './state';

export interface Queue {
  /**
   * Sends after all that waits already; what is on the disk is shown again when it is refused.
   * @param onLost what a refusal means of something that is sent again, since its first answer never came: `read` for
   * what may have been taken the first time, and is then refused the second
   */
  readonly add: <T>(
    send: () => Promise<Outcome<T>>,
    then: (value: T) => void | Promise<void>,
    onLost?: 'say' | 'read',
  ) => void;
  /** calls back when all that waits now is done */
  readonly after: PatientQueue['after'];
  /** shows what is on the disk */
  readonly readAnew: () => Promise<void>;
  /** shows what is on the disk, and why what was wanted is not */
  readonly fail: (messages: readonly string[]) => Promise<void>;
}

/** Saves in order, one after the other; kept here while the server is away. */
export function saveQueue(get: Get, set: Set): Queue {
  let refused = false;
  const queue = patientQueue((saving) => set({ saving: saving === 'saved' && refused ? 'failed' : saving }));
  const readAnew = async (): Promise<void> => {
    const fresh = await readSpread({ spreadId: get().data.id }).catch(() => null);
    if (fresh?.ok) set(fresh.value);
  };
  const fail = async (messages: readonly string[]): Promise<void> => {
    refused = true;
    const others = queue.drop();
    set({ messages: [...messages, ...(others > 0 ? [dropped(others)] : [])], selected: null });
    await readAnew();
  };
  return {
    fail,
    readAnew,
    after: queue.after,
    add: (send, then, onLost = 'say') => {
      refused = false;
      set({ messages: [] });
      queue.add(
        send,
        async (made, again) => {
          if (made.ok) await then(made.value);
          else if (again && onLost === 'read') await readAnew();
          else await fail(made.messages);
        },
        (why) => fail([why]),
      );
    },
  };
}
