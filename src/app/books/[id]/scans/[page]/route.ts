import { quoted } from '../../../../../core/format/fault';
import { dropScan, findBook, findScan, putScan } from '../../../../../db/books';
import { answering, page as said } from '../../../../../server/answering';
import { pictureType } from '../../../../../server/picture-type';
import { store } from '../../../../../server/store';

interface At {
  readonly params: Promise<{ id: string; page: string }>;
}

const MOST_MEGABYTES = 12;

/** The picture that a page was measured from. */
export const GET = answering(async (_: Request, { params }: At) => {
  const { id, page } = await params;
  const scan = await findScan(await store(), id, Number(page));
  if (!scan) return null;
  return new Response(new Uint8Array(scan.data), {
    headers: { 'content-type': pictureType(scan.data) ?? 'application/octet-stream', 'cache-control': 'no-store' },
  });
});

/** Keeps a picture, whole or not at all. What it is says its first bytes, whoever sends it. */
export const PUT = answering(async (request: Request, { params }: At) => {
  const { id, page } = await params;
  const db = await store();
  const book = await findBook(db, id);
  const number = Number(page);
  if (!book?.pages[number]) return said(404, 'There is no such page', `The book has no page ${quoted(page)}.`);
  const data = new Uint8Array(await request.arrayBuffer());
  if (data.length === 0 || data.length > MOST_MEGABYTES * 2 ** 20) {
    const found = `${(data.length / 2 ** 20).toFixed(1)} MB were found`;
    return said(413, 'This cannot be kept', `${found}; a picture of at most ${MOST_MEGABYTES} MB is expected.`);
  }
  const type = pictureType(data);
  if (!type) return said(415, 'This cannot be kept', 'A picture as PNG, JPEG or WebP is expected.');
  await putScan(db, id, number, type, data);
  return new Response(null, { status: 204 });
});

export const DELETE = answering(async (_: Request, { params }: At) => {
  const { id, page } = await params;
  await dropScan(await store(), id, Number(page));
  return new Response(null, { status: 204 });
});
