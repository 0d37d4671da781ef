import type { Measures } from '../src/core/book/from-measures';

/** What the doors of the server let through; a test changes what it is about. */
export const MEASURES: Measures = {
  name: 'Pocket',
  unit: 'mm',
  weekStart: 'monday',
  dated: false,
  binding: { kind: 'rings', width: 8 },
  pages: 2,
  width: 178,
  height: 229,
  margin: 6,
  column: 37,
  gap: 2,
  headerTop: 15,
  headerHeight: 12,
  dayTop: 29,
  dayHeight: 172,
  boxes: 3,
  stripTop: 205,
  stripHeight: 12,
};

export const ROUND = {
  name: 'ferry',
  first: '2027-02-08',
  every: 'day',
  slots: [{ turn: { text: 'early', start: 300, minutes: 480 } }, { turn: null }],
  kind: null,
  part: null,
};

export const MANNER = { school: 'airy', options: { gap: 3 }, ways: { boxes: 2 } };

export const FACTS = {
  title: 'Low tide',
  place: 'blue folder',
  retired: false,
  season: null,
  moods: 'sea',
  useBy: null,
  price: 12.5,
  shop: '',
  notes: '',
  keptFor: '2027-W06',
};

export const ORDER = { what: 'headers', count: 2, shop: '', days: 6, neededBy: '2027-02-15', state: 'to order' };
