import 'reflect-metadata';
import { IsString } from 'class-validator';
import { BadInput } from '../../core/format/fault';
import { check } from './check';
import { HasPart, HasParts, IsCount, IsDay, IsSeen, IsWeek } from './fields';

class Part {
  @IsString() name!: string;
}
class Whole {
  @IsDay() day!: string;
  @IsWeek() week!: string;
  @IsCount() count!: number;
  @IsSeen() seen: string | null = null;
  @HasPart(() => Part) part!: Part;
  @HasParts(() => Part, 1, 2) parts!: Part[];
}
const good = {
  day: '2027-02-08', week: '2027-W06', count: 1, seen: 'a', part: { name: 'a' }, parts: [{ name: 'a' }],
}; // prettier-ignore

/** Where a value is refused; empty: it is taken. */
const refused = (over: object): string[] => {
  try {
    check(Whole, { ...good, ...over }, 'door');
    return [];
  } catch (error) {
    if (error instanceof BadInput) return [...new Set(error.faults.map((f) => f.where))];
    throw error;
  }
};

it('what is meant for the door is taken', () => {
  expect(refused({})).toEqual([]);
  expect(refused({ seen: null })).toEqual([]);
  expect(refused({ seen: undefined })).toEqual([]);
});

it.each([
  ['day', ['2028-02-29', '2027-12-31', '0001-01-01'], ['2027-02-29', '2027-2-8', '08.02.2027', '2027-02-08T00:00', '', 20270208, null, {}]],
  ['week', ['2026-W53', '2027-W01'], ['2027-W53', '2027-W00', '2027-06', 'constructor', '', 6, null]],
  ['count', [1, 2 ** 53 - 1], [0, -1, 1.5, 2 ** 53, NaN, Infinity, '1', null, true]],
  ['seen', ['', 'x'.repeat(60)], ['x'.repeat(61), 7, {}, []]],
  ['part', [{ name: '' }], [null, 'a', 7, [], [{ name: 'a' }]]],
  ['parts', [[{ name: 'a' }, { name: 'b' }]], [[], [{ name: 'a' }, { name: 'b' }, { name: 'c' }], null, {}, ['a'], [null], [[{ name: 'a' }]]]],
] as const)('%s takes what it is for, and nothing else', (field, taken, not) => {
  for (const value of taken) expect([value, refused({ [field]: value })]).toEqual([value, []]);
  for (const value of not) {
    const where = refused({ [field]: value });
    expect([value, where.length > 0 && where.every((w) => w.startsWith(field))]).toEqual([value, true]);
  }
}); // prettier-ignore

it('a part says which of its own is wrong', () => {
  expect(refused({ part: { name: 7 } })).toEqual(['part.name']);
  expect(refused({ parts: [{ name: 'a' }, { name: 7 }] })[0]).toMatch(/^parts/);
});

it('what nobody asked for is refused by its name, also in a part', () => {
  expect(refused({ more: 1 })).toEqual(['more']);
  expect(refused({ part: { name: 'a', more: 1 } })).toEqual(['part.more']);
});

it.each([null, 'a', 7, [], [good], true])('%j is no object to look into', (value) => {
  expect(() => check(Whole, value, 'door')).toThrow(BadInput);
});

it('names that every object has are refused wherever they stand', () => {
  const hostile = JSON.parse('{"part":{"name":"a","__proto__":{"x":1}}}') as object;
  expect(() => check(Whole, { ...good, ...hostile }, 'door')).toThrow('a name in it');
  expect(() => check(Whole, { ...good, constructor: 1 }, 'door')).toThrow('a name in it');
});

it('what is nested without end is refused, not followed', () => {
  let deep: object = {};
  for (let i = 0; i < 5000; i++) deep = { deep };
  expect(() => check(Whole, { ...good, part: deep }, 'door')).toThrow(BadInput);
});
