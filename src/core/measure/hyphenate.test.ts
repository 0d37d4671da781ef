import fc from 'fast-check';
import { hyphenated } from './hyphenate';

it.each([
  ['orthodontist', 8, ['ortho-', 'dontist']],
  ['Geburtstagsvorbereitungen', 16, ['Geburtstagsvor-', 'bereitungen']],
  ['transportation', 10, ['transpor-', 'tation']],
  ['mother', 5, ['mo-', 'ther']],
  ['сантехника', 7, ['сантех-', 'ника']],
  ['brrrrrrrrr', 6, ['brrrr-', 'rrrrr']],
  ['12345678901', 6, ['12345', '678901']],
  ['swim', 4, ['swim']],
  ['swim', 2, ['sw', 'im']],
])('%s on lines of %i letters', (word, most, parts) => expect(hyphenated(word, most)).toEqual(parts));

it('never writes more on a line than it takes, and loses no letter', () =>
  fc.assert(
    fc.property(fc.stringMatching(/^[a-zäß1-9]{1,60}$/), fc.integer({ min: 1, max: 20 }), (word, most) => {
      const parts = hyphenated(word, most);
      for (const part of parts) expect([...part].length).toBeLessThanOrEqual(most);
      expect(parts.map((p) => p.replace(/-$/, '')).join('')).toBe(word);
    }),
  ));
