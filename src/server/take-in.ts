import { BadInput, quoted } from '../core/format/fault';
import { decodeText } from '../core/format/decode';
import { failure } from './outcome';
import { store } from './store';
import type { SameName, SameNameWay, Taken } from './taking-in/format';
import { FORMATS } from './taking-in/registry';

/** What became of one file: a sentence when it was taken in, messages when it was not and nothing of it was kept. */
export interface TakenIn {
  readonly file: string;
  readonly said: string | null;
  readonly messages: readonly string[];
}

/** A file whose name is taken: nothing of it was kept, and its owner is asked. */
export interface AskedOf {
  readonly file: string;
  readonly same: SameName;
}

/** One line of the answer: how far the reading of a file is, or what became of it. */
export type TakeInNews = { readonly file: string; readonly share: number } | TakenIn | AskedOf;

export interface TakingIn {
  /** what to do where its name is taken; null: ask */
  readonly way?: SameNameWay | null;
  readonly onProgress?: (share: number) => void;
  readonly signal?: AbortSignal;
}

/**
 * Takes a file in, whole or not at all, by the registry of formats. Kits are looked over in a table first
 * (kit-actions.ts).
 */
export async function takeIn(file: File, how: TakingIn = {}): Promise<TakenIn | AskedOf> {
  try {
    const taken = await takeOne(file, how);
    return 'there' in taken
      ? { file: file.name, same: taken }
      : { file: file.name, said: taken.said, messages: taken.notes };
  } catch (error) {
    const messages = how.signal?.aborted ? ['It was stopped, and nothing of it was kept.'] : failure(error);
    return { file: file.name, said: null, messages };
  }
}

async function takeOne(file: File, { way = null, onProgress = () => {}, signal }: TakingIn): Promise<Taken | SameName> {
  const wrong = (found: string, expected: string): BadInput =>
    new BadInput([{ file: file.name, where: 'the whole file', found, expected }]);
  const format = FORMATS.find((f) => file.name.toLowerCase().endsWith(f.ending));
  if (!format)
    throw wrong(
      quoted(file.name),
      `${FORMATS.map((f) => f.name).join(' or ')}; a kit (.csv) is looked over on the screen first`,
    );
  if (file.size > format.mostMegabytes * 2 ** 20)
    throw wrong(`${Math.round(file.size / 2 ** 20)} MB`, `at most ${format.mostMegabytes} MB`);
  const text = decodeText(new Uint8Array(await file.arrayBuffer()), file.name);
  const base = file.name.slice(0, -format.ending.length);
  return format.take(await store(), { name: file.name, base, text, way }, onProgress, signal);
}
