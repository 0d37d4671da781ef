import { hyphenated } from './hyphenate';
import { WIDE } from './wide';

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

/** The hand written smaller, where room is short (handbook P5): `size` is a share of it, 1 the hand itself. */
export const handAt = (hand: Hand, size: number): Hand =>
  size === 1 ? hand : { ...hand, lettersPerLine: hand.lettersPerLine / size, linePitch: hand.linePitch * size };

/** What a line may be broken before: a word, a part of one after a hyphen, a letter of a script without spaces. */
interface Unit {
  readonly text: string;
  /** in letters; those of East Asian scripts are as wide as two */
  readonly letters: number;
  /** a space is written before it, unless a line begins with it */
  readonly spaced: boolean;
  /** it begins a line in any case: the text has a line break before it */
  readonly breaks: boolean;
}

/**
 * The text as it would be written on lines of `width` mm: broken where it says so, between words and after a hyphen or
 * a stroke in one; elsewhere in a word, with a hyphen, only when it alone is longer than a line.
 */
export function writeLines(text: string, width: number, hand: Hand): string[] {
  const most = lettersOn(hand, width);
  if (most === 0) return text.trim() ? [text] : [];
  const lines: string[] = [];
  let line = '';
  let used = 0;
  for (const unit of unitsOf(text)) {
    const space = line && unit.spaced ? 1 : 0;
    if (line && !unit.breaks && used + space + unit.letters <= most) {
      line += `${space ? ' ' : ''}${unit.text}`;
      used += space + unit.letters;
      continue;
    }
    if (line) lines.push(line);
    const parts = unit.letters > most && !WIDE.test(unit.text) ? hyphenated(unit.text, most) : [unit.text];
    line = parts.pop() ?? '';
    lines.push(...parts);
    used = parts.length ? [...line].length : Math.min(unit.letters, most);
  }
  if (line) lines.push(line);
  return lines;
}

/** True when the text can be written in `width` x `height` mm at this hand, no word broken. */
export function textFits(text: string, width: number, height: number, hand: Hand): boolean {
  const most = lettersOn(hand, width);
  let lines = 0;
  let used = Infinity;
  for (const { letters, spaced, breaks } of unitsOf(text)) {
    if (letters > most) return false;
    const wanted = used + (spaced ? 1 : 0) + letters;
    if (wanted <= most && !breaks) used = wanted;
    else {
      lines++;
      used = letters;
    }
  }
  return lines <= linesIn(hand, height);
}

/** What a text may be broken into. A week's texts are tried on one base after another, so they are cut once. */
function unitsOf(text: string): readonly Unit[] {
  const known =
    cut.get(text) ??
    text.split('\n').flatMap((part) =>
      part
        .trim()
        .split(/\s+/)
        .filter(Boolean)
        .flatMap(unitsOfWord)
        .map((unit, i) => (i ? unit : { ...unit, breaks: true })),
    );
  if (cut.size >= MOST_CUT) cut.clear();
  cut.set(text, known);
  return known;
}

/** After a hyphen, a stroke and their like between letters a word may be broken. Common practice. */
const WITHIN = /(?<=\p{L}{2}[-/–—_=&?@+.])(?=\p{L}{3})/u;

function unitsOfWord(word: string): Unit[] {
  if (!WIDE.test(word))
    return word
      .split(WITHIN)
      .map((part, i) => ({ text: part, letters: [...part].length, spaced: i === 0, breaks: false }));
  const parts = word.match(new RegExp(`${WIDE.source}|(?:(?!${WIDE.source}).)+`, 'gu')) ?? [];
  return parts.map((part, i) => ({
    text: part,
    letters: WIDE.test(part) ? 2 : [...part].length,
    spaced: i === 0,
    breaks: false,
  }));
}

const cut = new Map<string, readonly Unit[]>();
const MOST_CUT = 5000;

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
