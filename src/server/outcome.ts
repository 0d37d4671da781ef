import { spokenName } from '../core/kit/kit';
import { BadInput, faultLine } from '../core/format/fault';
import { TakenSticker } from '../db/available';
import { StaleEdit } from '../db/spread-edits';

/** What a server action answers: what was wanted, or messages a person can act on. Nothing is kept when it failed. */
export type Outcome<T> =
  | { readonly ok: true; readonly value: T }
  | { readonly ok: false; readonly stale?: true; readonly messages: readonly string[] };

/** Runs a use case and turns its errors into messages. */
export async function outcome<T>(run: () => Promise<T>): Promise<Outcome<T>> {
  try {
    return { ok: true, value: await run() };
  } catch (error) {
    if (error instanceof BadInput) return { ok: false, messages: error.faults.map(faultLine) };
    if (error instanceof StaleEdit)
      return {
        ok: false,
        stale: true,
        messages: [
          'This spread was changed in another window. It has been loaded anew; please make your change again.',
        ],
      };
    if (error instanceof TakenSticker) {
      const { kit, code, copy } = error.placement;
      return {
        ok: false,
        stale: true,
        messages: [
          `${code} from “${spokenName(kit)}”, copy ${copy}, is not there any more: another week has it, or it was spoiled. The spread has been loaded anew.`,
        ],
      };
    }
    console.error(error);
    return {
      ok: false,
      messages: [
        `It could not be saved: ${error instanceof Error ? error.message : String(error)}. Nothing was changed.`,
      ],
    };
  }
}
