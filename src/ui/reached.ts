import type { Outcome } from '../server/outcome';
import { SAID_NO_ANSWER, whyNoAnswer } from './no-answer';

/** Asks the server once; where nothing comes back, why not is the answer. It never throws: no dialog stays busy. */
export const reached = <T>(send: () => Promise<Outcome<T>>): Promise<Outcome<T>> =>
  send().catch(async (error: unknown) => ({ ok: false, messages: [SAID_NO_ANSWER[await whyNoAnswer(error)]] }));
