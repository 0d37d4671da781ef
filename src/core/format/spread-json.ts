import type { SpreadFile } from './spread-file';
import { conform } from './schema';

/** The spread as a file, checked against its schema; the same spread gives the same bytes. */
export function writeSpread(spread: SpreadFile): string {
  const text = `${JSON.stringify(spread, null, 2)}\n`;
  conform('spread', JSON.parse(text), 'spread.json');
  return text;
}
