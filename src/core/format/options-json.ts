import type { Options } from '../manner/options/registry';
import type { Ways } from '../manner/ways/registry';
import { parseJson } from './parse-json';
import { conform } from './schema';

/** What a spread sets beside its school's habits. */
export interface OwnSettings {
  readonly options: Partial<Options>;
  readonly ways: Partial<Ways>;
}

/**
 * Reads settings for one spread (docs/formats).
 * @throws BadInput, an unknown key or way by its name
 * @example readOptions('{"ways":{"boxes":5}}', 'options.json').ways
 */
export function readOptions(text: string, file: string): OwnSettings {
  const value = parseJson(text, file);
  conform('options', value, file);
  const { ways = {}, ...options } = value as Partial<Options> & { readonly ways?: Partial<Ways> };
  return { options, ways };
}
