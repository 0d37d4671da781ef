import type { Outcome } from '../../server/outcome';

/** Bytes a piece: what the house takes at once is bounded, a backup is not. */
const PIECE = 16 * 2 ** 20;

/**
 * Sends a backup or an export piece by piece.
 * @param onPart called with the share that is there, 0-1
 */
export async function sendFile(file: File, onPart: (share: number) => void): Promise<Outcome<{ name: string | null }>> {
  const upload = crypto.randomUUID();
  let answer: Outcome<{ name: string | null }> = { ok: true, value: { name: null } };
  for (let at = 0; at < Math.max(1, file.size) && answer.ok; at += PIECE) {
    const asked = new URLSearchParams({ upload, at: String(at), of: String(file.size), name: file.name });
    const sent = await fetch(`/backups?${asked.toString()}`, { method: 'POST', body: file.slice(at, at + PIECE) });
    answer = (await sent.json()) as Outcome<{ name: string | null }>;
    onPart(Math.min(1, (at + PIECE) / file.size));
  }
  return answer;
}
