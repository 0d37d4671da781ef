import { BadInput, faultLine, quoted } from '../core/format/fault';
import { StoreTrouble } from '../db/trouble';
import { answering, nameIn, page } from './answering';
import { attachment } from './attachment';
import { outcome } from './outcome';

const fault = { file: 'a.csv', where: 'line 3', found: '"x"', expected: 'a number' };

describe('a route always answers with something a person can read', () => {
  beforeEach(() => void jest.spyOn(console, 'error').mockImplementation(() => undefined));
  afterEach(() => jest.restoreAllMocks());
  const answered = async (answer: () => Promise<Response | null>) => {
    const response = await answering(answer)();
    return [response.status, await response.text()] as const;
  };
  it('with what it was asked for', async () => {
    expect(await answered(() => Promise.resolve(new Response('oats')))).toEqual([200, 'oats']);
  });
  it('that there is no such thing', async () => {
    const [status, text] = await answered(() => Promise.resolve(null));
    expect([status, text.includes('There is no such thing here')]).toEqual([404, true]);
  });
  it('what is wrong with what came in', async () => {
    const [status, text] = await answered(() => Promise.reject(new BadInput([fault])));
    expect([status, text.includes('a.csv, line 3')]).toEqual([400, true]);
  });
  it('that the data cannot be used', async () => {
    expect((await answered(() => Promise.reject(new StoreTrouble('corrupt'))))[0]).toBe(503);
  });
  it('that it stopped, and nothing of how it works inside', async () => {
    const [status, text] = await answered(() => Promise.reject(new Error('no such column: secret')));
    expect([status, text.includes('secret')]).toEqual([500, false]);
  });
  it('without running what it was told', async () => {
    const text = await page(400, '<script>alert(1)</script>', '"&<img onerror=x>').text();
    expect(text).not.toMatch(/<script>|<img/);
    expect(text).toContain('&lt;script&gt;');
  });
});

describe('an outcome', () => {
  it('has the value, or messages, one a fault', async () => {
    expect(await outcome(() => Promise.resolve(7))).toEqual({ ok: true, value: 7 });
    expect(await outcome(() => Promise.reject(new BadInput([fault, { ...fault, where: 'line 4' }])))).toEqual({
      ok: false,
      messages: ['a.csv, line 3: found "x", expected a number', 'a.csv, line 4: found "x", expected a number'],
    });
  });
});

it.each([
  ['rock%20pool', 'rock pool'],
  ['100%25', '100%'],
  ['100%', '100%'],
  ['%E0%A4%A', '%E0%A4%A'],
  ['%2e%2e%2fetc', '../etc'],
])('the name in an address %s is %s', (part, name) => expect(nameIn(part)).toBe(name));

it('a file is sent under its name, whatever letters that has', async () => {
  const sent = attachment('a,b', 'été "1"/x.csv', 'text/csv');
  expect(sent.headers.get('content-disposition')).toBe("attachment; filename*=UTF-8''%C3%A9t%C3%A9%20%221%22%2Fx.csv");
  expect([sent.headers.get('content-type'), await sent.text()]).toEqual(['text/csv; charset=utf-8', 'a,b']);
});

describe('faults', () => {
  it('say where, what was found and what is expected, cut where they are endless', () => {
    expect(faultLine(fault)).toBe('a.csv, line 3: found "x", expected a number');
    expect(faultLine({ ...fault, found: 'x'.repeat(9000) }).length).toBeLessThan(500);
    expect(faultLine({ ...fault, where: 'y'.repeat(9000) }).length).toBeLessThan(500);
  });
  it.each([
    ['x', '"x"'],
    [7, '"7"'],
    [null, '"null"'],
    [undefined, '"undefined"'],
    [{ a: 1 }, '"{"a":1}"'],
    ['x'.repeat(90), `"${'x'.repeat(60)}…"`],
  ])('%j is shown as %s', (value, shown) => expect(quoted(value)).toBe(shown));
});
