import type { Server } from 'node:http';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { Attempts } from './attempts';
import { doorOf } from './door';
import { isPassphrase, keepPassphrase } from './passphrase';
import { Sessions } from './sessions';

const HOUR = 3_600_000;
const WORDS = 'seven gray gulls';

describe('a passphrase', () => {
  it('is known again, however its letters are composed, and no other is', async () => {
    const kept = await keepPassphrase('Fähre um acht');
    expect(JSON.stringify(kept)).not.toContain('acht');
    expect(await isPassphrase('Fa\u0308hre um acht', kept)).toBe(true);
    for (const other of ['Fähre um neun', '', 'x'.repeat(200)]) expect(await isPassphrase(other, kept)).toBe(false);
  });
  it('is kept differently each time', async () =>
    expect((await keepPassphrase(WORDS)).key).not.toBe((await keepPassphrase(WORDS)).key));
  it('comes to what RFC 7914, section 12, gives for its third case', async () => {
    // N 16384, r 8, p 1; the first 32 of its 64 bytes
    const key = '7023bdcb3afd7348461c06cd81fd38ebfda8fbba904f8e3ea9b543f6545da1f2';
    const salt = Buffer.from('SodiumChloride').toString('hex');
    expect(await isPassphrase('pleaseletmein', { salt, key, cost: 14 })).toBe(true);
  });
});

describe('tries', () => {
  it('are five, then wait, each longer than the last, up to an hour', () => {
    const attempts = new Attempts();
    const waits: number[] = [];
    let free = 0;
    for (let now = 0, n = 0; n < 40; n++) {
      const wait = attempts.begin('a', now);
      now += wait;
      if (wait) waits.push(wait);
      else if (!waits.length) free++;
    }
    expect([free, ...waits.slice(0, 3)]).toEqual([5, 30_000, 60_000, 120_000]);
    expect(waits.at(-1)).toBe(HOUR);
    expect(attempts.begin('b', 0)).toBe(0);
  });
  it('from everywhere at once wait, too, and the right word clears its address', () => {
    const attempts = new Attempts();
    for (let n = 0; n < 4; n++) attempts.begin('a', 0);
    attempts.succeeded('a');
    expect(attempts.begin('a', 0)).toBe(0);
    for (let n = 0; n < 60; n++) attempts.begin(`10.0.0.${n}`, 0);
    expect(attempts.begin('10.0.1.1', 0)).toBeGreaterThan(0);
    expect(attempts.begin('a', 0)).toBe(0); // from where the right word came before
  });
});

describe('a session', () => {
  it('ends after half a day without a sign, after a week, and when it is told to', () => {
    const sessions = new Sessions();
    const [idle, busy, left] = [sessions.begin(0), sessions.begin(0), sessions.begin(0)];
    sessions.end(left);
    expect(sessions.holds(left, 1)).toBe(false);
    for (let h = 11; h <= 7 * 24; h += 11) expect(sessions.holds(busy, h * HOUR)).toBe(true);
    expect(sessions.holds(busy, (7 * 24 + 1) * HOUR)).toBe(false);
    expect(sessions.holds(idle, 13 * HOUR)).toBe(false);
    expect(sessions.holds('x'.repeat(43), 0)).toBe(false);
    expect(sessions.holds(null, 0)).toBe(false);
  });
  it('is one of at most some hundreds', () => {
    const sessions = new Sessions();
    const first = sessions.begin(0);
    for (let n = 0; n < 300; n++) sessions.begin(0);
    expect(sessions.holds(first, 0)).toBe(false);
  });
});

