import { placement } from '../../../tests/fixtures';
import {
  FACTS as facts,
  MANNER as manner,
  MEASURES as measures,
  ORDER as order,
  ROUND as round,
} from '../../../tests/samples';
import { BadInput } from '../../core/format/fault';
import { blankEntry } from '../../core/week/agenda-entry';
import * as agenda from './agenda.dto';
import * as books from './books.dto';
import { SaveEditDto } from './change.dto';
import { check } from './check';
import { FindDto } from './find.dto';
import * as kits from './kits.dto';
import * as records from './records.dto';
import * as settings from './settings.dto';
import * as spread from './spread.dto';

type Door = new () => object;

const entry = {
  ...blankEntry('2027-02-08'),
  title: 'vet',
  reminders: [{ days: 3, text: 'order by' }],
  countdown: [7],
  quiet: ['chores'],
};
const written = { day: '2027-02-08', what: 'dinner', name: '', amount: 0, text: 'cod' };
const supply = { name: 'correction tape', unit: 'm', amount: 8, warnAt: 2 };

/** Every door of the server with something that it lets through. */
const DOORS: readonly (readonly [string, Door, object])[] = [
  ['a new item', agenda.PutEntryDto, { entry }],
  ['an item out', agenda.RemoveEntryDto, { uid: 'a', day: null }],
  ['a move', agenda.MoveDto, { items: [{ uid: 'a', on: '2027-02-08' }], to: '2027-02-09' }],
  ['a list', agenda.GatherDto, { items: [{ uid: 'a', on: '2027-02-08' }], list: 'to buy' }],
  ['a mark', agenda.MarkDto, { uid: 'a', on: '2027-02-08', mark: 'done' }],
  ['bringing over', agenda.BringOverDto, { items: [{ uid: 'a', on: '2027-02-08' }], to: '2027-02-15' }],
  ['both meant', agenda.BothMeantDto, { pairs: [{ one: 'a', other: 'b' }] }],
  ['a round', agenda.PutRoundDto, { round, instead: '' }],
  ['a name', agenda.NameDto, { name: 'choir' }],
  ['a feed', agenda.SubscribeDto, { name: 'choir', address: 'http://localhost:1/a.ics' }],
  ['a step of the agenda', agenda.HistoryStepDto, { way: 'undo' }],
  ['what is written down', records.WriteDownDto, { records: [written] }],
  ['a note', records.NoteToItemDto, { note: { ...written, what: 'note' }, to: '2027-02-15' }],
  ['what is kept of days', records.RecordHabitsDto, { habits: ['a'], hours: ['b'], spending: ['c'], currency: '$' }],
  ['a place', records.FindPlaceDto, { spreadId: 1, uid: 'a', on: '2027-02-08' }],
  ['what came up', records.CameUpDto, { spreadId: 1, entry }],
  ['a day to dress', records.DressDayDto, { spreadId: 1, day: 3 }],
  ['a rating', spread.RateDto, { spreadId: 1, rating: 3 }],
  ['tags', spread.TagsDto, { spreadId: 1, tags: ['frost'] }],
  ['corners', spread.StraightenDto, { spreadId: 1, corners: [0, 1, 2, 3].map((n) => ({ x: n, y: n * n })) }],
  ['a photo', spread.PhotoDto, { spreadId: 1, photo: '0'.repeat(64) }],
  ['a leftover', spread.LayMemoryDto, { spreadId: 1, kit: 'a', code: 'b', day: 2, sort: 'word', text: 'seals' }],
  ['a book', books.BookIdDto, { id: 'three-box' }],
  ['a copy of a book', books.CopyBookDto, { id: 'three-box', name: 'Log' }],
  ['a version of a book', books.SaveBookDto, { id: 'mine', book: {} }],
  ['a step of a book', books.BookStepDto, { id: 'mine', way: 'redo' }],
  ['measures', books.MeasureBookDto, { measures }],
  ['an edit', SaveEditDto, { spreadId: 1, change: { deed: { do: 'lift all' }, before: [], after: [placement()] } }],
  ['a search', FindDto, { words: 'vet' }],
  ['a kit', kits.KitTextDto, { name: 'fog', role: 'kit', csv: 'code\n' }],
  ['a kit’s card', kits.KitFactsDto, { kit: 'fog', facts }],
  [
    'a corrected list',
    kits.CorrectKitDto,
    { kit: 'fog', csv: 'code\n', pictures: [{ code: 'Q', picture: '0'.repeat(64) }], seen: null },
  ],
  ['a count', kits.RecountDto, { kit: 'fog', counted: [{ code: 'Q', whole: 3 }] }],
  ['a stash split off', kits.SplitKitDto, { kit: 'fog', into: 'drawer', shares: [{ code: 'Q', count: 1 }] }],
  ['a strip that is left', kits.LeftOverDto, { kit: 'fog', code: 'W', copy: 1, left: 120 }],
  ['washi', kits.AddWashiDto, { kit: 'fog', width: 15, length: 5000, color: '#aabbcc' }],
  ['a copy', kits.CopyDto, { kit: 'fog', code: 'Q', copy: 1 }],
  ['a kit by name', kits.KitNameDto, { kit: 'fog' }],
  ['a change of the stock', kits.StockChangeDto, { what: 'spoiled', kit: 'fog', code: 'Q', copy: 1, reason: 'torn' }],
  ['a step of the kits', agenda.HistoryStepDto, { way: 'undo' }],
  ['a planned kit', kits.PlanKitDto, { week: '2027-W06', kit: null }],
  ['an order', kits.PutOrderDto, { id: null, order }],
  ['an order off', kits.OrderIdDto, { id: 3 }],
  ['orders', kits.OrdersTextDto, { file: 'o.csv', csv: 'what\n' }],
  ['a supply', kits.SupplyChangeDto, { ...supply, reason: 'bought' }],
  ['a favorite', kits.FavoriteDto, { kit: 'fog', code: 'Q', liked: true }],
  ['a hand', settings.SaveHandDto, { hand: { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 }, seen: '5-a-b' }],
  ['a taught word', settings.TaughtWordDto, { word: 'Fern', means: 'dog' }],
  ['a short form', settings.ShortFormDto, { word: 'with', short: 'w/' }],
  ['a word to forget', settings.WordDto, { word: 'Fern' }],
  ['a door', settings.DoorDto, { open: true, passphrase: 'seven gray gulls' }],
  ['a taste', settings.LikeDto, { kit: 'fog', code: 'Q', off: false }],
  ['a taste of how', settings.LearnedChoiceDto, { manner: 'airy', choice: 'headers=none', off: true }],
  ['a zone', settings.ZoneDto, { zone: 'America/Halifax' }],
  ['how one types', settings.TypingDto, { dateOrder: 'day first', afterNoon: { from: 1, to: 7 } }],
  ['a week begun', spread.StartSpreadDto, { week: '2027-W06', bookId: 'a', kitId: 'b', manner: 'airy' }],
  ['a mishap', spread.MishapDto, { spreadId: 1, placement: 'p1', what: 'spoiled' }],
  ['a wave', spread.WaveDto, { spreadId: 1, key: 'D5:a', wanted: true }],
  ['a manner set', spread.SetMannerDto, { spreadId: 1, manner }],
  ['a manner kept', spread.KeepMannerDto, { ...manner, name: 'mine' }],
  ['a stash', spread.StashDto, { spreadId: 1, kits: ['stash'] }],
  ['a step of a spread', spread.StepHistoryDto, { spreadId: 1, way: 'undo' }],
  ['a tick', spread.TickDto, { spreadId: 1, steps: ['place:p1'], done: true }],
];

