import drawn from './golden/drawings.json';
import laid from './golden/weeks.json';
import type { Golden } from './golden/made';
import { drawings, weeks } from './golden/made';

/** Names of what came out otherwise than it is kept. */
const otherwise = (kept: Golden, made: Golden): string[] =>
  [...new Set([...Object.keys(kept), ...Object.keys(made)])].filter((name) => kept[name] !== made[name]);

// where one of these is meant to change, look at what it makes now, then keep it by `npm run golden`
it('draws each motif, kind, outline, icon and sticker as it was looked at', () =>
  expect(otherwise(drawn, drawings())).toEqual([]));
it('lays out, judges, orders and draws the weeks of both corpora as they were looked at', () =>
  expect(otherwise(laid, weeks())).toEqual([]));
