import { BadInput } from '../../core/format/fault';
import { page } from '../../server/answering';
import { readGivenFile } from '../../server/given-kits';
import { outcome } from '../../server/outcome';

export const dynamic = 'force-dynamic';

/** Reads a kit that was given away, to be looked over before it is stored. */
export async function POST(request: Request): Promise<Response> {
  const form = await request.formData().catch(() => null);
  if (!form) return page(400, 'This cannot be taken', 'A kit as one file in a form is expected, at most 64 MB.');
  return Response.json(
    await outcome(async () => {
      const file = form.get('file');
      if (!(file instanceof File))
        throw new BadInput([{ file: 'kit', where: 'file', found: 'nothing', expected: 'a kit as one file' }]);
      return readGivenFile(new Uint8Array(await file.arrayBuffer()), file.name);
    }),
  );
}
