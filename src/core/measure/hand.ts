/** How large its owner writes, measured once with a sample line (handbook P4). */
export interface Hand {
  /** letters that fit on a line of `lineWidth` mm */
  readonly lettersPerLine: number;
  /** mm */
  readonly lineWidth: number;
  /** mm from line to line */
  readonly linePitch: number;
}

/** A usual hand with a fine pen, from memory; the owner measures their own. */
export const USUAL_HAND: Hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };

/** Whole letters on a line of `width` mm. */
export const lettersOn = (hand: Hand, width: number): number =>
  Math.max(0, Math.floor((hand.lettersPerLine * width) / hand.lineWidth + 1e-9));

/** Whole lines in `height` mm. */
export const linesIn = (hand: Hand, height: number): number => Math.max(0, Math.floor(height / hand.linePitch + 1e-9));

/**
 * The text as it would be written on lines of `width` mm: broken between words,
 * inside a word only when the word alone is longer than a line.
 */
export function writeLines(text: string, width: number, hand: Hand): string[] {
  const most = lettersOn(hand, width);
  if (most === 0) return text.trim() ? [text] : [];
  const lines: string[] = [];
  let line = '';
  for (const word of text.trim().split(/\s+/).filter(Boolean)) {
    let rest = [...word];
    if (line && [...line].length + 1 + rest.length <= most) {
      line += ` ${word}`;
      continue;
    }
    if (line) lines.push(line);
    for (; rest.length > most; rest = rest.slice(most)) lines.push(rest.slice(0, most).join(''));
    line = rest.join('');
  }
  if (line) lines.push(line);
  return lines;
}

/** True when the text can be written in `width` x `height` mm at this hand, no word broken. */
export function textFits(text: string, width: number, height: number, hand: Hand): boolean {
  const most = lettersOn(hand, width);
  let lines = 0;
  let used = Infinity;
  for (const letters of wordLengths(text)) {
    if (letters > most) return false;
    if (used + 1 + letters <= most) used += 1 + letters;
    else {
      lines++;
      used = letters;
    }
  }
  return lines <= linesIn(hand, height);
}

/** Letters of each word. A week's texts are tried on one base after another, so they are counted once. */
function wordLengths(text: string): readonly number[] {
  const known =
    counted.get(text) ??
    text
      .trim()
      .split(/\s+/)
      .filter(Boolean)
      .map((word) => [...word].length);
  if (counted.size >= MOST_COUNTED) counted.clear();
  counted.set(text, known);
  return known;
}

const counted = new Map<string, readonly number[]>();
const MOST_COUNTED = 5000;

/**
 * The longest beginning of the text, closed with an ellipsis, that can be written there, cut between words where one
 * is not too long for a line; null when there is no room for three letters.
 */
export function shortened(text: string, width: number, height: number, hand: Hand): string | null {
  const words = text.trim().split(/\s+/);
  for (let count = words.length; count > 0; count--) {
    const shorter = count === words.length ? words.join(' ') : `${words.slice(0, count).join(' ')}…`;
    if (textFits(shorter, width, height, hand)) return shorter;
  }
  const most = lettersOn(hand, width);
  const first = [...(words[0] ?? '')];
  return most >= 4 && linesIn(hand, height) > 0 && first.length > most ? `${first.slice(0, most - 1).join('')}…` : null;
}