describe('the door', () => {
  let inner: Server;
  let door: Server;
  let port = 0;
  let now = 0;
  const asked: { url: string; headers: Record<string, unknown>; body: string }[] = [];
  const listen = (server: Server) =>
    new Promise<number>((up) => server.listen(0, '127.0.0.1', () => up((server.address() as AddressInfo).port)));
  beforeAll(async () => {
    inner = createServer((req, res) => {
      let body = '';
      req.on('data', (c) => (body += String(c)));
      req.on('end', () => {
        asked.push({ url: req.url!, headers: req.headers, body });
        if (req.url === '/moved') res.writeHead(307, { location: `http://${req.headers.host!}/agenda` }).end();
        else res.writeHead(200, { 'content-type': 'text/plain' }).end('the weeks ahead');
      });
    });
    const house = await listen(inner);
    door = doorOf({
      inner: house,
      passphrase: await keepPassphrase(WORDS),
      names: () => ['shelf.local'],
      now: () => now,
    });
    port = await listen(door);
  });
  afterAll(async () => {
    await Promise.all([inner, door].map((s) => new Promise((down) => s.close(down))));
  });
  beforeEach(() => {
    now += 10 * HOUR * 24;
    asked.length = 0;
  });

  interface Answer {
    readonly status: number;
    readonly text: string;
    readonly headers: Record<string, unknown>;
  }
  const go = (
    path: string,
    { headers = {}, body }: { headers?: Record<string, string>; body?: string } = {},
  ): Promise<Answer> =>
    new Promise((done, fail) => {
      const method = body === undefined ? 'GET' : 'POST';
      const all = { host: `shelf.local:${port}`, connection: 'close', ...headers };
      const ask = request({ host: '127.0.0.1', port, path, method, headers: all }, (res) => {
        let text = '';
        res.on('data', (c) => (text += String(c)));
        res.on('end', () => done({ status: res.statusCode!, text, headers: res.headers }));
      });
      ask.on('error', fail);
      ask.end(body);
    });
  const say = (words: string) => go('/door', { body: `passphrase=${encodeURIComponent(words)}` });
  const cookieOf = ({ headers }: Answer) => String((headers['set-cookie'] as string[])[0]).split(';')[0]!;

  it('asks for the passphrase, whatever is wanted, and the house hears nothing of it', async () => {
    for (const path of ['/', '/agenda', '/kits/rockpool', '/take-in']) {
      const { status, text } = await go(path);
      expect([status, text.includes('type="password"'), text.includes('weeks')]).toEqual([401, true, false]);
    }
    expect((await say('seven gray gull')).status).toBe(401);
    expect(asked).toEqual([]);
  });

  it('lets in who says it, and hands on as the house’s own', async () => {
    const came = await say(WORDS);
    expect(came.status).toBe(303);
    expect(String((came.headers['set-cookie'] as string[])[0])).toMatch(/HttpOnly; SameSite=Strict$/);
    const cookie = cookieOf(came);
    const origin = `http://shelf.local:${port}`;
    const page = await go('/agenda?week=2027-W06', { headers: { cookie: `a=b; ${cookie}`, origin }, body: 'x' });
    expect([page.status, page.text]).toEqual([200, 'the weeks ahead']);
    const [{ url, headers, body }] = asked as [(typeof asked)[0]];
    expect([url, body, headers.cookie]).toEqual(['/agenda?week=2027-W06', 'x', 'a=b']);
    expect(headers.origin).toBe(`http://${String(headers.host)}`);
    expect((await go('/moved', { headers: { cookie } })).headers.location).toBe(`${origin}/agenda`);
    expect((await go('/door/out', { headers: { cookie }, body: '' })).status).toBe(303);
    expect((await go('/', { headers: { cookie } })).status).toBe(401);
  });

  it('goes by its own names only, and other pages get nothing done through it', async () => {
    const cookie = cookieOf(await say(WORDS));
    expect((await go('/', { headers: { cookie, host: 'evil.example' } })).status).toBe(403);
    expect((await go('/', { headers: { cookie, origin: 'http://evil.example' }, body: '' })).status).toBe(403);
    expect((await go('/', { headers: { cookie, origin: 'null' }, body: '' })).status).toBe(403);
    expect(asked).toEqual([]);
  });

  it('makes who guesses wait', async () => {
    for (let n = 0; n < 5; n++) expect((await say('gulls')).status).toBe(401);
    const waiting = await say(WORDS);
    expect([waiting.status, waiting.headers['retry-after']]).toEqual([429, '30']);
    now += 31_000;
    expect((await say(WORDS)).status).toBe(303);
  });

  it('counts tries that begin at once and say their words later', async () => {
    const begun = Array.from({ length: 40 }, () => {
      const headers = { host: `shelf.local:${port}`, 'content-type': 'application/x-www-form-urlencoded' };
      const ask = request({ host: '127.0.0.1', port, path: '/door', method: 'POST', headers });
      const answer = new Promise<number>((done, fail) => {
        ask.on('response', (res) => (res.resume(), done(res.statusCode!)));
        ask.on('error', fail);
      });
      ask.flushHeaders();
      return { ask, answer };
    });
    await new Promise((next) => setTimeout(next, 100));
    for (const { ask } of begun) ask.end('passphrase=gulls');
    const said = await Promise.all(begun.map((b) => b.answer));
    expect([said.filter((s) => s === 401).length, said.filter((s) => s === 429).length]).toEqual([5, 35]);
  });

  it('never asks who is in already, and sends nobody out by a link', async () => {
    const cookie = cookieOf(await say(WORDS));
    for (let n = 0; n < 8; n++) await say('gulls');
    expect((await say(WORDS)).status).toBe(429);
    expect((await go('/door', { headers: { cookie }, body: 'passphrase=x' })).headers.location).toBe('/');
    expect((await go('/', { headers: { cookie } })).status).toBe(200);
    const leaving = await go('/door/out', { headers: { cookie } });
    expect([leaving.status, leaving.text.includes('method="post"')]).toEqual([200, true]);
    expect((await go('/', { headers: { cookie } })).status).toBe(200);
    expect(leaving.headers['cross-origin-resource-policy']).toBe('same-origin');
  });

  it('takes no long words', async () => expect((await say('x'.repeat(5000))).status).toBe(401));
});
