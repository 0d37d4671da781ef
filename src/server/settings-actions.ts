'use server';

import { revalidatePath } from 'next/cache';
import { IANAZone } from 'luxon';
import { BadInput, quoted } from '../core/format/fault';
import { writeSetting } from '../db/settings';
import { check } from './dto/check';
import { HandDto, ZoneDto } from './dto/settings.dto';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Keeps the owner's hand; every week that has none of its own is planned with it from now on. */
export async function saveHand(input: unknown): Promise<Outcome<null>> {
  return kept('hand', () => ({ ...check(HandDto, input, 'hand') }));
}

export async function saveZone(input: unknown): Promise<Outcome<null>> {
  return kept('zone', () => {
    const { zone } = check(ZoneDto, input, 'settings');
    if (!IANAZone.isValidZone(zone)) throw new BadInput([{ file: 'settings', where: 'time zone', found: quoted(zone), expected: 'a zone such as America/Halifax' }]);
    return zone;
  });
}

async function kept(name: string, value: () => unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    await writeSetting(await store(), name, value());
    revalidatePath('/', 'layout');
    return null;
  });
}
