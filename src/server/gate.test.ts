import type { Comer } from './gate';
import { policyFor, refusalOf } from './gate';

const own: Comer = {
  method: 'POST',
  host: '127.0.0.1:4300',
  origin: 'http://127.0.0.1:4300',
  fetchSite: 'same-origin',
  fetchMode: 'cors',
  fetchDest: 'empty',
};
const link = { fetchMode: 'navigate', fetchDest: 'document' } as const;
const look = { method: 'GET', origin: null } as const;

describe('who is let in', () => {
  it.each([
    ['a page of this house', {}],
    ['one that was typed into the browser', { method: 'GET', origin: null, fetchSite: 'none' }],
    ['localhost', { host: 'localhost:4300', origin: 'http://localhost:4300' }],
    ['a host without a port', { host: '127.0.0.1', origin: 'http://127.0.0.1' }],
    ['IPv6', { host: '[::1]:4300', origin: 'http://[::1]:4300' }],
    ['a browser that says nothing of where it comes from', { origin: null, fetchSite: null }],
    ['a link on another page, to look only', { ...look, fetchSite: 'cross-site', ...link }],
  ] as const)('%s', (_, over) => expect(refusalOf({ ...own, ...over })).toBeNull());

  it.each([
    ['another name for this machine', { host: 'evil.example:4300' }, /only to 127\.0\.0\.1/],
    ['no name at all', { host: null }, /only to 127\.0\.0\.1/],
    ['a name that begins alike', { host: '127.0.0.1.evil.example' }, /only to 127\.0\.0\.1/],
    ['a form on another page', { fetchSite: 'cross-site', origin: 'https://evil.example' }, /Another page/],
    ['a page on another port', { origin: 'http://127.0.0.1:9999', fetchSite: 'same-site' }, /Another page/],
    ['another page in an old browser', { origin: 'https://evil.example', fetchSite: null }, /Another page/],
    ['a page without an origin', { origin: 'null', fetchSite: null }, /Another page/],
    [
      'a picture in another page',
      { ...look, fetchSite: 'cross-site', fetchMode: 'no-cors', fetchDest: 'image' },
      /own/,
    ],
    ['a frame in another page', { ...look, fetchSite: 'cross-site', ...link, fetchDest: 'iframe' }, /own windows/],
    ['a script of a page on another port', { ...look, fetchSite: 'same-site' }, /own windows/],
    ['a form on another page that is followed', { fetchSite: 'cross-site', ...link }, /Another page/],
    ['another name, to look only', { method: 'GET', host: 'evil.example' }, /only to 127\.0\.0\.1/],
  ] as const)('not %s', (_, over, why) => expect(refusalOf({ ...own, ...over })).toMatch(why));
});

it('lets a page run nothing that stands in it, and nobody frame it', () => {
  const policy = policyFor('abc');
  const parts = new Map(policy.split('; ').map((p) => [p.split(' ')[0], p.split(' ').slice(1)]));
  expect(parts.get('script-src')).toEqual(["'self'", "'nonce-abc'", "'strict-dynamic'"]);
  expect(parts.get('default-src')).toEqual(["'self'"]);
  expect(parts.get('frame-ancestors')).toEqual(["'none'"]);
  expect(parts.get('object-src')).toEqual(["'none'"]);
  for (const sources of parts.values()) for (const s of sources) expect(s).not.toMatch(/^https?:|^\*$/);
});
