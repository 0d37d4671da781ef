import { page } from './answering';

/** Where the household's scanner answers; null: there is none. */
export const scannerAddress = (): string | null => process.env.HOBNAIL_SCANNER ?? null;

const PATIENCE_MS = 30_000;
const MOST_BYTES = 64 * 2 ** 20;

/** Has the scanner take a picture of what lies in it. */
export async function scanNow(signal: AbortSignal): Promise<Response> {
  const address = scannerAddress();
  if (!address) return page(404, 'There is no scanner', 'Choose a picture of the sheet instead.');
  const answer = await fetch(`${address}/scan`, {
    method: 'POST',
    redirect: 'error',
    signal: AbortSignal.any([signal, AbortSignal.timeout(PATIENCE_MS)]),
  }).catch(() => null);
  if (!answer?.ok || !answer.body)
    return page(
      502,
      'The scanner does not answer',
      'Look whether it is switched on, or choose a picture of the sheet.',
    );
  if (Number(answer.headers.get('content-length') ?? 0) > MOST_BYTES)
    return page(502, 'The scanner sent too much', 'Scan at 300 dpi, which is enough.');
  const bytes = await answer.arrayBuffer().catch(() => null);
  if (!bytes) return page(502, 'The scanner stopped in the middle', 'Scan the sheet again.');
  return new Response(bytes, {
    headers: {
      'content-type': answer.headers.get('content-type') ?? 'application/octet-stream',
      'x-sheet': answer.headers.get('x-sheet') ?? '',
    },
  });
}
