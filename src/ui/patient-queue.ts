/** How what was done in a window stands: on the disk, on its way, or kept here till the server is back. */
export type Standing = 'saved' | 'saving' | 'waiting';

/** The same in words; `failed`: it was refused. */
export const SAID: Readonly<Record<Standing | 'failed', string>> = {
  saved: 'saved',
  saving: 'saving…',
  waiting: 'not saved yet: the server is away',
  failed: 'not saved',
};

export interface PatientQueue {
  /**
   * Sends after all that waits already, again and again until the server has answered.
   * @param then takes the answer; `again`: it was sent before, and may have been taken then
   */
  readonly add: <T>(send: () => Promise<T>, then: (answer: T, again: boolean) => void | Promise<void>) => void;
  /** calls back when all that waits now is done */
  readonly after: (done: () => void) => void;
  /** leaves out what waits: it was built on what was refused. @returns how many it were */
  readonly drop: () => number;
}

const FIRST_PAUSE = 500;
const LONGEST_PAUSE = 5000;

/**
 * Sends things in order, one after the other. While the server is away they are kept and sent when it is back; closing
 * the window meanwhile is warned of.
 */
export function patientQueue(
  onStanding: (standing: Standing) => void,
  pause: (ms: number) => Promise<void> = pauseOrOnline,
): PatientQueue {
  let last: Promise<void> = Promise.resolve();
  let waiting = 0;
  let generation = 0;
  const begin = (): void => {
    if (waiting++ === 0) warnOnLeaving(true);
    onStanding('saving');
  };
  const end = (): void => {
    if (--waiting > 0) return;
    warnOnLeaving(false);
    onStanding('saved');
  };
  return {
    add: (send, then) => {
      const mine = generation;
      begin();
      last = last.then(async () => {
        for (let tries = 0; mine === generation; tries++) {
          const answer = await send().then(
            (value) => ({ value }),
            () => null, // no answer, or none that can be read: the server is away
          );
          if (answer) {
            if (tries) onStanding('saving');
            await Promise.resolve(then(answer.value, tries > 0)).catch((error: unknown) => console.error(error));
            break;
          }
          onStanding('waiting');
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
