import { revalidatePath } from 'next/cache';
import { answering, page } from '../../server/answering';
import type { TakeInNews } from '../../server/take-in';
import { takeIn } from '../../server/take-in';
import { SAME_NAME_WAYS } from '../../server/taking-in/format';

export const dynamic = 'force-dynamic';

/** Takes files in one after another; the answer is a line of JSON for each bit of news, as it comes. */
export const POST = answering(async (request: Request) => {
  const form = await request.formData().catch(() => null);
  if (!form)
    return page(
      400,
      'This cannot be taken in',
      'Files in a form are expected, all of them together no larger than 64 MB.',
    );
  const files = form.getAll('files').filter((f): f is File => f instanceof File);
  const way = SAME_NAME_WAYS.find((w) => w === form.get('way')) ?? null;
  const { signal } = request;
  const encoder = new TextEncoder();
  const news = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: TakeInNews): void => {
        if (!signal.aborted) controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      };
      for (const file of files) {
        if (signal.aborted) break;
        say(await takeIn(file, { way, signal, onProgress: (share) => say({ file: file.name, share }) }));
      }
      if (!signal.aborted) controller.close();
    },
  });
  revalidatePath('/', 'layout');
  return new Response(news, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8', 'x-content-type-options': 'nosniff' },
  });
});
