import 'server-only';
import { BadInput } from '../core/format/fault';
import type { Keep } from '../db/keeps';
import { keepOf } from '../db/keeps';
import { findSpread } from '../db/spreads';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** @throws BadInput where there is no such spread */
export async function mustLoad(spreadId: number): Promise<SpreadData> {
  const spread = await loadSpread(spreadId);
  if (!spread) throw new BadInput([{ file: 'spread', where: 'id', found: String(spreadId), expected: 'a spread' }]);
  return spread;
}

/** @throws BadInput where a spread is not on paper */
export async function mustBeKept(spreadId: number): Promise<Keep> {
  const keep = await keepOf(await store(), spreadId);
  if (!keep)
    throw new BadInput([{ file: 'spread', where: 'state', found: 'not on paper yet', expected: 'a finished spread' }]);
  return keep;
}

/** The row of a spread alone, without what lies on it. @throws BadInput where there is no such spread */
export async function mustFind(spreadId: number) {
  const row = await findSpread(await store(), spreadId);
  if (row) return row;
  throw new BadInput([
    { file: 'spread', where: 'id', found: String(spreadId), expected: 'a spread that was not given up' },
  ]);
}
