'use server';

import { revalidatePath } from 'next/cache';
import { BadInput } from '../core/format/fault';
import { readOptions } from '../core/format/options-json';
import { forgetManner, keepManner, listManners } from '../db/manners';
import type { OwnManner } from '../db/manners';
import { setManner } from '../db/spreads';
import { NameDto } from './dto/agenda.dto';
import { check } from './dto/check';
import type { MannerDto } from './dto/spread.dto';
import { KeepMannerDto, SetMannerDto } from './dto/spread.dto';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import type { SpreadData } from './spread-data';
import { loadSpread } from './spread-data';
import { store } from './store';

/** Sets how a spread is laid out from now on; what lies on it stays. @returns its context as it is now */
export async function setMannerOf(input: unknown): Promise<Outcome<Pick<SpreadData, 'context' | 'own'>>> {
  return outcome(async () => {
    const { spreadId, manner } = check(SetMannerDto, input, 'manner');
    const { school, options, ways } = checked(manner);
    await setManner(await store(), spreadId, {
      manner: school,
      options: JSON.stringify(options),
      ways: JSON.stringify(ways),
    });
    const spread = await loadSpread(spreadId);
    if (!spread)
      throw new BadInput([
        { file: 'manner', where: 'spread', found: String(spreadId), expected: 'a spread that was not given up' },
      ]);
    revalidatePath('/');
    return { context: spread.context, own: spread.own };
  });
}

/** Keeps a manner under a name of one's own; one of that name is replaced. */
export async function keepMannerAs(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const manner = check(KeepMannerDto, input, 'manner');
    await keepManner(await store(), { name: manner.name, ...checked(manner) });
    revalidatePath('/', 'layout');
    return null;
  });
}

export async function forgetMannerOf(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    await forgetManner(await store(), check(NameDto, input, 'manner').name);
    revalidatePath('/', 'layout');
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
