import { revalidatePath } from 'next/cache';
import { BadInput } from '../../../../core/format/fault';
import { keepOf, setPhoto } from '../../../../db/keeps';
import { page } from '../../../../server/answering';
import { outcome } from '../../../../server/outcome';
import { keepPhoto } from '../../../../server/pictures';
import { inStroke } from '../../../../server/store';

/** Takes a photo of a spread that is on paper: `photo` in a form. */
export async function POST(request: Request, { params }: { params: Promise<{ id: string }> }): Promise<Response> {
  const id = Number((await params).id);
  const form = await request.formData().catch(() => null);
  const photo = form?.get('photo');
  if (!(photo instanceof File)) return page(400, 'This cannot be taken', 'A photo in a form is expected.');
  return Response.json(
    await outcome(async () => {
      const hash = await keepPhoto(new Uint8Array(await photo.arrayBuffer()), photo.name);
      await inStroke(async (trx) => {
        if (!(await keepOf(trx, id)))
          throw new BadInput([
            { file: 'photo', where: 'spread', found: 'one that is not on paper', expected: 'a finished spread' },
          ]);
        await setPhoto(trx, id, hash);
      });
      revalidatePath('/');
      return { photo: hash };
    }),
  );
}
