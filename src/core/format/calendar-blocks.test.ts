import type { Blocks } from './calendar-blocks';
import { blocksOf, isZone } from './calendar-blocks';
import { BadInput } from './fault';

/** Runs the cutting to its end. */
function cut(text: string): Blocks {
  const work = blocksOf(text, 'a.ics');
  for (;;) {
    const step = work.next();
    if (step.done) return step.value;
  }
}
const lines = (...all: readonly string[]): string => all.join('\n') + '\n';
const faultOf = (text: string): string => {
  try {
    cut(text);
  } catch (error) {
    if (error instanceof BadInput) return error.message;
    throw error;
  }
  return 'it was taken';
};

const EVENT = ['BEGIN:VEVENT', 'UID:a', 'SUMMARY:vet', 'END:VEVENT'];

describe('a calendar is cut into its components', () => {
  it('each with its name, its line and its text as it stands', () => {
    const text = lines(
      'BEGIN:VCALENDAR',
      'VERSION:2.0',
      ...EVENT,
      'BEGIN:VTODO',
      'UID:b',
      'END:VTODO',
      'END:VCALENDAR',
    );
    const { properties, blocks, end } = cut(text);
    expect(properties).toBe('VERSION:2.0');
    expect(blocks.map(({ name, line }) => [name, line])).toEqual([
      ['VEVENT', 3],
      ['VTODO', 7],
    ]);
    for (const b of blocks) expect(text.slice(b.at, b.at + b.text.length)).toBe(b.text);
    expect(text.slice(end)).toBe('END:VCALENDAR\n');
  });
  it('with what stands within one, an alarm, in its text', () => {
    const alarm = ['BEGIN:VALARM', 'TRIGGER:-P1D', 'END:VALARM'];
    const { blocks } = cut(lines('BEGIN:VCALENDAR', 'BEGIN:VEVENT', ...alarm, 'END:VEVENT', 'END:VCALENDAR'));
    expect(blocks).toHaveLength(1);
    expect(blocks[0]!.text).toContain('BEGIN:VALARM');
  });
  it('zones are told from items', () => {
    const { blocks } = cut(
      lines('BEGIN:VCALENDAR', 'BEGIN:VTIMEZONE', 'TZID:x', 'END:VTIMEZONE', ...EVENT, 'END:VCALENDAR'),
    );
    expect(blocks.map(isZone)).toEqual([true, false]);
  });
  it('in small letters, with blank lines and folded ones, and without a line end at the last', () => {
    const text = 'begin:vcalendar\n\nbegin:vevent\nsummary:a long\n  tail\nend:vevent\n\nend:vcalendar';
    expect(cut(text).blocks.map((b) => b.name)).toEqual(['VEVENT']);
  });
  it('two calendars in one file: the items of both, the properties of the first', () => {
    const one = ['BEGIN:VCALENDAR', 'X-A:1', ...EVENT, 'END:VCALENDAR'];
    const { properties, blocks } = cut(lines(...one, ...one.map((l) => l.replace('X-A', 'X-B'))));
    expect([properties, blocks.length]).toEqual(['X-A:1', 2]);
  });
});

it.each([
  ['an empty file', '', 'line 1: found "", expected BEGIN:VCALENDAR'],
  ['a letter', lines('Dear Wren,'), 'line 1: found "Dear Wren,"'],
  ['an item without a calendar', lines(...EVENT), 'expected BEGIN:VCALENDAR'],
  ['an END that is another’s', lines('BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'END:VTODO'), 'line 3: found "END:VTODO", expected END:VEVENT, for the BEGIN on line 2'],
  ['a calendar that is cut off', lines('BEGIN:VCALENDAR', 'BEGIN:VEVENT', 'UID:a'), 'expected END:VEVENT, for the BEGIN on line 2; the file seems cut off'],
  ['a line that is no property', lines('BEGIN:VCALENDAR', 'VERSION:2.0', 'what is this', 'END:VCALENDAR'), 'line 3: found "what is this", expected a property'],
  ['something after the calendar', lines('BEGIN:VCALENDAR', 'END:VCALENDAR', 'X:1'), 'line 3: found "X:1"'],
  ['an END with nothing open', lines('END:VCALENDAR'), 'expected BEGIN:VCALENDAR'],
])('%s says which line, what was found and what is expected', (_, text, said) => {
  expect(faultOf(text)).toContain(said);
}); // prettier-ignore

it('tells how far it is on a long one', () => {
  const work = blocksOf(
    lines('BEGIN:VCALENDAR', ...Array.from({ length: 45_000 }, () => 'X-A:1'), 'END:VCALENDAR'),
    'a',
  );
  const shares: number[] = [];
  for (let step = work.next(); !step.done; step = work.next()) shares.push(step.value);
  expect(shares).toHaveLength(2);
  expect(shares[0]! < shares[1]! && shares[1]! < 1).toBe(true);
});
