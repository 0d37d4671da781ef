import fc from 'fast-check';
import type { IANAZone } from 'luxon';
import { demand, rule, weekWith } from '../../../tests/fixtures';
import { isCounted, keptEveryYear, numberReached } from './age';
import { blankEntry } from './agenda-entry';
import { inTimeOrder, sortMinute, spokenTime, writtenText } from './demand';
import { meaningsOf, usualPart } from './meaning';
import { dayNumber, isoDay, minuteOfDay, wallOf, wallOfDay, weekday } from './recur/wall';
import { clockChange, instantOf, offsetAt, wallIn, zoneNamed } from './recur/zone';
import type { Repeat } from './repeat';
import { repeatOf, ruleOfRepeat } from './repeat';
import { roomWanted } from './room-wanted';
import { ruleOfRound, spokenRound } from './round';
import { withTaughtWords } from './taught';
import { lookAlikes, pairKey } from './twice';
import { spokenEntry, spokenRule, typedRound } from './typed-line';
import { isTicked, markKey, undone } from './undone';
import { daysOfWeek, isWeekName, weekAfter, weekOf } from './week';

const hand = { lettersPerLine: 18, lineWidth: 38.1, linePitch: 4.5 };
const zone = (name: string): IANAZone => {
  const found = zoneNamed(name);
  if (!found) throw new Error(`no zone ${name}`);
  return found;
};

describe('an age', () => {
  it('is counted of birthdays and anniversaries, by title or category, not of words that only hold them', () => {
    expect(isCounted('Wren’s Birthday', [])).toBe(true);
    expect(isCounted('Wren', ['anniversary'])).toBe(true);
    expect(isCounted('birthdays list', [])).toBe(false);
    expect(isCounted('choir', ['music'])).toBe(false);
  });
  it('is the years since, where they are known and no more than anyone lives', () => {
    const on = wallOf(2027, 2, 13);
    expect(numberReached(on, 1991)).toBe(36);
    expect(numberReached(on, 2027)).toBeNull();
    expect(numberReached(on, 0)).toBeNull();
    expect(numberReached(on, 1877)).toBe(150);
    expect(numberReached(on, 1876)).toBeNull();
  });
  const yearly = rule({ freq: 'YEARLY' });
  it('of a leap day is reached on the last of February, and no other rule is touched', () => {
    expect(keptEveryYear(yearly, wallOf(1992, 2, 29))).toMatchObject({ byMonth: [2], byMonthDay: [-1] });
    expect(keptEveryYear(yearly, wallOf(1992, 2, 28))).toBe(yearly);
    const monthly = rule({ freq: 'MONTHLY' });
    expect(keptEveryYear(monthly, wallOf(1992, 2, 29))).toBe(monthly);
    const exact = rule({ freq: 'YEARLY', byMonth: [2] });
    expect(keptEveryYear(exact, wallOf(1992, 2, 29))).toBe(exact);
  });
});

describe('a wall clock', () => {
  it('counts days and minutes before 1970 too', () => {
    expect(dayNumber(wallOf(1969, 12, 31, 23, 59))).toBe(-1);
    expect(minuteOfDay(wallOf(1969, 12, 31, 23, 59))).toBe(23 * 60 + 59);
    expect(weekday(wallOf(1969, 12, 29))).toBe(0);
    expect(weekday(wallOf(2027, 2, 14))).toBe(6);
  });
  it('reads a day and gives it back', () => {
    fc.assert(
      fc.property(
        fc.date({ min: new Date('1900-01-01'), max: new Date('2199-12-31'), noInvalidDate: true }),
        (date) => {
          const day = date.toISOString().slice(0, 10);
          expect(isoDay(wallOfDay(day))).toBe(day);
        },
      ),
      { seed: 8 },
    );
  });
});

