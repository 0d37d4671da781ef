import fc from 'fast-check';
import { reeled, ruled } from './fraction';
import { lettersOn, linesIn, shortened, textFits, writeLines } from './hand';
import { fromInches } from './length';
import { PAPER } from './paper';
import { area, intersect, subtract, turned, unionArea } from './rect';

const rect = fc.record({
  x: fc.integer({ min: 0, max: 40 }),
  y: fc.integer({ min: 0, max: 40 }),
  w: fc.integer({ min: 1, max: 30 }),
  h: fc.integer({ min: 1, max: 30 }),
});
const hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };

describe('lengths', () => {
  it('holds the inch, the papers and the card to their standards (1959 agreement; ISO 216; ISO/IEC 7810 ID-1)', () => {
    expect(fromInches(1)).toBe(25.4);
    expect([PAPER.A4, PAPER.A5, PAPER.B6, PAPER.card]).toEqual([
      { width: 210, height: 297 },
      { width: 148, height: 210 },
      { width: 125, height: 176 },
      { width: 85.6, height: 53.98 },
    ]);
    expect(PAPER.Letter.width).toBeCloseTo(fromInches(8.5));
  });

  it('reads lengths as a ruler does', () => {
    expect(ruled(38.1, 'in')).toBe('1 1/2 in');
    expect(ruled(48.3, 'in')).toBe('1 7/8 in');
    expect(ruled(0.9, 'in')).toBe('1/16 in');
    expect(ruled(9.3)).toBe('9.3 mm');
    expect(ruled(-38.1, 'in')).toBe('-1 1/2 in');
  });

  it('says much tape in meters or feet', () => {
    expect([reeled(999), reeled(2913)]).toEqual(['999 mm', '2.9 m']);
    expect([reeled(38.1, 'in'), reeled(2913, 'in')]).toEqual(['1 1/2 in', '9.6 ft']);
  });
});

describe('rectangles', () => {
  it('takes away exactly what is covered', () => {
    fc.assert(
      fc.property(rect, fc.array(rect, { maxLength: 6 }), (r, covers) => {
        const left = subtract(r, covers);
        const covered = unionArea(covers.flatMap((c) => intersect(r, c) ?? []));
        expect(left.reduce((sum, part) => sum + area(part), 0) + covered).toBeCloseTo(area(r), 5);
        expect(left.every((part) => covers.every((c) => intersect(part, c) === null))).toBe(true);
      }),
    );
  });

  it('turns about its center', () => {
    expect(turned({ x: 0, y: 0, w: 40, h: 10 }, 90)).toEqual({
      x: 15,
      y: -15,
      w: expect.closeTo(10),
      h: expect.closeTo(40),
    });
    expect(turned({ x: 1, y: 2, w: 3, h: 4 }, 180)).toEqual({ x: 1, y: 2, w: 3, h: 4 });
  });
});

describe('the hand', () => {
  it('breaks between words and counts letters by width', () => {
    expect(lettersOn(hand, 38.1)).toBe(18);
    expect(lettersOn(hand, 19.05)).toBe(9);
    expect(writeLines('4:30p vet, Juniper', 26, hand)).toEqual(['4:30p vet,', 'Juniper']);
  });

  it('fits only what can be written without breaking a word', () => {
    expect(textFits('rehearsal', 15, 20, hand)).toBe(false);
    expect(textFits('rehearsal', 20, 4.6, hand)).toBe(true);
    expect(textFits('one two three four', 20, 8.9, hand)).toBe(false);
  });

  it('shortens with an ellipsis that still fits', () => {
    const long = 'a title of very many words that nobody could ever write on a sticker so small';
    const short = shortened(long, 38, 9, hand) as string;
    expect(short.endsWith('…')).toBe(true);
    expect(textFits(short, 38, 9, hand)).toBe(true);
    expect(shortened('x'.repeat(80), 38, 9, hand)).toHaveLength(17);
    expect(shortened('anything', 1, 9, hand)).toBeNull();
  });
});

it('fits a text exactly when its written lines do', () => {
  const hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };
  fc.assert(
    fc.property(
      fc.string({ unit: fc.constantFrom('a', 'é', 'ß', ' '), maxLength: 40 }),
      fc.integer({ min: 2, max: 40 }),
      fc.integer({ min: 0, max: 30 }),
      (text, w, h) => {
        const whole = text
          .trim()
          .split(/\s+/)
          .every((word) => [...word].length <= lettersOn(hand, w));
        expect(textFits(text, w, h, hand)).toBe(
          text.trim() === '' || (whole && writeLines(text, w, hand).length <= linesIn(hand, h)),
        );
      },
    ),
    { numRuns: 300, seed: 2 },
  );
});
