import { BadInput, quoted } from '../core/format/fault';
import { decodeText } from '../core/format/decode';
import { failure } from './outcome';
import { store } from './store';
import { FORMATS } from './taking-in/registry';

/** What became of one file: a sentence when it was taken in, messages when it was not and nothing of it was kept. */
export interface TakenIn {
  readonly file: string;
  readonly said: string | null;
  readonly messages: readonly string[];
}

/** One line of the answer: how far the reading of a file is, or what became of it. */
export type TakeInNews = { readonly file: string; readonly share: number } | TakenIn;

/**
 * Takes a file in, whole or not at all, by the registry of formats. Kits are looked over in a table first
 * (kit-actions.ts).
 */
export async function takeIn(file: File, onProgress: (share: number) => void): Promise<TakenIn> {
  try {
    const [said, notes] = await takeOne(file, onProgress);
    return { file: file.name, said, messages: notes };
  } catch (error) {
    return { file: file.name, said: null, messages: failure(error) };
  }
}

async function takeOne(file: File, onProgress: (share: number) => void): Promise<[string, readonly string[]]> {
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
  const { said, notes } = await format.take(await store(), { name: file.name, base, text }, onProgress);
  return [said, notes];
}
