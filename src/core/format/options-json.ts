import type { Options } from '../manner/options';
import { conform, parseJson } from './schema';

/** Reads settings for one spread (formats.md, Options). @throws BadInput, an unknown key by its name */
export function readOptions(text: string, file: string): Partial<Options> {
  const value = parseJson(text, file);
  conform('options', value, file);
  return value as Partial<Options>;
}
