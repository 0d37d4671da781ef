import type { PDFDocument, PDFRef } from 'pdf-lib';

/** The pictures of some stickers in a document, by the address that a drawing names them by; each once. */
export async function embedPictures(
  document: PDFDocument,
  hashes: Iterable<string | undefined>,
  pictureOf: ((hash: string) => Promise<Uint8Array | null>) | undefined,
): Promise<Map<string, PDFRef>> {
  const pictures = new Map<string, PDFRef>();
  for (const hash of new Set(hashes)) {
    const png = hash && (await pictureOf?.(hash));
    if (png) pictures.set(`/pictures/${hash}`, (await document.embedPng(png)).ref);
  }
  return pictures;
}
