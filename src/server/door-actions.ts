'use server';

import { revalidatePath } from 'next/cache';
import { BadInput } from '../core/format/fault';
import { check } from './dto/check';
import { DoorDto } from './dto/settings.dto';
import { doorState, setDoor } from './door/keeper';
import { keepPassphrase } from './door/passphrase';
import type { Outcome } from './outcome';
import { outcome } from './outcome';
import { store } from './store';

/** Opens the house to the network it is in, under a passphrase; or closes it, and sends out who came in that way. */
export async function openOrClose(input: unknown): Promise<Outcome<null>> {
  return outcome(async () => {
    const { open, passphrase } = check(DoorDto, input, 'door');
    const db = await store();
    if (open && passphrase === null && !(await doorState(db)).passphrase)
      throw new BadInput([{ file: 'door', where: 'passphrase', found: 'none', expected: 'a passphrase' }]);
    await setDoor(db, open, passphrase === null ? null : await keepPassphrase(passphrase));
    revalidatePath('/', 'layout');
    return null;
  });
}
