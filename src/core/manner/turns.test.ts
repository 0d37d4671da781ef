import { TURNS, TURN_NAMES, besideEachOther, suits, turnOf } from './turns';

describe('turns of boldness (W4, E4)', () => {
  it('have seven days each, are all different, and come in pairs that mirror each other', () => {
    for (const name of TURN_NAMES) {
      expect(TURNS[name]).toHaveLength(7);
      const mirrored = TURNS[name].map((b) => Math.round(100 * (1 - b)) / 100);
      expect(
        TURN_NAMES.filter((other) => TURNS[other].every((b, day) => Math.abs(b - mirrored[day]!) < 0.02)),
      ).toHaveLength(1);
    }
  });
  it.each(TURN_NAMES)('%s is known by its boxes, however bold they are, and where one is missing', (name) => {
    expect(turnOf(TURNS[name])).toBe(name);
    expect(turnOf(TURNS[name].map((b) => 0.3 + b * 0.2))).toBe(name);
    expect(turnOf(TURNS[name].map((b, day) => (day === 1 ? null : b)))).toBe(name);
  });
  it('are none where the boxes hardly differ, or follow nothing', () => {
    expect(besideEachOther([0.5, 0.55, 0.6])).toBeNull();
    expect(besideEachOther([0.5, 0.625])).toEqual([-0.5, 0.5]);
    expect(turnOf([0.5, 0.52, 0.55, 0.5, 0.5, 0.6, 0.5])).toBeNull();
    expect(turnOf([0, 0, 0, 0, 1, 1, 1])).toBeNull();
  });
  it('a week a little off its turn still follows it, however few are bold', () => {
    expect(turnOf([1, 0.3, 0.7, 0.2, 0.8, 0, 0.9])).toBe('bold and pale in turns');
    expect(turnOf([1, 0.5, 0.3, 0.1, 0.2, 0.4, 0.9])).toBe('palest in the middle');
  });
  it('suit a bold box on a bold day as much as a pale one on a pale day, and one like all the others anywhere', () => {
    expect(suits(0.5, 'bold and pale in turns', 0)).toBe(0.5);
    expect(suits(-0.5, 'bold and pale in turns', 1)).toBe(0.5);
    expect(suits(0.5, 'bold and pale in turns', 1)).toBe(-0.5);
    expect(suits(0, 'bold and pale in turns', 1)).toBeCloseTo(0);
  });
});
