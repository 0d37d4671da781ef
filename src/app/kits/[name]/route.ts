import { writeKit } from '../../../core/format/kit-csv';
import { findKit } from '../../../db/kits';
import { attachment } from '../../../server/attachment';
import { store } from '../../../server/store';

export const dynamic = 'force-dynamic';

/** A kit as a file, with all columns of formats.md. */
export async function GET(_: Request, { params }: { params: Promise<{ name: string }> }): Promise<Response> {
  const name = decodeURIComponent((await params).name);
  const kit = await findKit(await store(), name);
  return kit
    ? attachment(writeKit(kit), `${name}.kit.csv`, 'text/csv')
    : new Response('There is no kit of that name.', { status: 404 });
}
