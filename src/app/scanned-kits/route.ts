import { revalidatePath } from 'next/cache';
import { readKit } from '../../core/format/kit-csv';
import { BadInput } from '../../core/format/fault';
import { addNewKit } from '../../server/add-new-kit';
import { page } from '../../server/answering';
import { check } from '../../server/dto/check';
import { KitTextDto } from '../../server/dto/kits.dto';
import { outcome } from '../../server/outcome';
import { keepPicture } from '../../server/pictures';
import { shownBy } from '../../server/shown-by';
import { inStroke } from '../../server/store';

export const dynamic = 'force-dynamic';

const MOST_PICTURES = 1000;

/**
 * Takes a scanned kit in: `kit` is its list (KitTextDto as JSON), and each picture is a file named by the code of the
 * piece it shows. The pictures are on the disk before the kit names them; the kit is stored whole, or not at all.
 */
export async function POST(request: Request): Promise<Response> {
  const form = await request.formData().catch(() => null);
  if (!form) return page(400, 'This cannot be taken', 'A kit with its pictures in a form is expected, at most 64 MB.');
  return Response.json(
    await outcome(async () => {
      const { name, role, csv } = check(KitTextDto, json(form.get('kit')), 'kit');
      const kit = readKit(csv, `${name}.kit.csv`, name);
      const files = form.getAll('pictures').filter((f): f is File => f instanceof File);
      if (files.length > MOST_PICTURES)
        throw new BadInput([
          { file: 'kit', where: 'pictures', found: `${files.length}`, expected: `at most ${MOST_PICTURES}` },
        ]);
      const pictures = new Map<string, string>();
      for (const file of files)
        pictures.set(file.name, await keepPicture(new Uint8Array(await file.arrayBuffer()), file.name));
      const pieces = await Promise.all(
        kit.pieces.map(async (p) => {
          const picture = pictures.get(p.code);
          return picture === undefined ? p : shownBy(p, picture);
        }),
      );
      await inStroke((trx) => addNewKit(trx, { ...kit, pieces }, role));
      revalidatePath('/', 'layout');
      return { name, designs: pieces.length, pictures: pictures.size };
    }),
  );
}

function json(text: FormDataEntryValue | null): unknown {
  try {
    return JSON.parse(typeof text === 'string' ? text : 'null');
  } catch {
    return null;
  }
}
