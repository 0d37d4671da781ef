import type { Sticker } from './correct';
import { eachItsOwn } from './correct';

/** Stickers in the order in which they are read: row by row from the top, each row from the left. */
function inReadingOrder(stickers: readonly Sticker[]): Sticker[] {
  const rows: Sticker[][] = [];
  for (const s of [...stickers].sort((a, b) => a.y + a.h / 2 - b.y - b.h / 2)) {
    const row = rows.at(-1);
    const first = row?.[0];
    // one that begins below the middle of the row's first is in the next row
    if (row && first && s.y < first.y + first.h / 2) row.push(s);
    else rows.push([s]);
  }
  return rows.flatMap((row) => [...row].sort((a, b) => a.x - b.x));
}

/** Several words told at once, as they are typed: between commas. */
export const wordsOf = (typed: string): string[] => typed.split(',').map((word) => word.trim());

/**
 * Gives each of some stickers a word of its own, in the order in which they are read; each becomes a design of its
 * own, unless it has the words of another one.
 * @throws RangeError where there are not as many words as stickers
 */
export function wordsInOrder(all: readonly Sticker[], ids: readonly number[], words: readonly string[]): Sticker[] {
  if (words.length !== ids.length) throw new RangeError(`${words.length} words for ${ids.length} stickers`);
  const order = inReadingOrder(all.filter((s) => ids.includes(s.id)));
  const said = new Map(order.map((s, i) => [s.id, words[i] ?? '']));
  const designOf = new Map<string, number>();
  return eachItsOwn(all, ids).map((s) => {
    const word = said.get(s.id);
    if (word === undefined) return s;
    const design = designOf.get(word) ?? s.design;
    designOf.set(word, design);
    return { ...s, words: word, design, doubts: [] };
  });
}
