import type { Fault } from '../../core/format/fault';
import { BadInput } from '../../core/format/fault';
import type { StoreTroubleKind } from '../../db/trouble';
import { StoreTrouble, asTrouble } from '../../db/trouble';
import { NoBackup } from '../backup/manifest';

/** What went wrong there, as plain data: an error keeps neither its class nor its fields on the way. */
export type Wrong =
  | { readonly is: 'bad input'; readonly faults: readonly Fault[] }
  | { readonly is: 'store'; readonly trouble: StoreTroubleKind }
  | { readonly is: 'no backup'; readonly message: string }
  | { readonly is: 'other'; readonly message: string };

export function wrongOf(given: unknown): Wrong {
  const error = asTrouble(given);
  if (error instanceof BadInput) return { is: 'bad input', faults: error.faults };
  if (error instanceof StoreTrouble) return { is: 'store', trouble: error.trouble };
  if (error instanceof NoBackup) return { is: 'no backup', message: error.message };
  return { is: 'other', message: error instanceof Error ? (error.stack ?? error.message) : String(error) };
}

/** The error again. */
export function errorOf(wrong: Wrong): Error {
  switch (wrong.is) {
    case 'bad input':
      return new BadInput(wrong.faults);
    case 'store':
      return new StoreTrouble(wrong.trouble);
    case 'no backup':
      return new NoBackup(wrong.message);
    case 'other':
      return new Error(wrong.message);
  }
}
