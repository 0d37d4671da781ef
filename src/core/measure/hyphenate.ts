/** Letters that must stand before and after a hyphen. Common practice. */
const LEAST = 2;
const VOWEL = /[aeiouyæøœаеёиоуыэюяіїєαεηιουω]/iu;
const LETTER = /\p{L}/u;
/** Two letters that sound as one are not parted. Common practice. */
const TOGETHER = /^(ch|ck|gh|ph|rh|sh|th|wh|qu|ng)$/i;

/**
 * A word as it is broken over lines of so many letters: with a hyphen, between syllables where it has some, that is
 * before a single consonant or between two. No dictionary of any tongue is asked. From memory.
 * @returns the word alone where a line is too short for a hyphen
 */
export function hyphenated(word: string, most: number): string[] {
  const letters = [...word];
  const parts: string[] = [];
  while (letters.length > most && most > LEAST) {
    const at = breakIn(letters, most - 1);
    parts.push(`${letters.splice(0, at).join('')}${LETTER.test(letters[0] ?? '') ? '-' : ''}`);
  }
  for (; letters.length > most && most > 0;) parts.push(letters.splice(0, most).join(''));
  return letters.length ? [...parts, letters.join('')] : parts;
}

/** How many letters come before the last break that is good, of at most so many; all of them where none is. */
function breakIn(letters: readonly string[], most: number): number {
  const isVowel = letters.map((l) => VOWEL.test(l.normalize('NFD')));
  const last = Math.min(most, letters.length - LEAST);
  for (let at = last; at >= LEAST; at--) {
    const [two, before, after, next] = [at - 2, at - 1, at, at + 1].map((i) => isVowel[i]);
    if (!LETTER.test(letters[at - 1] ?? '') || !LETTER.test(letters[at] ?? '')) continue;
    if (TOGETHER.test(`${letters[at - 1]}${letters[at]}`)) continue;
    // two that sound as one begin a syllable as one does
    const sound = TOGETHER.test(`${letters[at]}${letters[at + 1]}`) ? isVowel[at + 2] : next;
    const beforeOne = before && !after && sound;
    const betweenTwo = two && !before && !after && next;
    if (beforeOne || betweenTwo) return at;
  }
  return Math.max(1, last);
}
