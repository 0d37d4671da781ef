import { demand } from '../../../tests/fixtures';
import { wholeOf } from './clock';
import { canMove } from './drag';
import { FILTERS, hasWords } from './filter';

describe('what can be dragged', () => {
  const feeds = new Map([['theirs', 'choir']]);
  it('is an item of one’s own, and not what only goes with it, nor what a feed keeps', () => {
    expect(canMove(demand(), feeds)).toBe(true);
    expect(canMove(demand({ aspect: 'due' }), feeds)).toBe(false);
    expect(canMove(demand({ uid: 'theirs' }), feeds)).toBe(false);
  });

  it.each(['constructor', '__proto__', 'toString'])('is an item whose uid is %s, too', (uid) => {
    expect(canMove(demand({ uid }), feeds)).toBe(true);
  });
});

describe('the week narrowed', () => {
  const shown = (name: string, over: Parameters<typeof demand>[0]) =>
    FILTERS.find((f) => f.name === name)!.shows(demand(over));
  it.each([
    ['everything', {}, true],
    ['appointments', { kind: 'appointment' }, true],
    ['appointments', { kind: 'chore' }, false],
    ['lists and to-dos', { kind: 'chore', list: 'to buy' }, true],
    ['lists and to-dos', { kind: 'to-do', list: null }, true],
    ['lists and to-dos', { kind: 'chore', list: null }, false],
    ['occasions and reminders', { kind: 'band' }, true],
    ['what is not sure', { tentative: true }, true],
    ['what is not sure', { tentative: false }, false],
    ['what does not come round', { repeated: true }, false],
  ] as const)('to %s: %j', (name, over, is) => {
    expect(shown(name, over)).toBe(is);
  });

  it('finds words in titles, lists and kinds, whatever their case', () => {
    const d = demand({ title: 'Vet, Juniper', list: 'hounds', kind: 'appointment' });
    expect(['vet', ' JUNIPER ', 'Hounds', 'appoint', ''].map((w) => hasWords(d, w))).toEqual(Array(5).fill(true));
    expect(hasWords(d, 'choir')).toBe(false);
  });
});

it.each([
  ['7', 7],
  ['7.6', 8],
  ['0', 2],
  ['-3', 2],
  ['900', 60],
  ['', 2],
  ['many', 2],
])('a whole number of “%s” is kept within bounds', (text, is) => {
  expect(wholeOf(text, 2, 60)).toBe(is);
});