describe('zones', () => {
  it('are found under the name of the tz database, also behind a path, and nowhere else', () => {
    expect(zoneNamed('America/Halifax')?.name).toBe('America/Halifax');
    expect(zoneNamed('/some.program/2027/America/Halifax')?.name).toBe('America/Halifax');
    for (const name of ['Harbor Time', '', '__proto__', 'constructor'])
      expect([name, zoneNamed(name)]).toEqual([name, null]);
  });
  // the tz database: Europe/Berlin is UTC+1, in summer UTC+2, by the last Sundays of March and October
  it('skip an hour and repeat one', () => {
    const berlin = zone('Europe/Berlin');
    expect(clockChange(berlin, wallOf(2027, 3, 28))).toBe(60);
    expect(clockChange(berlin, wallOf(2027, 10, 31))).toBe(-60);
    expect(clockChange(berlin, wallOf(2027, 6, 1))).toBeNull();
    expect(clockChange(zone('Australia/Lord_Howe'), wallOf(2027, 4, 4))).toBe(-30);
    expect(offsetAt(berlin, Date.UTC(2027, 0, 1))).toBe(3_600_000);
    expect(offsetAt(berlin, Date.UTC(2027, 6, 1))).toBe(7_200_000);
  });
  it('read a skipped time with the offset from before, and a doubled one as the first (RFC 5545, 3.3.5)', () => {
    const newYork = zone('America/New_York');
    // the RFC's own examples: 2:30 on 2007-03-11 is 3:30 in daylight time; 1:30 on 2007-11-04 is the first of two
    expect(new Date(instantOf(wallOf(2007, 3, 11, 2, 30), newYork)).toISOString()).toBe('2007-03-11T07:30:00.000Z');
    expect(new Date(instantOf(wallOf(2007, 11, 4, 1, 30), newYork)).toISOString()).toBe('2007-11-04T05:30:00.000Z');
  });
  it('go to an instant and back, but in the skipped hour', () => {
    const berlin = zone('Europe/Berlin');
    fc.assert(
      fc.property(fc.integer({ min: 0, max: 365 * 24 * 60 - 1 }), (minute) => {
        const wall = wallOf(2027, 1, 1) + minute * 60_000;
        const skipped = wall >= wallOf(2027, 3, 28, 2) && wall < wallOf(2027, 3, 28, 3);
        expect(wallIn(berlin, instantOf(wall, berlin))).toBe(skipped ? wall + 3_600_000 : wall);
      }),
      { numRuns: 300, seed: 9 },
    );
  });
});

describe('how an item comes round', () => {
  const repeat = (over: Partial<Repeat>): Repeat => ({
    kind: 'once',
    every: 1,
    weekdays: [],
    until: null,
    rule: null,
    ...over,
  });
  it.each([
    [repeat({ kind: 'days', every: 3 }), 'FREQ=DAILY;INTERVAL=3'],
    [repeat({ kind: 'weeks' }), 'FREQ=WEEKLY'],
    [repeat({ kind: 'weeks', every: 2, weekdays: [4, 0] }), 'FREQ=WEEKLY;INTERVAL=2;BYDAY=MO,FR'],
    [repeat({ kind: 'month day' }), 'FREQ=MONTHLY;BYMONTHDAY=9'],
    [repeat({ kind: 'month weekday' }), 'FREQ=MONTHLY;BYDAY=2TU'],
    [repeat({ kind: 'year', until: '2030-12-31' }), 'FREQ=YEARLY;UNTIL=20301231'],
  ])('%j is a rule, and is read back as the same choice', (chosen, rule) => {
    expect(ruleOfRepeat(chosen, '2027-02-09')).toBe(rule);
    expect(repeatOf(rule)).toMatchObject({ ...chosen, weekdays: [...chosen.weekdays].sort(), rule });
  });
  it('means the last weekday of its month where there are no seven days more', () =>
    expect(ruleOfRepeat(repeat({ kind: 'month weekday' }), '2027-02-23')).toBe('FREQ=MONTHLY;BYDAY=-1TU'));
  it('keeps a leap day on the last of February', () =>
    expect(ruleOfRepeat(repeat({ kind: 'year' }), '2028-02-29')).toBe('FREQ=YEARLY;BYMONTH=2;BYMONTHDAY=-1'));
  it.each([
    'FREQ=MONTHLY;BYDAY=1MO,3MO',
    'FREQ=HOURLY',
    'FREQ=YEARLY;BYWEEKNO=6',
    'FREQ=DAILY;COUNT=3',
    'FREQ=MONTHLY;BYSETPOS=1;BYDAY=MO',
  ])('%s, which the form cannot say, stays as it is', (rule) => {
    expect(repeatOf(rule).kind).toBe('other');
    expect(ruleOfRepeat(repeatOf(rule), '2027-02-09')).toBe(rule);
  });
  it('once is no rule', () => expect(ruleOfRepeat(repeatOf(null), '2027-02-09')).toBeNull());
});

describe('a rule in words', () => {
  it.each([
    ['FREQ=DAILY', 'every day'],
    ['FREQ=DAILY;INTERVAL=2', 'every second day'],
    ['FREQ=WEEKLY;INTERVAL=3', 'every 3 weeks'],
    ['FREQ=WEEKLY;BYDAY=MO,TH', 'every week on Monday, Thursday'],
    ['FREQ=MONTHLY;BYMONTHDAY=1', 'every month on the 1st'],
    ['FREQ=MONTHLY;BYMONTHDAY=22', 'every month on the 22nd'],
    ['FREQ=MONTHLY;BYMONTHDAY=13', 'every month on the 13th'],
    ['FREQ=MONTHLY;BYDAY=-1FR', 'every month on the last Friday'],
    ['FREQ=MONTHLY;BYDAY=3WE', 'every month on the 3rd Wednesday'],
    ['FREQ=YEARLY;UNTIL=20301231', 'every year until 2030-12-31'],
    ['FREQ=HOURLY', 'FREQ=HOURLY'],
  ])('%s is “%s”', (rule, words) => expect(spokenRule(rule)).toBe(words));
});

