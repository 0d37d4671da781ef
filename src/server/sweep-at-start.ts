import { tmpdir } from 'node:os';
import { dirname } from 'node:path';
import { backupFolder, pictureFolder } from './backup/backup-files';
import { sweepPassing } from './backup/passing';
import { dataFile } from './store';

/** Once at the start: what a process that was killed left behind beside the data, and among passing things. */
export const sweepAtStart = (): void => sweepPassing(dirname(dataFile()), backupFolder(), pictureFolder(), tmpdir());
