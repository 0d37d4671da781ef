import { rmSync } from 'node:fs';
import { revalidatePath } from 'next/cache';
import { BadInput } from '../../core/format/fault';
import { takeBackup } from '../../server/backup/make-backup';
import { NoBackup } from '../../server/backup/manifest';
import { addPiece } from '../../server/backup/piecewise';
import { takeExport } from '../../server/export/read-export';
import { outcome } from '../../server/outcome';

export const dynamic = 'force-dynamic';

/** A backup as it is; an export as a backup made of it. */
const taken = async (file: string): Promise<string> => (await takeExport(file)) ?? takeBackup(file);

/**
 * Takes a backup or an export that was kept elsewhere, piece by piece: `?upload=` a UUID, `at` and `of` in bytes,
 * `name` as it is called there. With its last piece it is looked over, and lies among the others then. What is no
 * backup is not kept.
 * @returns the backup's name after the last piece; else null
 */
export async function POST(request: Request): Promise<Response> {
  const asked = new URL(request.url).searchParams;
  return Response.json(
    await outcome(async () => {
      const file = await addPiece({
        id: asked.get('upload') ?? '',
        at: Number(asked.get('at') ?? NaN),
        of: Number(asked.get('of') ?? NaN),
        bytes: new Uint8Array(await request.arrayBuffer()),
      });
      if (file === null) return { name: null };
      try {
        const name = await taken(file);
        revalidatePath('/settings');
        return { name };
      } catch (error) {
        if (!(error instanceof NoBackup)) throw error;
        throw new BadInput([
          {
            file: (asked.get('name') ?? 'file').slice(0, 200),
            where: 'backup',
            found: error.message,
            expected: 'a whole backup or export of Hobnail',
          },
        ]);
      } finally {
        rmSync(file, { force: true });
      }
    }),
  );
}