describe('an entry in words', () => {
  const entry = { ...blankEntry('2027-02-09'), title: 'vet' };
  it('has its day, time and length', () =>
    expect(spokenEntry({ ...entry, start: 990, minutes: 45 })).toBe('“vet”: Tuesday, Feb 9, at 4:30p for 45 min'));
  it('has its last day where it runs over some', () =>
    expect(spokenEntry({ ...entry, days: 3 })).toBe('“vet”: Tuesday, Feb 9 to Thursday, Feb 11'));
  it('has all else that was said', () =>
    expect(
      spokenEntry({
        ...entry,
        task: true,
        kind: 'deadline',
        part: 'day',
        leadDays: 1,
        list: 'to buy',
        onlyWith: 'payday',
        countdown: [7, 1],
        since: 1991,
        tentative: true,
      }),
    ).toBe(
      '“vet”: due Tuesday, Feb 9, in the middle of the day, planned 1 day before, on the list “to buy”, only in weeks with “payday”, days left counted 7, 1 day before, counted from 1991, not sure yet',
    ));
  it('of alternatives says whose turn it is when', () => {
    const turns = { ...entry, title: 'recycling / refuse', repeat: 'FREQ=WEEKLY;BYDAY=TU' };
    expect(spokenEntry(turns)).toContain('taking turns, every 2 weeks: recycling, refuse');
    expect(typedRound({ ...turns, repeat: null })).toBeNull();
    expect(typedRound({ ...turns, task: true })).toBeNull();
    expect(typedRound({ ...turns, title: 'refuse' })).toBeNull();
  });
});

describe('a round', () => {
  const turn = (text: string) => ({ text, start: null, minutes: null });
  const rota = {
    name: 'ferry',
    first: '2027-02-08',
    every: 'day' as const,
    turns: [turn('early'), turn('early'), turn('late'), null, null, turn('night'), null, null],
    kind: null,
    part: null,
  };
  it('comes again after as many days as it has turns', () => {
    expect(ruleOfRound(rota)).toBe('FREQ=DAILY;INTERVAL=8');
    expect(ruleOfRound({ ...rota, every: 'week' })).toBe('FREQ=WEEKLY;INTERVAL=8');
  });
  it('says its free turns together, also at its end', () =>
    expect(spokenRound(rota)).toBe('every 8 days: early, early, late, 2 free, night, 2 free'));
});

describe('a demand as written', () => {
  it.each([
    [0, '12a'],
    [9 * 60, '9a'],
    [12 * 60 + 5, '12:05p'],
    [16 * 60 + 30, '4:30p'],
    [24 * 60, '12a'],
  ])('minute %d is %s', (minute, words) => expect(spokenTime(minute)).toBe(words));
  it('has its time first and a question mark while it is not sure', () =>
    expect(writtenText(demand({ title: 'vet', start: 990, tentative: true }))).toBe('4:30p vet ?'));
  it('is sorted by time, untimed by its part of the day, then by title and key', () => {
    const all = [
      demand({ key: 'c', title: 'bins', part: 'evening' }),
      demand({ key: 'b', title: 'swim', start: 420 }),
      demand({ key: 'a2', title: 'bills' }),
      demand({ key: 'a1', title: 'bills' }),
      demand({ key: 'd', title: 'coffee', part: 'morning' }),
    ];
    expect([...all].sort(inTimeOrder).map((d) => d.key)).toEqual(['b', 'd', 'a1', 'a2', 'c']);
    expect(sortMinute(demand({ part: 'day' }))).toBe(780);
  });
});

describe('what words speak of', () => {
  it('a category goes before the title, and a word counts only whole', () => {
    expect(meaningsOf('walk the dog', ['choir'])).toEqual(['choir', 'dog']);
    expect(meaningsOf('ringleader of dogmas')).toEqual([]);
    expect(meaningsOf('TIME SHEET')).toEqual(['computer']);
    expect(meaningsOf('')).toEqual([]);
  });
  it('puts things where in the day they belong', () =>
    expect(['bins out', 'soup', 'coffee with Tam', 'water beans', 'swim', 'zzz'].map((t) => usualPart(t, []))).toEqual([
      'evening',
      'evening',
      'morning',
      'morning',
      'day',
      'day',
    ]));
  it('is as its owner taught it, before all else', () => {
    const [one, other] = withTaughtWords(
      [demand({ title: 'Fern, walk' }), demand({ title: 'fernery' })],
      [{ word: 'fern', means: 'dog' }],
    );
    expect([one?.categories, other?.categories]).toEqual([['dog'], []]);
  });
});

