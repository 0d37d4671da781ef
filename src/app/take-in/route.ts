import { revalidatePath } from 'next/cache';
import type { TakeInNews } from '../../server/take-in';
import { takeIn } from '../../server/take-in';

export const dynamic = 'force-dynamic';

/** Takes files in one after another; the answer is a line of JSON for each bit of news, as it comes. */
export async function POST(request: Request): Promise<Response> {
  const form = await request.formData().catch(() => null);
  if (!form) return new Response('expected files in a form', { status: 400 });
  const files = form.getAll('files').filter((f): f is File => f instanceof File);
  const encoder = new TextEncoder();
  const news = new ReadableStream<Uint8Array>({
    async start(controller) {
      const say = (line: TakeInNews): void => controller.enqueue(encoder.encode(`${JSON.stringify(line)}\n`));
      for (const file of files) say(await takeIn(file, (share) => say({ file: file.name, share })));
      controller.close();
    },
  });
  revalidatePath('/', 'layout');
  return new Response(news, {
    headers: { 'content-type': 'application/x-ndjson; charset=utf-8', 'x-content-type-options': 'nosniff' },
  });
}
