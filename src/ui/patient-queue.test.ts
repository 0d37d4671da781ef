import type { NoAnswer } from './no-answer';
import { whyNoAnswer } from './no-answer';
import type { SaveStatus } from './patient-queue';
import { patientQueue } from './patient-queue';

const noPause = (): Promise<void> => Promise.resolve();

/** A queue whose failures are of the sorts given, one after the other. */
function queueOf(...sorts: readonly NoAnswer[]) {
  const standings: SaveStatus[] = [];
  const left = [...sorts];
  const queue = patientQueue(
    (s) => standings.push(s),
    noPause,
    () => Promise.resolve(left.shift() ?? 'away'),
  );
  let tries = 0;
  const send = (): Promise<string> =>
    tries++ < sorts.length ? Promise.reject(new Error('no')) : Promise.resolve('ok');
  const told: string[] = [];
  queue.add(
    send,
    (value, again) => void told.push(`${value}${again ? ' again' : ''}`),
    (why) => void told.push(why),
  );
  const after = () => new Promise<void>((done) => queue.after(done));
  return { queue, standings, told, after };
}

it('sends again while the server is away, or the door is closed, and says which', async () => {
  const { standings, told, after } = queueOf('away', 'closed', 'away');
  await after();
  expect(told).toEqual(['ok again']);
  expect(standings).toEqual(['saving', 'waiting', 'closed', 'waiting', 'saving', 'saved']);
});

it('gives back what a newer application does not know, and all after it, once each', async () => {
  const { queue, standings, told, after } = queueOf('newer');
  queue.add(
    () => Promise.reject(new Error('no')),
    () => void told.push('taken'),
    (why) => void told.push(why),
  );
  await after();
  expect(told).toHaveLength(2);
  expect(told[0]).toContain('updated meanwhile');
  expect(standings.at(-1)).toBe('newer');
});

it('gives back what a server that is there does not take three times', async () => {
  const { told, after } = queueOf('not taken', 'not taken', 'not taken');
  await after();
  expect(told).toEqual([expect.stringContaining('refused it')]);
  const again = queueOf('not taken', 'not taken');
  await again.after();
  expect(again.told).toEqual(['ok again']);
});

it('goes on after a sender that throws at once, and after one whose answer nobody can use', async () => {
  const { queue, told, after } = queueOf();
  const silent = jest.spyOn(console, 'error').mockImplementation(() => {});
  queue.add(
    () => Promise.resolve(1),
    () => {
      throw new Error('no');
    },
  );
  queue.add(
    () => Promise.resolve('last'),
    (value) => void told.push(value),
  );
  await after();
  expect(told).toEqual(['ok', 'last']);
  expect(silent).toHaveBeenCalled();
  silent.mockRestore();
});

describe('why there is no answer', () => {
  const unknown = Object.assign(new Error('x'), { name: 'UnrecognizedActionError' });
  it.each([
    ['away', new Error('x'), () => Promise.reject(new Error('no network'))],
    ['away', new Error('x'), () => Promise.resolve(new Response('', { status: 502 }))],
    ['closed', new Error('x'), () => Promise.resolve(new Response('', { status: 401 }))],
    ['newer', unknown, () => Promise.resolve(new Response('', { status: 200 }))],
    ['not taken', new Error('x'), () => Promise.resolve(new Response(null, { status: 204 }))],
  ] as const)('%s', async (why, error, ask) => expect(await whyNoAnswer(error, ask)).toBe(why));
});
