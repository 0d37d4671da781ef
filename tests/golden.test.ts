import drawn from './golden/drawings.json';
import printed from './golden/prints.json';
import read from './golden/scans.json';
import laid from './golden/weeks.json';
import type { Golden } from './golden/made';
import { drawings, prints, scans, weeks } from './golden/made';

/** Names of what came out otherwise than it is kept. */
const otherwise = (kept: Golden, made: Golden): string[] =>
  [...new Set([...Object.keys(kept), ...Object.keys(made)])].filter((name) => kept[name] !== made[name]);

// where one of these is meant to change, look at what it makes now, then keep it by `npm run golden`
it('draws each motif, kind, outline, icon and sticker as it was looked at', () =>
  expect(otherwise(drawn, drawings())).toEqual([]));
it('lays out, judges, orders and draws the weeks of both corpora as they were looked at', () =>
  expect(otherwise(laid, weeks())).toEqual([]));
it('prints the demo’s week as it was looked at', async () => expect(otherwise(printed, await prints())).toEqual([]));
it('reads a sheet of stickers as it was looked at', () => expect(otherwise(read, scans())).toEqual([]));
