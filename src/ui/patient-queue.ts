import type { NoAnswer } from './no-answer';
import { SAID_NO_ANSWER, whyNoAnswer } from './no-answer';

/**
 * How what was done in a window stands: on the disk, on its way, kept here till the server is back, kept here till
 * somebody comes in at the door again, or not to be saved by a page of an earlier version.
 */
export type SaveStatus = 'saved' | 'saving' | 'waiting' | 'closed' | 'newer';

/** The same in words; `failed`: it was refused. */
export const SAID: Readonly<Record<SaveStatus | 'failed', string>> = {
  saved: 'saved',
  saving: 'saving…',
  waiting: 'not saved yet: the server is away',
  closed: 'not saved yet: the door asks for the passphrase again. Sign in in another window; this one waits.',
  newer: 'not saved: Hobnail is a newer one now. Reload the page.',
  failed: 'not saved',
};

export interface PatientQueue {
  /**
   * Sends after all that waits already, again and again while the server is away.
   * @param then takes the answer; `again`: it was sent before, and may have been taken then
   * @param lost told why it will never be answered: what was wanted is given back
   */
  readonly add: <T>(
    send: () => Promise<T>,
    then: (answer: T, again: boolean) => void | Promise<void>,
    lost?: (why: string) => void | Promise<void>,
  ) => void;
  /** calls back when all that waits now is done */
  readonly after: (done: () => void) => void;
  /** leaves out what waits: it was built on what was refused. @returns how many it were */
  readonly drop: () => number;
}

const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 5000;
/** So often a server that is there may not take something: it may just have been started. */
const MOST_NOT_TAKEN = 3;

/**
 * Sends things in order, one after the other. While the server is away they are kept and sent when it is back; closing
 * the window meanwhile is warned of.
 */
export function patientQueue(
  onSaveStatus: (saveStatus: SaveStatus) => void,
  pause: (ms: number) => Promise<void> = pauseOrOnline,
  why: (error: unknown) => Promise<NoAnswer> = whyNoAnswer,
): PatientQueue {
  let last: Promise<void> = Promise.resolve();
  let waiting = 0;
  let generation = 0;
  let old = false;
  const begin = (): void => {
    if (waiting++ === 0) warnOnLeaving(true);
    onSaveStatus('saving');
  };
  const end = (): void => {
    if (--waiting > 0) return;
    warnOnLeaving(false);
    onSaveStatus(old ? 'newer' : 'saved');
  };
  return {
    add: (send, then, lost = () => {}) => {
      const mine = generation;
      begin();
      last = last.then(async () => {
        const told = (work: () => void | Promise<void>): Promise<void> =>
          Promise.resolve()
            .then(work)
            .catch((error: unknown) => console.error(error));
        for (let tries = 0, notTaken = 0; mine === generation; tries++) {
          const answer = await Promise.resolve()
            .then(send)
            .then(
              (value) => ({ value }),
              async (error: unknown) => why(error),
            );
          if (typeof answer === 'object') {
            if (tries) onSaveStatus('saving');
            await told(() => then(answer.value, tries > 0));
            break;
          }
          old ||= answer === 'newer';
          if (old || (answer === 'not taken' && ++notTaken === MOST_NOT_TAKEN)) {
            await told(() => lost(SAID_NO_ANSWER[answer]));
            break;
          }
          onSaveStatus(answer === 'closed' ? 'closed' : 'waiting');
          await pause(Math.min(LONGEST_PAUSE, FIRST_PAUSE * 2 ** tries));
        }
        end();
      });
    },
    after: (done) => {
      last = last.then(done);
    },
    drop: () => {
      generation++;
      return waiting - 1;
    },
  };
}

/** A pause that ends early when the machine finds its network again. */
const pauseOrOnline = (ms: number): Promise<void> =>
  new Promise((done) => {
    const end = (): void => {
      clearTimeout(timer);
      page?.removeEventListener('online', end);
      done();
    };
    const timer = setTimeout(end, ms);
    page?.addEventListener('online', end);
  });

/** The browser's window; none in a test of the core's neighbors. */
const page = typeof window === 'undefined' ? null : window;

function warnOnLeaving(wanted: boolean): void {
  if (wanted) page?.addEventListener('beforeunload', warn);
  else page?.removeEventListener('beforeunload', warn);
}

const warn = (event: BeforeUnloadEvent): void => event.preventDefault();