/** Why a door refuses; null when it lets something through. */
function refusal(door: Door, value: unknown): readonly { where: string; expected: string }[] | null {
  try {
    check(door, value, 'door');
    return null;
  } catch (error) {
    if (error instanceof BadInput) return error.faults;
    throw error;
  }
}

/** Places of plain values in some data, as paths. */
const placesIn = (value: unknown, path: readonly string[] = []): (readonly string[])[] =>
  typeof value === 'object' && value !== null
    ? Object.entries(value).flatMap(([key, v]) => placesIn(v, [...path, key]))
    : [path];

function withValue(data: unknown, [key, ...rest]: readonly string[], value: unknown): unknown {
  if (key === undefined) return value;
  const inside = (data as Record<string, unknown>)[key];
  const changed = withValue(inside, rest, value);
  return Array.isArray(data)
    ? data.map((v, i) => (String(i) === key ? changed : (v as unknown)))
    : { ...(data as object), [key]: changed };
}

const valueAt = (data: unknown, path: readonly string[]): unknown =>
  path.reduce<unknown>((v, key) => (v as Record<string, unknown>)[key], data);

/** What a value of some type can be mistaken for. */
const STRANGERS: Readonly<Record<string, readonly unknown[]>> = {
  string: [7, true, [], {}, ['a', 'b']],
  number: ['7', true, [], {}, Number.NaN, Infinity, -Infinity, 1e300],
  boolean: ['yes', 1, [], {}],
};

