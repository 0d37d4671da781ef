import fc from 'fast-check';

/** What no door expects: of another kind, too much of it, or meant to be run somewhere. */
const ODD: readonly unknown[] = [
  null,
  undefined,
  true,
  '',
  ' ',
  0,
  -1,
  0.5,
  1e308,
  -0,
  2 ** 53,
  NaN,
  [],
  {},
  [[]],
  [null],
  { length: 3 },
  '__proto__',
  'constructor',
  'toString',
  '../../etc/hosts',
  '%00',
  '\u0000',
  '\ud800',
  'a\rb\r\nc',
  'i\u0301\u0301 \u0304',
  'a\u0007\u2028b',
  '\u202e',
  "'; drop table spread; --",
  '<img src=x onerror=alert(1)>',
  '=1+1',
  '-2+3',
  '2027-02-30',
  '2027-W99',
  'NaN',
  'x'.repeat(5000),
  Array.from({ length: 500 }, () => 1),
];

const odd = fc.oneof(fc.constantFrom(...ODD), fc.jsonValue({ maxDepth: 2 }));

/** A good value with none, one or a few of its parts replaced, taken out or joined by a strange one. */
export const mutated = (good: unknown): fc.Arbitrary<unknown> =>
  fc
    .array(fc.tuple(fc.nat(10_000), odd, fc.constantFrom('replace', 'replace', 'take out', 'add')), { maxLength: 3 })
    .map((changes) => {
      let value: unknown = structuredClone(good);
      for (const [at, one, how] of changes) {
        const strange: unknown = structuredClone(one);
        const places = placesIn(value);
        const place = places[at % places.length];
        if (!place) value = strange;
        else if (how === 'take out') Reflect.deleteProperty(place.of, place.key);
        else if (how === 'add' && Array.isArray(place.of)) place.of.push(strange);
        else if (how === 'add') put(place.of, typeof strange === 'string' && strange ? strange : 'more', strange);
        else put(place.of, place.key, strange);
      }
      return value;
    });

interface Place {
  readonly of: object;
  readonly key: string;
}

/** As parsed JSON has it: a key of that name, whatever name that is. */
const put = (of: object, key: string, value: unknown): void =>
  void Object.defineProperty(of, key, { value, enumerable: true, configurable: true, writable: true });

/** Every part of a value, and null for all of it. */
function placesIn(value: unknown): (Place | null)[] {
  if (typeof value !== 'object' || value === null) return [null];
  const inside = Object.entries(value).flatMap(([key, part]): (Place | null)[] => [
    { of: value, key },
    ...placesIn(part).filter((p) => p !== null),
  ]);
  return [...inside, null];
}
