import { revalidatePath } from 'next/cache';
import { BadInput } from '../../core/format/fault';
import { page } from '../../server/answering';
import { takeBackup } from '../../server/backup/make-backup';
import { NoBackup } from '../../server/backup/manifest';
import { outcome } from '../../server/outcome';

export const dynamic = 'force-dynamic';

/** Takes a backup that was kept elsewhere: `backup` in a form. It is looked over, and lies among the others then. */
export async function POST(request: Request): Promise<Response> {
  const form = await request.formData().catch(() => null);
  const file = form?.get('backup');
  if (!(file instanceof File))
    return page(400, 'This cannot be taken', 'A backup in a form is expected, at most 64 MB.');
  return Response.json(
    await outcome(async () => {
      const bytes = new Uint8Array(await file.arrayBuffer());
      const name = await takeBackup(bytes).catch((error: unknown) => {
        if (!(error instanceof NoBackup)) throw error;
        throw new BadInput([
          { file: file.name, where: 'backup', found: error.message, expected: 'a whole backup of Hobnail' },
        ]);
      });
      revalidatePath('/settings');
      return { name };
    }),
  );
}
