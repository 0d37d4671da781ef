import { demoContext, demoSpread } from '../../tests/fixtures';
import { apply } from '../core/edit/change';
import { movePiece } from '../core/edit/move';
import type { ContextData } from '../core/spread/context';
import type { Placement } from '../core/spread/placement';
import type { RemoteService, Running } from './arranger';
import { Arranger, WorkerStopped } from './arranger';
import type { ArrangeService } from './protocol';
import { arrangeService } from './service';

const { context, placements } = demoSpread();
const data: ContextData = {
  ...demoContext(),
  book: context.printed,
  manner: context.manner.name,
  favorites: [],
  options: {},
  ways: {},
};

/** A worker that is played: messages arrive in order, later; it can be made to end. */
function played(answering = true) {
  const service = arrangeService();
  const messages: [keyof ArrangeService, unknown[]][] = [];
  let end: (why: string) => void = () => {};
  let ended = 0;
  let last: Promise<unknown> = Promise.resolve();
  const remote = Object.fromEntries(
    (Object.keys(service) as (keyof ArrangeService)[]).map((name) => [
      name,
      (...args: unknown[]) => {
        messages.push([name, structuredClone(args)]);
        const answer = last.then(() => (service[name] as (...given: unknown[]) => unknown)(...args));
        last = answer.catch(() => {});
        return answering || name === 'begin' ? answer : new Promise(() => {});
      },
    ]),
  ) as unknown as RemoteService;
  const running: Running = {
    service: remote,
    onEnd: (told) => {
      end = told;
    },
    end: () => {
      ended++;
    },
  };
  return { running, messages, crash: (why: string) => end(why), ends: () => ended };
}

const names = (worker: ReturnType<typeof played>) => worker.messages.map(([name]) => name);

it('tells the context and the spread once, and from then on only what changed', async () => {
  const worker = played();
  const arranger = new Arranger(() => worker.running);
  const first = { context: data, placements: [] as readonly Placement[] };
  const change = await arranger.ask(first, 'rest');
  expect(change?.after.length).toBeGreaterThan(60);
  expect(await arranger.ask(first, 'rest')).toEqual(change);
  expect(names(worker)).toEqual(['begin', 'rest', 'rest']);

  const laid = apply([], change!);
  const box = laid.find((p) => p.role === 'box')!;
  const move = movePiece(context, laid, box.id, { page: box.page, x: box.x, y: box.y + 2, day: box.day })!;
  await arranger.ask({ context: data, placements: laid }, 'colors', '#123456');
  const gone = laid.filter((p) => p.id !== laid[0]!.id);
  const moved = apply(gone, { ...move, before: move.before.filter((p) => gone.includes(p)), after: move.after });
  const favorites = ['rockpool/FB-1'];
  await arranger.ask({ context: { ...data, favorites }, placements: moved }, 'colors', '#123456');
  expect(worker.messages.slice(-3).map(([name, args]) => [name, args])).toEqual([
    ['contextChanged', [{ favorites }]],
    ['placementsChanged', [[laid[0]!.id], expect.any(Array)]],
    ['colors', ['#123456']],
  ]);
  const come = worker.messages.at(-2)?.[1][1] as Placement[];
  expect(come.map((p) => p.id).sort()).toEqual(move.after.map((p) => p.id).sort());
});

it('works on what it was told last, as if it had been told it all at once', async () => {
  const worker = played();
  const arranger = new Arranger(() => worker.running);
  await arranger.ask({ context: data, placements: [] }, 'rest');
  const some = placements.filter((p) => p.day === 2);
  const told = await arranger.ask({ context: data, placements: some }, 'rest');
  const fresh = new Arranger(() => played().running);
  expect(await fresh.ask({ context: data, placements: some }, 'rest')).toEqual(told);
});

it('says when the worker crashed, and starts another one that is told everything', async () => {
  const workers = [played(false), played()];
  const started: unknown[] = [];
  const arranger = new Arranger(() => {
    const worker = workers[started.length]!;
    started.push(worker);
    return worker.running;
  });
  const subject = { context: data, placements };
  const asked = arranger.ask(subject, 'alternatives');
  workers[0]!.crash('out of memory');
  await expect(asked).rejects.toThrow(WorkerStopped);
  await expect(asked).rejects.toThrow('out of memory');
  expect(workers[0]!.ends()).toBe(1);
  await arranger.ask(subject, 'colors', '#123456');
  expect(started).toHaveLength(2);
  expect(names(workers[1]!)).toEqual(['begin', 'colors']);
});

it('fails every question that waits when the worker ends, not only the last', async () => {
  const worker = played(false);
  const arranger = new Arranger(() => worker.running);
  const subject = { context: data, placements };
  const asked = [arranger.ask(subject, 'anew'), arranger.ask(subject, 'alternatives')];
  worker.crash('gone');
  for (const question of asked) await expect(question).rejects.toThrow('gone');
});

it('hands on what the work itself throws, and goes on', async () => {
  const worker = played();
  const arranger = new Arranger(() => worker.running);
  const broken = { ...data, manner: 'no such school' };
  await expect(arranger.ask({ context: broken, placements: [] }, 'rest')).rejects.toThrow();
  const good = await arranger.ask({ context: data, placements: [] }, 'rest');
  expect(good?.after.length).toBeGreaterThan(60);
});

it('a service that was told nothing says so', () => {
  expect(() => arrangeService().rest()).toThrow('before it was told');
});
