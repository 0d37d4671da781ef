/**
 * What a table has under a word that came from outside; undefined for a word that is not its own, such as
 * `constructor`.
 */
export const own = <T>(table: Readonly<Record<string, T>>, word: string): T | undefined =>
  // eslint-disable-next-line hobnail/outside-words -- the one place that does, and asks first
  Object.hasOwn(table, word) ? table[word] : undefined;
