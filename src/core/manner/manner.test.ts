import Ajv from 'ajv';
import { MANNERS, mannerNamed } from './registry';
import type { Option } from './options/option';
import { number, words, yesOrNo } from './options/option';
import { OPTIONS, USUAL_HABITS } from './options/registry';
import type { Height } from './rhythm';
import { RHYTHMS, STANDS, STAND_NAMES, rhythmOf } from './rhythm';
import type { Way } from './ways/way';
import { USUAL_WAYS, WAYS, isWay } from './ways/registry';

const ajv = new Ajv();
const allows = (o: Option, value: unknown): boolean => ajv.validate(o.schema, value);

describe.each(OPTIONS.map((o) => [o.key, o as Option] as const))('the option %s', (key, option) => {
  it('has a usual value that its own schema allows', () => {
    expect(allows(option, option.usual)).toBe(true);
    expect(USUAL_HABITS).toHaveProperty(key, option.usual);
  });
  it('offers only what its schema allows, each once, each with a word', () => {
    for (const c of option.choices) expect([c.value, allows(option, c.value)]).toEqual([c.value, true]);
    const values = option.choices.map((c) => JSON.stringify(c.value));
    expect(new Set(values).size).toBe(values.length);
    expect(new Set(option.choices.map((c) => c.label)).size).toBe(values.length);
  });
  it('refuses a word nobody offers', () => expect(allows(option, 'constructor')).toBe(false));
});

it('every option that the settings show can be set there to two things at least', () => {
  for (const o of OPTIONS as readonly Option[]) if (o.setting) expect(o.choices.length).toBeGreaterThanOrEqual(2);
});

describe('a range', () => {
  it('of words says them without hyphens', () =>
    expect(words(['rose-gold', 'none']).choices.map((c) => c.label)).toEqual(['rose gold', 'none']));
  it('of numbers has its bounds in the schema, both included', () => {
    const { schema } = number(0, 50, [1], String);
    expect([-0.1, 0, 50, 50.1, Number.NaN, '3'].map((n) => ajv.validate(schema, n))).toEqual([
      false,
      true,
      true,
      false,
      false,
      false,
    ]);
  });
  it('of yes and no takes neither words nor numbers', () =>
    expect([true, false, 'yes', 1, null].map((v) => ajv.validate(yesOrNo().schema, v))).toEqual([
      true,
      true,
      false,
      false,
      false,
    ]));
});

describe.each(WAYS.map((w) => [w.key, w as Way] as const))('the way %s', (key, way) => {
  it('may be what it usually is, and something else', () => {
    expect(way.values).toContain(way.usual);
    expect(new Set(way.values).size).toBeGreaterThanOrEqual(2);
    expect(USUAL_WAYS).toHaveProperty(key, way.usual);
  });
  it('is known with each of its values and no other', () => {
    for (const value of way.values) expect(isWay(key, value)).toBe(true);
    for (const value of ['constructor', null, undefined, -1, {}, []]) expect(isWay(key, value)).toBe(false);
  });
});

it('no word but a way’s name is one', () => {
  for (const word of ['', '__proto__', 'constructor', 'toString', 'gap']) expect(isWay(word, true)).toBe(false);
});

it('options and ways have no name in common, so that a file can tell them apart', () => {
  const options = new Set<string>(OPTIONS.map((o) => o.key));
  expect(options.size).toBe(OPTIONS.length);
  expect(new Set(WAYS.map((w) => w.key)).size).toBe(WAYS.length);
  expect(WAYS.filter((w) => options.has(w.key))).toEqual([]);
});

describe.each(Object.entries(MANNERS))('the school %s', (name, manner) => {
  it('is found by its name, and says what it is in one sentence', () => {
    expect(mannerNamed(name)).toBe(manner);
    expect(manner.name).toBe(name);
    expect(manner.says).toMatch(/^[A-Z][^.]+\.$/);
  });
  it('has habits and ways that the registries know, all of them', () => {
    for (const o of OPTIONS as readonly Option[])
      expect([o.key, allows(o, new Map<string, unknown>(Object.entries(manner.habits)).get(o.key))]).toEqual([
        o.key,
        true,
      ]);
    for (const w of WAYS) expect([w.key, isWay(w.key, manner.ways[w.key])]).toEqual([w.key, true]);
    expect(Object.keys(manner.habits)).toHaveLength(OPTIONS.length);
    expect(Object.keys(manner.ways)).toHaveLength(WAYS.length);
  });
  it('differs from every other in more than its name', () => {
    for (const other of Object.values(MANNERS))
      if (other !== manner) expect([other.habits, other.ways]).not.toEqual([manner.habits, manner.ways]);
  });
});

it('no school is found by a word of the language itself', () => {
  for (const word of ['constructor', '__proto__', 'hasOwnProperty', '']) expect(mannerNamed(word)).toBeUndefined();
});

it('the five schools keep what the handbook knows them by', () => {
  expect(mannerNamed('airy')?.habits).toMatchObject({ bottomWashi: 'none', weekendBanner: false });
  expect(mannerNamed('airy')?.habits.whiteSpace).toBeGreaterThan(mannerNamed('scattered')?.habits.whiteSpace ?? 1);
  expect(mannerNamed('three-rows')).toMatchObject({ habits: { littles: 'stacked' }, ways: { keepsRows: true } });
  expect(mannerNamed('grounded')?.ways.stand).toBe('floor');
  expect(mannerNamed('crowned')?.ways).toMatchObject({ topBand: true, framed: true, roundBases: true });
});

describe('rhythms of box heights (W4)', () => {
  const names = Object.keys(RHYTHMS) as (keyof typeof RHYTHMS)[];

  it('have seven days each, and are all different', () => {
    for (const n of names) expect(RHYTHMS[n]).toHaveLength(7);
    expect(new Set(names.map((n) => RHYTHMS[n].join())).size).toBe(names.length);
  });
  it.each(names)('%s is known by its heights', (name) => expect(rhythmOf(RHYTHMS[name])).toBe(name));
  it('days without a box fit any', () => {
    expect(rhythmOf([null, null, null, null, null, null, null])).toBe(names[0]);
    expect(rhythmOf(['high', 'high', null, null, null, 'high', null])).toBe('like a valley');
    expect(rhythmOf(['high', 'high', null, 'high', null, 'high', null])).toBe('in a row at the top');
  });
  it('heights that follow none have no name', () => {
    const odd: Height[] = ['high', 'high', 'low', 'high', 'high', 'low', 'low'];
    expect(rhythmOf(odd)).toBeNull();
  });
  it('come in pairs that mirror each other', () => {
    const mirrored = (of: readonly Height[]): Height[] => of.map((h) => (h === 'high' ? 'low' : 'high'));
    for (const n of names) expect(rhythmOf(mirrored(RHYTHMS[n]))).not.toBeNull();
  });
  it('every stand has a rhythm, and every rhythm a stand', () => {
    expect(STAND_NAMES.every((s) => STANDS[s].length > 0)).toBe(true);
    expect(new Set(STAND_NAMES.flatMap((s) => [...STANDS[s]]))).toEqual(new Set(names));
  });
});
