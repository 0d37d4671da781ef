import type { Asked } from '../../server/feeds';
import type { Outcome } from '../../server/outcome';

/** Asks all feeds for what is new; edits go on meanwhile. Null where the server did not answer. */
export const askFeeds = (): Promise<Outcome<Asked[]> | null> =>
  fetch('/feeds', { method: 'PUT' })
    .then((r) => r.json() as Promise<Outcome<Asked[]>>)
    .catch(() => null);
