import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import sharp from 'sharp';
import { madeUpSheet } from '../demo/scanner-service/made-up-sheets';
import { scannerService } from '../demo/scanner-service/service';
import { scanNow, scannerAddress } from '../src/server/scanner';

let server: Server;
const address = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const before = process.env.HOBNAIL_SCANNER;
beforeEach(async () => {
  server = scannerService([madeUpSheet('lists', 1)]);
  await new Promise<void>((done) => server.listen(0, '127.0.0.1', done));
  process.env.HOBNAIL_SCANNER = address();
  await turn('/knob/dpi/200');
});
afterEach(() => {
  if (before === undefined) delete process.env.HOBNAIL_SCANNER;
  else process.env.HOBNAIL_SCANNER = before;
  server.closeAllConnections();
  server.close();
});
const turn = (path: string) => fetch(address() + path, { method: 'POST', redirect: 'manual' });
const scan = (signal = new AbortController().signal) => scanNow(signal);

it('the scanner’s picture comes through with the name of its sheet', async () => {
  const answer = await scan();
  expect([answer.status, answer.headers.get('x-sheet')]).toEqual([200, 'lists 1']);
  expect((await sharp(Buffer.from(await answer.arrayBuffer())).metadata()).density).toBe(200);
});

it('a scanner that fails, stops in the middle or is not there is told of, and waiting can be given up', async () => {
  await turn('/mood/fail');
  expect((await scan()).status).toBe(502);
  await turn('/mood/half%20a%20picture');
  const half = await scan();
  expect([half.status, await half.text()]).toEqual([502, expect.stringContaining('stopped in the middle')]);
  await turn('/mood/hang');
  expect((await scan(AbortSignal.timeout(200))).status).toBe(502);
  delete process.env.HOBNAIL_SCANNER;
  expect([scannerAddress(), (await scan()).status]).toEqual([null, 404]);
});
