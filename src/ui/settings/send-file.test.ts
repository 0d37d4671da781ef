import { sendFile } from './send-file';

const MB = 2 ** 20;
const asked: { url: URL; bytes: number }[] = [];
let answers: (n: number) => object;

beforeEach(() => {
  asked.length = 0;
  answers = () => ({ ok: true, value: { name: null } });
  globalThis.fetch = ((url: string, { body }: { body: Blob }) => {
    asked.push({ url: new URL(url, 'http://127.0.0.1'), bytes: body.size });
    return Promise.resolve(new Response(JSON.stringify(answers(asked.length))));
  }) as unknown as typeof fetch;
});

const file = (size: number): File => new File([new Uint8Array(size)], 'mine.zip');

it('sends a file in pieces of 16 MB, one after the other, and says how far it is', async () => {
  answers = (n) => ({ ok: true, value: { name: n === 3 ? 'a.backup.zip' : null } });
  const shares: number[] = [];
  const answer = await sendFile(file(40 * MB), (share) => shares.push(share));
  expect(answer).toEqual({ ok: true, value: { name: 'a.backup.zip' } });
  expect(asked.map((a) => [Number(a.url.searchParams.get('at')) / MB, a.bytes / MB])).toEqual([
    [0, 16],
    [16, 16],
    [32, 8],
  ]);
  const uploads = new Set(asked.map((a) => a.url.searchParams.get('upload')));
  expect(uploads.size).toBe(1);
  expect([...uploads][0]).toMatch(/^[0-9a-f-]{36}$/);
  expect(asked.every((a) => a.url.searchParams.get('of') === String(40 * MB))).toBe(true);
  expect(shares).toEqual([0.4, 0.8, 1]);
});

it('sends no more once a piece is refused', async () => {
  answers = (n) => (n === 2 ? { ok: false, messages: ['no'] } : { ok: true, value: { name: null } });
  expect(await sendFile(file(50 * MB), () => {})).toEqual({ ok: false, messages: ['no'] });
  expect(asked).toHaveLength(2);
});

it('asks about an empty file too, so that it is refused in words', async () => {
  answers = () => ({ ok: false, messages: ['at most 8 GB'] });
  expect(await sendFile(file(0), () => {})).toMatchObject({ ok: false });
  expect(asked).toHaveLength(1);
});
