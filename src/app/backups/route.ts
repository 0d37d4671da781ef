import { revalidatePath } from 'next/cache';
import { BadInput } from '../../core/format/fault';
import { page } from '../../server/answering';
import { exportIn, takeExport } from '../../server/export/read-export';
import { takeBackup } from '../../server/backup/make-backup';
import { NoBackup } from '../../server/backup/manifest';
import { outcome } from '../../server/outcome';

export const dynamic = 'force-dynamic';

/** A backup as it is; an export as a backup made of it. */
async function taken(bytes: Uint8Array): Promise<string> {
  const parts = exportIn(bytes);
  return parts ? takeExport(parts) : takeBackup(bytes);
}

/**
 * Takes a backup or an export that was kept elsewhere: `backup` in a form. It is looked over, and lies among the others
 * then.
 */
export async function POST(request: Request): Promise<Response> {
  const form = await request.formData().catch(() => null);
  const file = form?.get('backup');
  if (!(file instanceof File))
    return page(400, 'This cannot be taken', 'A backup in a form is expected, at most 64 MB.');
  return Response.json(
    await outcome(async () => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const name = await taken(bytes).catch((error: unknown) => {
        if (!(error instanceof NoBackup)) throw error;
        throw new BadInput([
          { file: file.name, where: 'backup', found: error.message, expected: 'a whole backup or export of Hobnail' },
        ]);
      });
      revalidatePath('/settings');
      return { name };
    }),
  );
}
