import { MessageChannel } from 'node:worker_threads';
import { answerOn } from '../../src/server/heavy/answer-on';

/** Tests run the works on their own thread: what was bundled for the other one is not there. */
export function newThread() {
  const { port1, port2 } = new MessageChannel();
  answerOn(port2);
  port2.unref();
  port1.unref();
  return port1;
}
