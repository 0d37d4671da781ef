import { dropScan, findBook, findScan, putScan } from '../../../../../db/books';
import { store } from '../../../../../server/store';

interface At {
  readonly params: Promise<{ id: string; page: string }>;
}

const TYPES = ['image/png', 'image/jpeg', 'image/webp'];
const MOST_MEGABYTES = 12;

/** The picture that a page was measured from. */
export async function GET(_: Request, { params }: At): Promise<Response> {
  const { id, page } = await params;
  const scan = await findScan(await store(), id, Number(page));
  return scan
    ? new Response(new Uint8Array(scan.data), { headers: { 'content-type': scan.type, 'cache-control': 'no-store' } })
    : new Response('There is no scan of this page.', { status: 404 });
}

/** Keeps a picture, whole or not at all. */
export async function PUT(request: Request, { params }: At): Promise<Response> {
  const { id, page } = await params;
  const db = await store();
  const book = await findBook(db, id);
  const number = Number(page);
  if (!book?.pages[number]) return new Response(`The book has no page ${number + 1}.`, { status: 404 });
  const type = request.headers.get('content-type') ?? '';
  if (!TYPES.includes(type))
    return new Response(`${type || 'No type'} was found; a picture as PNG, JPEG or WebP is expected.`, { status: 415 });
  const data = new Uint8Array(await request.arrayBuffer());
  if (data.length === 0 || data.length > MOST_MEGABYTES * 2 ** 20)
    return new Response(
      `${(data.length / 2 ** 20).toFixed(1)} MB were found; a picture of at most ${MOST_MEGABYTES} MB is expected.`,
      { status: 413 },
    );
  await putScan(db, id, number, type, data);
  return new Response(null, { status: 204 });
}

export async function DELETE(_: Request, { params }: At): Promise<Response> {
  const { id, page } = await params;
  await dropScan(await store(), id, Number(page));
  return new Response(null, { status: 204 });
}
