import { shippedLetters } from '../../server/fonts';
import { sayLacking } from './say-lacking';

const letters = shippedLetters();
const pathOf = (text: string, family = 'Caveat, cursive'): string => JSON.stringify(letters.outline(text, family).path);

describe('letters of other tongues', () => {
  it.each([
    ['Polish and Czech', 'Łukasz, žluťoučký kůň'],
    ['Cyrillic', 'Вызвать врача'],
    ['Greek', 'γιατρός'],
    ['Vietnamese', 'Nguyễn đặt lịch'],
    ['Hebrew', 'שלום'],
    ['Arabic', 'مرحبا بالعالم'],
    ['Japanese', '歯医者 カタ 10時'],
    ['Korean', '한국 치과 예약'],
    ['arrows, marks and fractions', 'yoga → Wed ✓ ☐ ★ ½ …'],
    ['emoji', '🎂 Mia ☕ 👩\u200d👧 ❤\ufe0f'],
  ])('%s are drawn, each as itself', (_, text) => {
    expect(letters.lacking(text)).toEqual([]);
    for (const letter of new Set(text.replace(/[\s\u200d\ufe0f]/g, '')))
      for (const other of ['?', '\u{e000}']) expect(pathOf(letter)).not.toBe(pathOf(other));
  });

  it('of every font here that has none of its own stand in for it', () => {
    for (const family of ['Figtree', 'Fraunces', 'Pacifico', 'Sacramento', 'Caveat'])
      expect(letters.outline('Ł→歯', family).path.length).toBeGreaterThan(20);
  });

  it('that no font has are said, and an empty box is drawn, never another letter', () => {
    expect(letters.lacking('a नमन म b')).toEqual(['न', 'म']);
    expect(pathOf('न')).toBe(pathOf('\u{e000}'));
    expect(pathOf('न')).not.toBe(pathOf('?'));
    expect(letters.outline('नम', 'Caveat').width).toBeCloseTo(1);
    expect(sayLacking(['न', 'म'])).toMatch(/No font here can draw न म\./);
  });

  it('join where their script joins: an Arabic word is not its letters beside each other', () => {
    const word = letters.outline('بيت', 'Caveat').width;
    const apart = [...'بيت'].reduce((sum, c) => sum + letters.outline(c, 'Caveat').width, 0);
    expect(word).toBeLessThan(apart);
  });
});
