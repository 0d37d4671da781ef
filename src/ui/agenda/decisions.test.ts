import { demand } from '../../../tests/fixtures';
import { DEMAND_KINDS } from '../../core/week/demand';
import { wholeOf } from './clock';
import { canMove } from './drag';
import { FILTERS, hasWords } from './filter';
import { occurrenceOf } from './occurrence-of';

describe('a number in a field', () => {
  it.each([
    ['12', 12],
    ['12.6', 13],
    ['', 1],
    ['zero', 1],
    ['-4', 1],
    ['0', 1],
    ['1e9', 60],
    ['Infinity', 60],
  ])('%p is %d between 1 and 60', (text, whole) => expect(wholeOf(text, 1, 60)).toBe(whole));
});

describe('an item of the week', () => {
  it('can be moved by itself only: not what goes with it, nor what a feed has', () => {
    expect(canMove(demand(), new Map())).toBe(true);
    expect(canMove(demand(), new Map([['a', 'choir']]))).toBe(false);
    for (const aspect of ['due', 'reminder', 'countdown', 'clock'] as const)
      expect(canMove(demand({ aspect }), new Map())).toBe(false);
  });
  it('is told to the server by the day that its calendar has it on, not the one it is planned for', () =>
    expect(occurrenceOf(demand({ uid: 'rent', day: 2, on: '2027-02-12' }))).toEqual({ uid: 'rent', on: '2027-02-12' }));
});

describe('the filters', () => {
  const named = (name: string) => FILTERS.find((f) => f.name === name);
  it('have names of their own, and the first shows everything', () => {
    expect(new Set(FILTERS.map((f) => f.name)).size).toBe(FILTERS.length);
    for (const kind of DEMAND_KINDS) expect(FILTERS[0]?.shows(demand({ kind }))).toBe(true);
  });
  it('leave no kind of item without a filter that shows it', () => {
    for (const kind of DEMAND_KINDS)
      expect([kind, FILTERS.slice(1, 6).some((f) => f.shows(demand({ kind })))]).toEqual([kind, true]);
  });
  it('narrow to lists, to what is not sure, and to what comes once', () => {
    expect(named('lists and to-dos')?.shows(demand({ kind: 'chore', list: 'to buy' }))).toBe(true);
    expect(named('lists and to-dos')?.shows(demand({ kind: 'chore' }))).toBe(false);
    expect(named('what is not sure')?.shows(demand({ tentative: true }))).toBe(true);
    expect(named('what does not come round')?.shows(demand({ repeated: true }))).toBe(false);
  });
});

describe('words looked for', () => {
  const vet = demand({ title: 'Vet, Juniper', list: 'to do', kind: 'chore', categories: ['dog'] });
  it.each(['vet', '  JUNIPER ', 'to do', 'chore', 'dog', ''])('%p is found', (words) =>
    expect(hasWords(vet, words)).toBe(true),
  );
  it.each(['cat', 'vetting', '.*'])('%p is not', (words) => expect(hasWords(vet, words)).toBe(false));
  it('are not found in what is not said', () => expect(hasWords(demand({ list: null }), 'null')).toBe(false));
});
