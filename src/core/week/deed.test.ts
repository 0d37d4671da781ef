import { daysOfWeek } from './week';
import type { AgendaDeed } from './deed';
import { sayAgendaDeed } from './deed';

/** Every deed of the agenda, in words. A new one without words fails to compile here. */
const SAID: Readonly<Record<AgendaDeed['do'], readonly [AgendaDeed, string]>> = {
  'add item': [{ do: 'add item', title: 'vet' }, 'Add “vet”'],
  'change item': [{ do: 'change item', title: 'vet' }, 'Change “vet”'],
  'bring over': [{ do: 'bring over', title: 'vet' }, 'Bring “vet” over'],
  'take a day out': [{ do: 'take a day out', title: 'swim', day: '2027-02-05' }, 'Take one day of “swim” out'],
  'take item out': [{ do: 'take item out', title: 'vet' }, 'Take “vet” out'],
  'move items': [{ do: 'move items', count: 1, to: daysOfWeek('2027-W06')[0] as string }, 'Move an item'],
  'make a list': [{ do: 'make a list', list: 'to buy' }, 'Make the list “to buy”'],
  tick: [{ do: 'tick' }, 'Tick an item'],
  'let go': [{ do: 'let go' }, 'Let an item go'],
  untick: [{ do: 'untick' }, 'Take a tick away'],
  'keep both': [{ do: 'keep both' }, 'Keep both'],
  'keep routine': [{ do: 'keep routine' }, 'Keep a routine'],
  'end routine': [{ do: 'end routine', title: 'swim' }, 'End “swim”'],
  'write down': [{ do: 'write down', what: 'dinner' }, 'Write down dinner'],
  'add round': [{ do: 'add round', name: 'bins' }, 'Add the round “bins”'],
  'change round': [{ do: 'change round', name: 'bins' }, 'Change the round “bins”'],
  'take round out': [{ do: 'take round out', name: 'bins' }, 'Take the round “bins” out'],
  'take in calendar': [{ do: 'take in calendar', name: 'club' }, 'Import the calendar “club”'],
  'take in feed': [{ do: 'take in feed', name: 'club' }, 'Import the feed “club”'],
  'take calendar away': [{ do: 'take calendar away', name: 'club' }, 'Take the calendar “club” away'],
  'as said': [{ do: 'as said', text: 'Move the vet' }, 'Move the vet'],
};

it.each(Object.values(SAID))('%j', (deed, words) => expect(sayAgendaDeed(deed)).toBe(words));

it('several items are counted', () => {
  expect(sayAgendaDeed({ do: 'move items', count: 3, to: '2027-02-08' })).toBe('Move 3 items');
});