describe('two that may be one', () => {
  const pair = (a: string, b: string, over = {}) =>
    lookAlikes([demand({ uid: 'a', title: a }), demand({ uid: 'b', title: b, ...over })]).map((l) => l.how);
  it.each([
    ['buy soap', 'Soap, buy', 'same'],
    ['the towels', 'towel', 'same'],
    ['rehearsal', 'rehersal', 'near'],
    ['vet Juniper', 'vet', null],
    ['rehearsal choir', 'rehearsal', 'within'],
    ['bus 12', 'bus 14', null],
    ['café', 'cafe', 'same'],
    ['a', 'the', null],
  ])('%s and %s: %p', (a, b, how) => expect(pair(a, b)).toEqual(how ? [how] : []));
  it('are asked of other days only where they are the same and one is not a routine', () => {
    expect(pair('buy soap', 'buy soap', { day: 3 })).toEqual(['same']);
    expect(pair('rehearsal choir', 'rehearsal', { day: 3 })).toEqual([]);
    const routine = { repeated: true };
    expect(
      lookAlikes([
        demand({ uid: 'a', title: 'swim', ...routine }),
        demand({ uid: 'b', title: 'swim', day: 2, ...routine }),
      ]),
    ).toEqual([]);
  });
  it('have one name whichever comes first', () => expect(pairKey('b', 'a')).toBe(pairKey('a', 'b')));
});

describe('what was left undone', () => {
  const chore = demand({ uid: 'a', kind: 'chore', on: '2027-02-08' });
  it('is what is ticked when it is done', () =>
    expect(
      (['to-do', 'chore', 'deadline', 'reminder', 'appointment', 'occasion', 'band'] as const).map((kind) =>
        isTicked(demand({ kind })),
      ),
    ).toEqual([true, true, true, true, false, false, false]));
  it('is offered once, after its day, while nobody said what became of it', () => {
    const offered = (marks: [string, 'done' | 'brought' | 'let go'][], today: string): number =>
      undone(weekWith(chore, { ...chore, key: 'a2' }), weekWith(), new Map(marks), today).length;
    expect(offered([], '2027-02-09')).toBe(1);
    expect(offered([], '2027-02-08')).toBe(0);
    for (const mark of ['done', 'brought', 'let go'] as const)
      expect(offered([[markKey('a', '2027-02-08'), mark]], '2027-02-15')).toBe(0);
  });
  it('is not offered where it comes round by itself', () =>
    expect(undone(weekWith(chore), weekWith(demand({ uid: 'a', day: 2 })), new Map(), '2027-02-15')).toEqual([]));
});

describe('the room a text wants (P4)', () => {
  it.each([
    ['swim', 'label', 1],
    ['take Juniper to the vet', 'label', 2],
    ['early ferry, then bank the allotment’s beans', 'quarter', 3],
    ['one two three four five six seven eight nine ten eleven twelve', 'half', 4],
    ['word '.repeat(40), 'full', 14],
  ])('“%s” wants a %s', (text, room, lines) => expect(roomWanted(text, 38.1, hand)).toMatchObject({ room, lines }));
  it('grows in a narrower column', () =>
    expect(roomWanted('take Juniper to the vet', 20, hand).lines).toBeGreaterThan(2));
});

describe('weeks', () => {
  // ISO 8601: the years of 53 weeks between 2015 and 2032 are 2015, 2020, 2026 and 2032
  it('of a year are 52 or 53', () => {
    const long = Array.from({ length: 18 }, (_, i) => 2015 + i).filter((y) => isWeekName(`${y}-W53`));
    expect(long).toEqual([2015, 2020, 2026, 2032]);
  });
  it('hold each day once, whichever day they begin with', () => {
    for (const start of ['monday', 'sunday'] as const) {
      const days = ['2026-W52', '2026-W53', '2027-W01'].flatMap((w) => daysOfWeek(w, start));
      expect(new Set(days).size).toBe(21);
    }
  });
  it('go on and back over a year’s end', () => {
    expect([weekAfter('2026-W53'), weekAfter('2027-W01', -1), weekAfter('2026-W52', 2)]).toEqual([
      '2027-W01',
      '2026-W53',
      '2027-W01',
    ]);
    expect(weekOf('2027-01-03')).toBe('2026-W53');
  });
  it.each(['2027-W54', '2027-W00', '2027-6', '', 'constructor', '2027-W06 '])('%p is none', (text) => {
    expect(isWeekName(text)).toBe(false);
    expect(() => daysOfWeek(text)).toThrow('not a week');
  });
});
