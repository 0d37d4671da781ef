/**
 * Why something that was sent had no answer that can be read: the server is away; the door asks for its passphrase
 * again; the application is a newer one than this page; or it was reached, and did not take it.
 */
export type NoAnswer = 'away' | 'closed' | 'newer' | 'not taken';

/** The same in words, of something that is not sent again. */
export const SAID_NO_ANSWER: Readonly<Record<NoAnswer, string>> = {
  away: 'The server could not be reached; nothing was changed.',
  closed: 'The door asks for the passphrase again; nothing was changed. Sign in in another window, then try again.',
  newer: 'Hobnail was updated meanwhile; nothing was changed. Reload the page, then try again.',
  'not taken': 'The server refused it; nothing was changed. Its log says why.',
};

/** @param error what the sending threw @param ask asks whether the server is there */
export async function whyNoAnswer(error: unknown, ask: () => Promise<Response> = isAlive): Promise<NoAnswer> {
  // what the framework throws where the server does not know what a page of an earlier version calls
  if (error instanceof Error && error.name === 'UnrecognizedActionError') return 'newer';
  const answer = await ask().catch(() => null);
  if (answer?.status === 401) return 'closed';
  return answer?.ok ? 'not taken' : 'away';
}

const isAlive = (): Promise<Response> => fetch('/alive', { cache: 'no-store', signal: AbortSignal.timeout(5000) });
