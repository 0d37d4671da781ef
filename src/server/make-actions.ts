'use server';

import { madeKit } from '../core/make/made-kit';
import { chooseStash, stashOf } from '../db/spreads';
import { addNewKit } from './add-new-kit';
import { check } from './dto/check';
import { KeepMadeDto } from './dto/made.dto';
import { inOneStroke } from './one-stroke';
import type { Outcome } from './outcome';

/** What was made is printed: it joins the stash, and lies ready beside its spread. It is undone with the kits. */
export async function keepMade(input: unknown): Promise<Outcome<{ name: string }>> {
  return inOneStroke(async (db) => {
    const { name, lines, spreadId } = check(KeepMadeDto, input, 'made');
    const kit = madeKit(name.toLowerCase().replace(/\s+/g, '-'), lines);
    await addNewKit(db, kit, 'stash');
    await chooseStash(db, spreadId, [...new Set([...(await stashOf(db, spreadId)), kit.name])]);
    return { name: kit.name };
  });
}
