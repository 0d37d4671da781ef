import { demoSpread } from '../../../tests/fixtures';
import { deedBetween, sayBookDeed } from '../book/deed';
import { threeBox } from '../book/three-box';
import type { KitDeed } from '../kit/deed';
import { sayKitDeed } from '../kit/deed';
import type { RemedyDeed } from '../remedy/deed';
import { sayRemedy } from '../remedy/say';
import { voiceOf } from '../spread/voice';
import type { AgendaDeed } from '../week/deed';
import { sayAgendaDeed } from '../week/deed';
import { ONE_THING } from './deed';
import type { Deed } from './deed';
import { sayDeed } from './say-deed';
import { thingOf } from './thing';

const { context: c, placements } = demoSpread();
const voice = voiceOf(c, placements, 'in');
const label = placements.find((p) => p.text === '9:15a dentist')!;
const cover = placements.find((p) => p.day === 3 && p.role === 'base')!;
const thing = thingOf(c, label);

it('one deed each is said once, and no two alike', () => {
  const said = ONE_THING.map((what) => sayDeed({ do: what, thing }, voice));
  expect(new Set(said).size).toBe(ONE_THING.length);
  for (const sentence of said) expect(sentence).toMatch(/^[A-Z][^.]*$/);
});

const SPREAD: readonly (readonly [Deed, string | RegExp])[] = [
  [{ do: 'arrange', what: 'week' }, /[Aa]rrange.*week/],
  [{ do: 'arrange day', day: 2 }, /Wednesday/],
  [{ do: 'lift all' }, /^[A-Z]/],
  [{ do: 'move', thing, mm: 25.4 }, /1 in$/],
  [{ do: 'move', thing, to: 'middle' }, /middle/],
  [{ do: 'swap', thing, by: thingOf(c, cover) }, /by|for/],
  [{ do: 'trim', thing, mm: 12.7 }, /1\/2 in/],
  [{ do: 'cut to length', mm: 38.1 }, /1 1\/2 in/],
  [{ do: 'trim the box', mm: 6.35, title: 'vet', moved: 0 }, /1\/4 in.*“vet”|“vet”.*1\/4 in/],
  [{ do: 'let in', title: 'plumber', moved: 0, how: 'as it is' }, /“plumber”/],
  [{ do: 'let in', title: 'plumber', moved: 2, how: 'for a picture' }, /“plumber”.*2/],
  [{ do: 'let in beside', title: 'plumber', moved: 1, day: 4 }, /“plumber”.*Friday|Friday.*“plumber”/],
  [{ do: 'close up', gap: 25.4, lowered: 0 }, 'Close the day up to gaps of 1 in'],
  [{ do: 'close up', gap: null, lowered: 0 }, 'Close the day up'],
  [{ do: 'close up', gap: 25.4, lowered: 'all' }, 'Lower bases and gaps of 1 in'],
  [{ do: 'even out', day: 0 }, 'Even out Monday’s gaps'],
  [{ do: 'write with', ink: 'white gel pen' }, 'Write with white gel pen'],
  [{ do: 'as said', text: 'Moved the label' }, 'Moved the label'],
];

