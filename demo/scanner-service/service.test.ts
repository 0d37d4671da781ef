import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import sharp from 'sharp';
import { SORTS, madeUpSheet } from './made-up-sheets';
import { scannerService } from './service';

let server: Server;
let url: string;
beforeEach(async () => {
  server = scannerService([madeUpSheet('boxes', 1), madeUpSheet('lists', 1)]);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  url = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterEach(() => {
  server.closeAllConnections();
  server.close();
});
const turn = (path: string) => fetch(url + path, { method: 'POST', redirect: 'manual' });
const scan = (signal?: AbortSignal) => fetch(`${url}/scan`, { method: 'POST', ...(signal ? { signal } : {}) });

it('gives a picture of what lies in it at the resolution wanted, and tells the truth apart', async () => {
  await turn('/knob/dpi/200');
  const answer = await scan();
  expect(answer.headers.get('x-sheet')).toBe('boxes 1');
  const { format, density, width } = await sharp(Buffer.from(await answer.arrayBuffer())).metadata();
  const truth = (await (await fetch(`${url}/truth`)).json()) as ReturnType<typeof madeUpSheet>;
  expect([format, density]).toEqual(['jpeg', 200]);
  expect(Math.abs((width ?? 0) - ((truth.width + 12) * 200) / 25.4)).toBeLessThan(3);
  expect(truth.stickers.length).toBe(madeUpSheet('boxes', 1).stickers.length);
  await turn('/next');
  expect((await scan()).headers.get('x-sheet')).toBe('lists 1');
});

it('fails, hangs and sends half a picture when it is told to', async () => {
  await turn('/knob/dpi/200');
  await turn('/mood/fail');
  expect((await scan()).status).toBe(500);
  await turn('/mood/half%20a%20picture');
  await expect(scan().then((a) => a.arrayBuffer())).rejects.toThrow();
  await turn('/mood/hang');
  await expect(scan(AbortSignal.timeout(300))).rejects.toThrow();
  await turn('/mood/well');
  expect((await scan()).status).toBe(200);
});

it('knows no other switch, and shows its knobs on a page', async () => {
  expect((await turn('/knob/nonsense/3')).status).toBe(404);
  expect((await turn('/mood/asleep')).status).toBe(404);
  expect(await (await fetch(url)).text()).toContain('Scanner stand-in');
});

it('lays the same sheet again for the same seed, of every sort', () => {
  for (const sort of Object.keys(SORTS)) {
    expect(madeUpSheet(sort, 2)).toEqual(madeUpSheet(sort, 2));
    const { stickers, width, height } = madeUpSheet(sort, 2);
    expect(stickers.length).toBeGreaterThan(3);
    for (const s of stickers) expect([s.x + s.w <= width, s.y + s.h <= height]).toEqual([true, true]);
  }
  expect(() => madeUpSheet('constructor', 1)).toThrow(RangeError);
});
