import { understand } from '../../src/core/week/typed/understand';
import { PEOPLE, TYPED_ON, judge, readLines } from './lines';

const LINES = PEOPLE.flatMap(({ file, habits }) =>
  readLines(file).map((line) => ({ ...line, verdict: judge(line, understand(line.line, TYPED_ON, habits)) })),
);
const those = (verdict: string) => LINES.filter((l) => l.verdict === verdict).map((l) => l.line);

it('holds more than 450 lines of people with other habits', () => expect(LINES.length).toBeGreaterThan(450));

it('reads 97 of 100 lines right, and the rest it asks about', () => {
  expect(those('right').length / LINES.length).toBeGreaterThan(0.97);
  expect(those('wrong').length / LINES.length).toBeLessThan(0.01);
  // the only one that nobody could read: a day that is no word
  expect(those('wrong')).toEqual(['thr 11am vet']);
});

it('asks seldom where nothing is open', () => {
  const clear = PEOPLE.flatMap(({ file, habits }) =>
    readLines(file)
      .filter((l) => !l.open)
      .map((l) => ({ line: l.line, doubts: understand(l.line, TYPED_ON, habits).doubts })),
  );
  const asked = clear.filter((l) => l.doubts.length > 0);
  expect(asked.length / clear.length).toBeLessThan(0.2);
});