it.each(SPREAD.map(([deed, said]) => [deed.do, deed, said] as const))('%s is said', (_, deed, said) => {
  const sentence = sayDeed(deed, voice);
  if (typeof said === 'string') expect(sentence).toBe(said);
  else expect(sentence).toMatch(said);
  expect(sentence).not.toMatch(/undefined|NaN|null|\[object|\d mm/);
});

it('a title that holds another sentence stays a title', () => {
  const title = 'Close the day up” and “Lift all';
  expect(sayDeed({ do: 'note in sidebar', title }, voice)).toContain(title.slice(0, 20));
});

const SETTINGS: readonly (readonly [RemedyDeed, string])[] = [
  [{ do: 'leave out', section: 'next-week' }, 'Leave “next week” out of the sidebar'],
  [{ do: 'without', what: 'banner' }, 'No weekend banner this week'],
  [{ do: 'so many boxes', count: 4 }, '4 full boxes will do this week'],
  [{ do: 'align', align: 'flush left' }, 'Sit all pieces flush left'],
  [{ do: 'headers', habit: 'alternating' }, 'Let the headers alternate'],
  [{ do: 'headers', habit: 'same' }, 'Take the headers as all alike'],
  [{ do: 'foils', foils: ['gold', 'rose-gold'] }, 'Let gold and rose gold take turns'],
  [{ do: 'foils', foils: [] }, 'Take the foils as they come'],
  [{ do: 'another roll', meters: 10 }, 'Another roll of 10 m is here'],
  [{ do: 'put off', title: 'plumber', to: '2027-02-15' }, 'Put “plumber” off to next Monday, Feb 15'],
  [{ do: 'even out', day: 0 }, 'Even out Monday’s gaps'],
];

it.each(SETTINGS.map(([deed, said]) => [deed.do, deed, said] as const))('the remedy %s is said', (_, deed, said) => {
  expect(sayRemedy(deed, voice)).toBe(said);
});

const AGENDA: readonly (readonly [AgendaDeed, string])[] = [
  [{ do: 'add item', title: 'vet' }, 'Add “vet”'],
  [{ do: 'change item', title: 'vet' }, 'Change “vet”'],
  [{ do: 'take item out', title: 'vet' }, 'Take “vet” out'],
  [{ do: 'take a day out', title: 'vet', day: '2027-02-08' }, 'Take one day of “vet” out'],
  [{ do: 'bring over', title: 'vet' }, 'Bring “vet” over'],
  [{ do: 'move items', count: 1, to: '2027-02-08' }, 'Move an item'],
  [{ do: 'move items', count: 3, to: '2027-02-08' }, 'Move 3 items'],
  [{ do: 'make a list', list: 'boat' }, 'Make the list “boat”'],
  [{ do: 'tick' }, 'Tick an item'],
  [{ do: 'let go' }, 'Let an item go'],
  [{ do: 'untick' }, 'Take a tick away'],
  [{ do: 'keep both' }, 'Keep both'],
  [{ do: 'add round', name: 'rota' }, 'Add the round “rota”'],
  [{ do: 'change round', name: 'rota' }, 'Change the round “rota”'],
  [{ do: 'take round out', name: 'rota' }, 'Take the round “rota” out'],
  [{ do: 'take in calendar', name: 'choir' }, 'Import the calendar “choir”'],
  [{ do: 'take in feed', name: 'choir' }, 'Import the feed “choir”'],
  [{ do: 'take calendar away', name: 'choir' }, 'Take the calendar “choir” away'],
  [{ do: 'as said', text: 'Added an item' }, 'Added an item'],
];

it.each(AGENDA.map(([deed, said]) => [said, deed] as const))('the agenda says: %s', (said, deed) => {
  expect(sayAgendaDeed(deed)).toBe(said);
});

const KITS: readonly (readonly [KitDeed, string])[] = [
  [{ do: 'change card', kit: 'night-almanac' }, 'Change the card of Night Almanac'],
  [{ do: 'like best', code: 'QB-1' }, 'Like QB-1 best'],
  [{ do: 'like no more', code: 'QB-1' }, 'Like QB-1 no more than others'],
  [{ do: 'stock', what: 'spoiled', code: 'QB-1', reason: 'torn' }, 'QB-1 spoiled: torn'],
  [{ do: 'plan kit', kit: 'rockpool', week: '2027-W06' }, 'Plan Rockpool for Feb 8'],
  [{ do: 'plan kit', kit: null, week: '2027-W06' }, 'Plan no kit for Feb 8'],
  [{ do: 'order', what: 'date dots' }, 'Order date dots'],
  [{ do: 'read orders', file: 'orders.csv' }, 'Read orders.csv'],
  [{ do: 'drop order' }, 'Take an order off the list'],
  [{ do: 'drop supply' }, 'Take a supply off'],
  [{ do: 'supply', name: 'tape', amount: 3, unit: 'm', reason: 'used' }, 'tape, 3 m: used'],
  [{ do: 'as said', text: 'Planned a kit' }, 'Planned a kit'],
];

it.each(KITS.map(([deed, said]) => [said, deed] as const))('the kits say: %s', (said, deed) => {
  expect(sayKitDeed(deed)).toBe(said);
});

describe('an edit of a book is known by what it left otherwise', () => {
  const [first, ...others] = threeBox.regions;
  it.each([
    ['Take away a sidebar', { ...threeBox, regions: others }],
    ['Change a sidebar', { ...threeBox, regions: [{ ...first!, w: 40 }, ...others] }],
    ['Add a sidebar', { ...threeBox, regions: [...threeBox.regions, { ...first!, id: 'sidebar-2' }] }],
    ['Take away a printed box', { ...threeBox, marks: threeBox.marks.slice(1) }],
    ['Change the measures', { ...threeBox, pages: threeBox.pages.map((p) => ({ ...p, width: 100 })) }],
  ])('%s', (said, after) => {
    expect(sayBookDeed(deedBetween(threeBox, after))).toBe(said);
  });
});
