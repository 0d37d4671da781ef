import { writeKit } from '../../../core/format/kit-csv';
import { findKit } from '../../../db/kits';
import { answering, nameIn } from '../../../server/answering';
import { attachment } from '../../../server/attachment';
import { store } from '../../../server/store';

export const dynamic = 'force-dynamic';

/** A kit as a file, with all columns of docs/formats. */
export const GET = answering(async (_: Request, { params }: { params: Promise<{ name: string }> }) => {
  const name = nameIn((await params).name);
  const kit = await findKit(await store(), name);
  return kit && attachment(writeKit(kit), `${name}.kit.csv`, 'text/csv');
});
