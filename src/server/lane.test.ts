import { Lane } from './lane';

const turn = () => new Promise<void>((go) => setImmediate(go));

it('so many run at a time, the others in their order; one that fails lets the next go', async () => {
  const lane = new Lane(2);
  const [began, ends]: [number[], (() => void)[]] = [[], []];
  const run = (n: number) =>
    lane.run(
      () =>
        new Promise<number>((done, fail) => {
          began.push(n);
          ends.push(() => (n === 1 ? fail(new Error('one')) : done(n)));
        }),
    );
  const all = [1, 2, 3, 4].map(run);
  const failed = expect(all[0]).rejects.toThrow('one');
  await turn();
  expect(began).toEqual([1, 2]);
  ends[0]!();
  await failed;
  await turn();
  expect(began).toEqual([1, 2, 3]);
  ends[1]!();
  ends[2]!();
  await turn();
  expect(began).toEqual([1, 2, 3, 4]);
  ends[3]!();
  await expect(Promise.all(all.slice(1))).resolves.toEqual([2, 3, 4]);
  await expect(lane.run(() => Promise.resolve(5))).resolves.toBe(5);
});
