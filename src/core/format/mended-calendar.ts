/** A line that begins as one of a calendar may: a property, a fold, or nothing. */
const SOUND = /^(?:[A-Za-z0-9-]+[;:]|[ \t]|$)/;

/**
 * A calendar's text of which a line was broken in two by something that was written into it raw: the second half goes
 * back behind the first. Earlier versions wrote such; no file of others is read so.
 */
export function mendedCalendar(text: string): string {
  const lines: string[] = [];
  for (const line of text.split(/\r\n?|\n/))
    if (SOUND.test(line) || !lines.length) lines.push(line);
    else lines.push(`${lines.pop() ?? ''} ${line}`);
  return lines.join('\r\n');
}
