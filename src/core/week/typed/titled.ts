/** What is left is the title, without the small words that led to what was taken. */
export function titled(rest: string, turns: readonly string[] | null): string {
  const words = rest
    .replace(/\s+(?:on|at|the|by|from|of|and|in|until)\s*(?=[,\s]*$)/iu, ' ')
    .replace(/\s*,\s*(?=,|$)/g, ' ')
    .replace(/\(\s*\)/g, ' ')
    .replace(/\s+/g, ' ')
    .replace(/\s(?=[,;:!?](?:\s|$))/g, '')
    .replace(/(?<=[.!?,;:])\s*\.(?=\s|$)/g, '')
    .replace(/\s+\.(?=\s|$)/g, '')
    .replace(/\s+[–-](?=\s+[–-]|\s*$)/g, '')
    .replace(/^[\s,;:/–-]+|[\s,;:/–-]+$/g, '')
    .replace(/(?<=\p{Ll}{2})\.$/u, '');
  return turns ? turns.map((t) => `${t} ${words}`.trim()).join(' / ') : words;
}
