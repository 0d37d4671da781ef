import { spokenName } from '../core/kit/kit';
import { BadInput, faultLine } from '../core/format/fault';
import { TakenSticker } from '../db/available';
import { StockClash } from '../db/clashes';
import { Held } from '../db/held';
import { StaleStep } from '../db/log';
import { StaleEdit } from '../db/spread-edits';
import { EditConflict } from './conflict';
import { sayHeld } from './say-held';
import { saidOfError } from './say-trouble';

/** What a server action answers: what was wanted, or messages a person can act on. Nothing is kept when it failed. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | {
      readonly ok: false;
      readonly stale?: true;
      /** another window wrote since the form was opened: its owner is to choose */
      readonly conflict?: true;
      readonly messages: readonly string[];
    };

/** Runs a use case and turns its errors into messages. */
export async function outcome<T>(run: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { ok: true, value: await run() };
  } catch (error) {
    const stale = error instanceof StaleEdit || error instanceof StaleStep || error instanceof TakenSticker;
    const conflict = error instanceof EditConflict;
    return { ok: false, ...(stale ? { stale } : {}), ...(conflict ? { conflict } : {}), messages: failure(error) };
  }
}

/** An error in sentences a person can act on. Of one that nobody foresaw the server's log tells more than they do. */
export function failure(error: unknown): readonly string[] {
  if (error instanceof BadInput) return error.faults.map(faultLine);
  if (error instanceof StaleEdit)
    return ['This spread was changed in another window. It has been reloaded; please make your change again.'];
  if (error instanceof StaleStep)
    return ['Another window has changed something here since. What is the last step now is shown; look, then go on.'];
  if (error instanceof TakenSticker) {
    const { kit, code, copy } = error.placement;
    return [
      `${code} from “${spokenName(kit)}”, copy ${copy}, is not there any more: another week has it, or it was spoiled. The spread has been reloaded.`,
    ];
  }
  if (error instanceof EditConflict) return [`Another window wrote here since you opened this. ${error.there}.`];
  if (error instanceof StockClash) {
    const { design, copy } = error;
    return [
      `${design.code} from “${spokenName(design.kit)}”, copy ${copy}, lies on a spread, or is gone, by now: it would be in two places. Nothing was changed; take it off there first.`,
    ];
  }
  if (error instanceof Held) return error.objections.map(sayHeld);
  if ((error as { code?: unknown } | null)?.code === 'SQLITE_CONSTRAINT_FOREIGNKEY')
    return [
      'A kit or sticker that this needs is not there any more, or something still needs it. Nothing was changed.',
    ];
  const trouble = saidOfError(error);
  if (trouble) return [`${trouble.what} Nothing was changed. ${trouble.way}`];
  console.error(error);
  return ['It could not be done, and nothing was changed. The log of the server says why.'];
}