describe.each(DOORS)('the door for %s', (_, door, good) => {
  it('lets through what is meant for it', () => expect(refusal(door, good)).toBeNull());

  it('lets no field through whose kind is another', () => {
    for (const path of placesIn(good)) {
      const plain = valueAt(good, path);
      if (path.includes('options') || path.includes('deed') || path.includes('book')) continue; // checked by their schemas
      for (const stranger of STRANGERS[typeof plain] ?? []) {
        const faults = refusal(door, withValue(good, path, stranger));
        expect([path.join('.'), stranger, faults === null]).toEqual([path.join('.'), stranger, false]);
      }
    }
  });

  it('says which field is wrong', () => {
    for (const path of placesIn(good)) {
      if (typeof valueAt(good, path) !== 'string' || path.includes('deed')) continue;
      const faults = refusal(door, withValue(good, path, 7)) ?? [];
      expect(faults.map((f) => f.where).join()).toContain(path[0]);
    }
  });

  it('lets no text through that is longer than anyone writes', () => {
    for (const path of placesIn(good)) {
      if (typeof valueAt(good, path) !== 'string' || path.includes('options')) continue;
      const faults = refusal(door, withValue(good, path, 'x'.repeat(6_000_000)));
      expect([path.join('.'), faults === null]).toEqual([path.join('.'), false]);
    }
  });

  it.each(['glue', 'constructor', 'toString', '__proto__'])(
    'lets no field called %s through beside its own',
    (name) => {
      const sent = JSON.parse(JSON.stringify(good).replace(/^\{/, `{"${name}":{"way":"redo"},`)) as unknown;
      if (refusal(door, sent) !== null) return;
      const through = check(door, sent, 'door');
      expect(Object.hasOwn(through, name)).toBe(false);
      expect(Object.getPrototypeOf(through)).toBe(door.prototype);
    },
  );

  it.each([null, undefined, 'text', 7, true, []].map((v) => [v]))('does not take %j for it', (value) =>
    expect(refusal(door, value)).not.toBeNull(),
  );
});

describe('a day', () => {
  const asked = (day: string): boolean => refusal(agenda.PutEntryDto, { entry: { ...entry, day } }) === null;
  it('is one of the calendar', () => {
    expect(['2027-02-08', '2028-02-29', '1991-12-31'].map(asked)).toEqual([true, true, true]);
    expect(
      [
        '2027-02-29',
        '2027-13-01',
        '2027-00-10',
        '2027-04-31',
        '27-02-08',
        '2027-2-8',
        '2027-02-08T00:00',
        'monday',
      ].map(asked),
    ).toEqual(Array(8).fill(false));
  });
});

describe('a week', () => {
  const asked = (week: string): boolean => refusal(kits.PlanKitDto, { week, kit: null }) === null;
  it('is one that its year has (ISO 8601)', () => {
    expect(['2027-W06', '2026-W53'].map(asked)).toEqual([true, true]);
    expect(['2027-W53', '2027-W00', '2027-W6', '2027-06'].map(asked)).toEqual(Array(4).fill(false));
  });
});

describe('a round', () => {
  const asked = (slots: unknown): boolean =>
    refusal(agenda.PutRoundDto, { round: { ...round, slots }, instead: '' }) === null;
  const free = { turn: null };
  const turn = { turn: { text: 'early', start: null, minutes: null } };
  it('has two turns at least, and one with a text', () => {
    expect(asked([turn, free])).toBe(true);
    expect(asked([turn])).toBe(false);
    expect(asked([free, free])).toBe(false);
    expect(asked([{ turn: { ...turn.turn, text: '' } }, free])).toBe(false);
    expect(asked(Array(61).fill(turn))).toBe(false);
    expect(asked('turns')).toBe(false);
  });
});

it('no more than twenty faults are told at once', () => {
  const after = Array.from({ length: 100 }, () => ({ ...placement(), x: 'left' }));
  const faults = refusal(SaveEditDto, { spreadId: 1, change: { deed: { do: 'lift all' }, before: [], after } });
  expect(faults).toHaveLength(20);
});
