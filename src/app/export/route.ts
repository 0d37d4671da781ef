import { answering } from '../../server/answering';
import { makeExport } from '../../server/export/make-export';
import { today } from '../../server/store';

export const dynamic = 'force-dynamic';

/** Everything in open formats, as it is made. */
export const GET = answering(() =>
  Promise.resolve(
    new Response(makeExport(), {
      headers: {
        'content-type': 'application/zip',
        'content-disposition': `attachment; filename="hobnail-${today()}.export.zip"`,
        'cache-control': 'no-store',
      },
    }),
  ),
);
