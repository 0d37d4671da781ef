import { createReadStream, statSync } from 'node:fs';
import { Readable } from 'node:stream';
import { answering } from '../../../server/answering';
import { backupNamed } from '../../../server/backup/backup-files';

export const dynamic = 'force-dynamic';

/** A backup to be kept elsewhere. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ name: string }> }) => {
  const { name } = await params;
  const file = backupNamed(name);
  if (!file) return null;
  return new Response(Readable.toWeb(createReadStream(file)) as ReadableStream, {
    headers: {
      'content-type': 'application/zip',
      'content-length': String(statSync(file).size),
      'content-disposition': `attachment; filename="${name}"`,
    },
  });
});
