'use server';

import { BadInput } from '../core/format/fault';
import { readOptions } from '../core/format/options-json';
import { forgetManner, keepManner, listManners } from '../db/manners';
import type { OwnManner } from '../db/manners';
import { setManner } from '../db/spreads';
import { NameDto } from './dto/agenda.dto';
import { check } from './dto/check';
import type { MannerDto } from './dto/spread.dto';
import { KeepMannerDto, SetMannerDto } from './dto/spread.dto';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** Sets how a spread is laid out from now on; what lies on it stays. @returns its context as it is now */
export async function setMannerOf(input: unknown): Promise<Outcome<Pick<SpreadData, 'context' | 'own'>>> {
  return inOneStroke(async (trx) => {
    const { spreadId, manner } = check(SetMannerDto, input, 'manner');
    const { school, options, ways } = checked(manner);
    await setManner(trx, spreadId, {
      manner: school,
      options: JSON.stringify(options),
      ways: JSON.stringify(ways),
    });
    const spread = await loadSpread(spreadId);
    if (!spread)
      throw new BadInput([
        { file: 'manner', where: 'spread', found: String(spreadId), expected: 'a spread that was not given up' },
      ]);
    return { context: spread.context, own: spread.own };
  }, 'shelf');
}

/** Keeps a manner under a name of one's own; one of that name is replaced. */
export async function keepMannerAs(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    const manner = check(KeepMannerDto, input, 'manner');
    await keepManner(trx, { name: manner.name, ...checked(manner) });
    return null;
  });
}

export async function forgetMannerOf(input: unknown): Promise<Outcome<null>> {
  return inOneStroke(async (trx) => {
    await forgetManner(trx, check(NameDto, input, 'manner').name);
    return null;
  });
}

export async function ownManners(): Promise<Outcome<OwnManner[]>> {
  return outcome(async () => listManners(await store()));
}

const checked = ({ school, options, ways }: MannerDto): Omit<OwnManner, 'name'> => ({
  school,
  options: readOptions(JSON.stringify(options), 'manner').options,
  ways: { ...ways },
});
