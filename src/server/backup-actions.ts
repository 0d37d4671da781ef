'use server';

import { revalidatePath } from 'next/cache';
import { BadInput, quoted } from '../core/format/fault';
import type { LeftOut } from './backup/fill-data';
import type { BackupFile } from './backup/backup-files';
import { backupNamed } from './backup/backup-files';
import { makeBackup } from './backup/make-backup';
import { NoBackup } from './backup/manifest';
import type { Preview } from './backup/restore';
import { previewOf, restore } from './backup/restore';
import { NameDto } from './dto/agenda.dto';
import { check } from './dto/check';
import type { Outcome } from './outcome';
import { outcome } from './outcome';

/** Backs everything up into one file, now. */
export async function backUpNow(): Promise<Outcome<BackupFile>> {
  return outcome(async () => {
    const made = await sayingWhy(() => makeBackup(), 'the new backup');
    revalidatePath('/settings');
    return made;
  });
}

/** What a backup holds, and what putting it back would take away. */
export async function lookAtBackup(input: unknown): Promise<Outcome<Preview>> {
  return outcome(async () => {
    const { name } = check(NameDto, input, 'backup');
    return sayingWhy(() => previewOf(mustBeNamed(name)), name);
  });
}

/** Puts everything back as a backup has it. @returns the backup of what was here before */
export async function restoreBackup(input: unknown): Promise<Outcome<{ before: string; leftOut: readonly LeftOut[] }>> {
  return outcome(async () => {
    const { name } = check(NameDto, input, 'backup');
    const { before, leftOut } = await sayingWhy(() => restore(mustBeNamed(name)), name);
    revalidatePath('/', 'layout');
    return { before, leftOut };
  });
}

function mustBeNamed(name: string): string {
  const file = backupNamed(name);
  if (file) return file;
  throw new BadInput([{ file: 'backup', where: 'name', found: quoted(name), expected: 'a backup that lies here' }]);
}

async function sayingWhy<T>(work: () => Promise<T>, name: string): Promise<T> {
  try {
    return await work();
  } catch (error) {
    if (!(error instanceof NoBackup)) throw error;
    throw new BadInput([{ file: name, where: 'backup', found: error.message, expected: 'a whole backup of Hobnail' }]);
  }
}
