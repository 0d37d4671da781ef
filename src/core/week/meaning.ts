import type { Part } from './demand';

interface Meaning {
  /** what an icon of it is called */
  readonly name: string;
  /** words that speak of it */
  readonly stems: readonly string[];
  /** where in the day it belongs when it has no time (handbook D2) */
  readonly part?: Part;
}

/** Words that tell what an item is about, so that it meets its icon or script. Common practice; one line a meaning. */
const MEANINGS: readonly Meaning[] = [
  { name: 'laundry', stems: ['laundry', 'wash', 'sheets', 'linen', 'towels'] },
  { name: 'bins', stems: ['bin', 'bins', 'trash', 'refuse', 'recycling', 'garbage'], part: 'evening' },
  { name: 'coffee', stems: ['coffee', 'breakfast', 'cafe'], part: 'morning' },
  { name: 'dinner', stems: ['dinner', 'supper', 'cook', 'soup', 'meal', 'bake'], part: 'evening' },
  { name: 'groceries', stems: ['groceries', 'grocery', 'shop', 'shopping', 'market', 'buy'] },
  { name: 'bill', stems: ['bill', 'rent', 'pay', 'invoice', 'tax', 'insurance', 'fee'] },
  { name: 'payday', stems: ['payday', 'wages', 'paycheck'] },
  { name: 'work', stems: ['shift', 'work', 'deck', 'ferry', 'meeting', 'rota', 'overtime'] },
  { name: 'choir', stems: ['choir', 'sing', 'singing', 'rehearsal', 'concert', 'alto', 'music'] },
  { name: 'dog', stems: ['dog', 'dogs', 'greyhound', 'greyhounds', 'hound', 'kennel', 'foster', 'walk'] },
  { name: 'vet', stems: ['vet', 'vaccination', 'worming'] },
  {
    name: 'garden',
    stems: ['allotment', 'garden', 'dig', 'sow', 'beans', 'compost', 'plant', 'prune', 'weed', 'shed'],
  },
  { name: 'doctor', stems: ['doctor', 'dentist', 'clinic', 'checkup', 'physio', 'optician'] },
  { name: 'medicine', stems: ['medicine', 'pills', 'prescription', 'tablets'] },
  { name: 'birthday', stems: ['birthday', 'anniversary', 'party'] },
  { name: 'gift', stems: ['gift', 'present', 'presents'] },
  { name: 'post', stems: ['post', 'parcel', 'letter', 'mail', 'package', 'card', 'cards'] },
  { name: 'call', stems: ['call', 'phone', 'ring'] },
  {
    name: 'computer',
    stems: ['laptop', 'online', 'email', 'emails', 'backup', 'form', 'forms', 'order', 'time sheet', 'timesheet'],
  },
  { name: 'clean', stems: ['clean', 'vacuum', 'dust', 'mop', 'tidy', 'bathroom', 'kitchen', 'hoover'] },
  { name: 'exercise', stems: ['workout', 'exercise', 'swim', 'run', 'yoga', 'gym', 'stretch'] },
  { name: 'tv', stems: ['tv', 'film', 'movie', 'series', 'episode'], part: 'evening' },
  { name: 'book', stems: ['book', 'read', 'reading', 'library'] },
  { name: 'car', stems: ['car', 'drive', 'fuel', 'garage', 'tire', 'mot'] },
  { name: 'travel', stems: ['train', 'flight', 'travel', 'trip', 'camp', 'holiday', 'vacation', 'pack'] },
  { name: 'hair', stems: ['hair', 'haircut', 'salon'] },
  { name: 'bed', stems: ['bed', 'nap', 'sleep', 'rest'], part: 'evening' },
  { name: 'tools', stems: ['fix', 'repair', 'mend', 'paint', 'service', 'boiler'] },
  { name: 'water', stems: ['water', 'watering'], part: 'morning' },
];

/** Which meanings a word speaks of. */
const BY_WORD: ReadonlyMap<string, readonly string[]> = new Map(
  [...new Set(MEANINGS.flatMap((m) => [m.name, ...m.stems]))].map((word) => [
    word,
    MEANINGS.filter((m) => m.name === word || m.stems.includes(word)).map((m) => m.name),
  ]),
);

const remembered = new Map<string, readonly string[]>();
const MOST_REMEMBERED = 5000;

/** What an item's words speak of, best guess first, from its categories and then its title. */
export function meaningsOf(title: string, categories: readonly string[] = []): readonly string[] {
  const text = [...categories, title].join(' ').toLowerCase();
  const known = remembered.get(text);
  if (known) return known;
  const words = text.match(/\p{L}+/gu) ?? [];
  const found = words.flatMap((word, i) => [
    ...(BY_WORD.get(`${word} ${words[i + 1]}`) ?? []),
    ...(BY_WORD.get(word) ?? []),
  ]);
  const meanings = [...new Set(found)];
  if (remembered.size >= MOST_REMEMBERED) remembered.clear();
  remembered.set(text, meanings);
  return meanings;
}

/** The part of the day in which untimed things of this kind belong; `day` when nothing is known. */
export function usualPart(title: string, categories: readonly string[]): Part {
  for (const name of meaningsOf(title, categories)) {
    const part = MEANINGS.find((m) => m.name === name)?.part;
    if (part) return part;
  }
  return 'day';
}
