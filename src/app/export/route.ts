import { answering } from '../../server/answering';
import { makeExport } from '../../server/export/make-export';
import { today } from '../../server/today';

export const dynamic = 'force-dynamic';

/** Everything in open formats, as it is made. */
export const GET = answering(
  async () =>
    new Response(makeExport(), {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="hobnail-${await today()}.export.zip"`,
        'cache-control': 'no-store',
      },
    }),
);
