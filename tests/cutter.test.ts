import type { Server } from 'node:http';
import type { AddressInfo } from 'node:net';
import { cutterService } from '../demo/cutter-service/service';
import { keepMade } from '../src/server/make-actions';
import { cutNow, madeCut, madePrint } from '../src/server/made';
import { findKit } from '../src/db/kits';
import { stashOf } from '../src/db/spreads';
import { beginWeek, done, freshHouse, refusal } from './house';

let server: Server;
const address = () => `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
const turn = (path: string) => fetch(address() + path, { method: 'POST', redirect: 'manual' });
beforeEach(async () => {
  server = cutterService();
  await new Promise<void>((ready) => server.listen(0, '127.0.0.1', ready));
  process.env.HOBNAIL_CUTTER = address();
});
afterEach(() => {
  delete process.env.HOBNAIL_CUTTER;
  server.closeAllConnections();
  server.close();
});
const line = { kind: 'header', count: 3, width: 38.1, height: 6.4, color: '#1f6f78', accent: '#f2c879', motif: '', words: 'to do', rows: 0 }; // prettier-ignore
const made = { name: 'made for 2027-w06', size: 'A4', lines: [line] };
const cut = (input: unknown = made, signal = new AbortController().signal) => cutNow(input, signal);

it('a sheet is cut, and what was cut can be seen', async () => {
  expect(await cut()).toMatchObject({ done: true, said: 'cut', faults: [] });
  const last = await fetch(`${address()}/last`);
  expect([last.status, (await last.text()).match(/<polyline/g)?.length]).toEqual([200, 4]);
  expect(await (await fetch(address())).text()).toContain('Last:');
});

it('a jam, a silence and no cutter at all are told of; waiting can be given up', async () => {
  await turn('/mood/jam');
  expect(await cut()).toMatchObject({ done: false, said: 'the sheet jammed under the rollers' });
  await turn('/mood/hang');
  expect((await cut(made, AbortSignal.timeout(200))).said).toContain('does not answer');
  delete process.env.HOBNAIL_CUTTER;
  expect((await cut()).said).toContain('no cutter here');
});

it('what would be spoiled is refused, with where', async () => {
  expect(await cut({ ...made, lines: [{ ...line, width: 3, height: 3 }] })).toMatchObject({
    done: false,
    faults: [expect.objectContaining({ what: 'too small' }), expect.anything(), expect.anything()],
  });
  const answer = await fetch(`${address()}/cut`, { method: 'POST', body: 'a letter to Wren' });
  expect([answer.status, await answer.json()]).toEqual([
    400,
    { said: 'this is no cut file: an SVG in mm is expected' },
  ]);
});

it('what is no sticker is refused at the door; what is larger than the paper is said by its line', async () => {
  await expect(madePrint({ ...made, lines: [{ ...line, kind: 'full-box' }] })).rejects.toThrow('kind');
  await expect(madePrint({ ...made, lines: [] })).rejects.toThrow('lines');
  expect(() => madeCut({ ...made, lines: [{ ...line, width: 300 }] })).toThrow('300 × 6.4 mm');
  expect(() => madeCut({ ...made, sheet: 7 })).toThrow('one of 1 sheets');
  expect((await madePrint(made)).headers.get('content-type')).toBe('application/pdf');
});

it('what is printed joins the stash and lies ready beside its week; once', async () => {
  const db = await freshHouse();
  const spreadId = await beginWeek();
  expect(done(await keepMade({ ...made, spreadId }))).toEqual({ name: 'made-for-2027-w06' });
  expect((await findKit(db, 'made-for-2027-w06'))?.pieces).toMatchObject([
    { kind: 'header', count: 3, words: 'to do', code: 'HE-1' },
  ]);
  expect(await stashOf(db, spreadId)).toContain('made-for-2027-w06');
  expect(refusal(await keepMade({ ...made, spreadId }))).toContain('a name that no kit has yet');
  await db.destroy();
});
