import type { Demand } from '../../week/demand';
import { writtenText, writtenTime } from '../../week/demand';

/**
 * What is still to be written where a script says part of an item: what follows its words in the title, then the time,
 * since a time between the words of a title is read as none of it; all of it where the script says the item's meaning
 * in other words. Null where the script says everything.
 * @example besideScript(choirRehearsalAt19, 'choir') // 'rehearsal, 7p'
 */
export function besideScript(demand: Demand, script: string): string | null {
  const rest = afterWords(demand.title, script);
  if (rest === null) return writtenText(demand);
  const time = writtenTime(demand);
  const said = [rest, time].filter(Boolean).join(', ');
  return `${said}${demand.tentative ? ' ?' : ''}`.trim() || null;
}

/** What follows some words at the beginning of a title, without comma or dash; null where it begins otherwise. */
function afterWords(title: string, words: string): string | null {
  const [all, first] = [title.trim(), words.trim().toLowerCase()];
  if (first === '' || !all.toLowerCase().startsWith(first)) return null;
  const rest = all.slice(first.length);
  return /^[\p{L}\p{N}]/u.test(rest) ? null : rest.replace(/^[\s,;:–—-]+/u, '');
}
