'use server';

import { revalidatePath } from 'next/cache';
import { IANAZone } from 'luxon';
import { BadInput, quoted } from '../core/format/fault';
import { forgetLikes, switchLike } from '../db/likes';
import { writeSetting } from '../db/settings';
import { check } from './dto/check';
import { HandDto, LikeDto, ShortFormsDto, TaughtDto, ZoneDto } from './dto/settings.dto';
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
    if (!IANAZone.isValidZone(zone))
      throw new BadInput([
        { file: 'settings', where: 'time zone', found: quoted(zone), expected: 'a zone such as America/Halifax' },
      ]);
    return zone;
  });
}

/** Keeps the owner's words and the icons they mean. */
export async function saveTaught(input: unknown): Promise<Outcome<null>> {
  return kept('taught words', () =>
    check(TaughtDto, input, 'words').words.map(({ word, means }) => ({ word: word.trim(), means })),
  );
}

/** Keeps the owner's short forms; they are used only where a whole word does not fit. */
export async function saveShortForms(input: unknown): Promise<Outcome<null>> {
  return kept('short forms', () =>
    check(ShortFormsDto, input, 'short forms').forms.map(({ word, short }) => ({
      word: word.trim(),
      short: short.trim(),
    })),
  );
}

/** Heeds something that was learned, or not any more. */
export async function heedLike(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { kit, code, off } = check(LikeDto, input, 'taste');
    await switchLike(await store(), kit, code, off);
    revalidatePath('/', 'layout');
    return null;
  });
}

/** Forgets all that was learned. */
export async function forgetTaste(): Promise<Outcome<null>> {
  return outcome(async () => {
    await forgetLikes(await store());
    revalidatePath('/', 'layout');
    return null;
  });
}

async function kept(name: string, value: () => unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    await writeSetting(await store(), name, value());
    revalidatePath('/', 'layout');
    return null;
  });
}
