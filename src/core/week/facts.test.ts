import ICAL from 'ical.js';
import { FURTHEST, factsOf, reachOf } from './facts';

const component = (...lines: readonly string[]): ICAL.Component =>
  new ICAL.Component(ICAL.parse(['BEGIN:VEVENT', 'UID:a', ...lines, 'END:VEVENT'].join('\r\n')));
const facts = (...lines: readonly string[]) => factsOf(component(...lines));

describe('what an item says of itself', () => {
  it('is nothing where it says nothing', () => {
    expect(facts()).toEqual({
      title: 'untitled', kind: null, part: null, room: null, list: null, tentative: false, categories: [], lead: 0,
      dueShown: false, countdown: [], reminders: [], since: null, round: null, onlyWith: null, quiet: [], from: null,
    }); // prettier-ignore
  });
  it.each([
    ['a title of one line, however it is spaced', 'SUMMARY:  vet\\n  Juniper ', { title: 'vet Juniper' }],
    ['a title as long as it may be', `SUMMARY:${'x'.repeat(900)}`, { title: 'x'.repeat(400) }],
    ['its kind in any letters', 'X-HOBNAIL-KIND:Deadline', { kind: 'deadline' }],
    ['no kind that is none', 'X-HOBNAIL-KIND:constructor', { kind: null }],
    ['its part of the day', 'X-HOBNAIL-PART:EVENING', { part: 'evening' }],
    ['its room', 'X-HOBNAIL-ROOM:half', { room: 'half' }],
    ['its list', 'X-HOBNAIL-LIST: to buy ', { list: 'to buy' }],
    ['that it is not sure yet', 'STATUS:Tentative', { tentative: true }],
    ['its categories', 'CATEGORIES:choir,garden', { categories: ['choir', 'garden'] }],
    ['a lead in days', 'X-HOBNAIL-LEAD:P2D', { lead: 2 }],
    ['a lead in weeks', 'X-HOBNAIL-LEAD:P1W2D', { lead: 9 }],
    ['a lead of hours is on the day itself', 'X-HOBNAIL-LEAD:PT5H', { lead: 0 }],
    ['no lead longer than a year', 'X-HOBNAIL-LEAD:P9999W', { lead: FURTHEST }],
    ['that its due day is shown', 'X-HOBNAIL-DUE:shown', { dueShown: true }],
    ['the days that are counted', 'X-HOBNAIL-COUNTDOWN:14, 7,x,0,-3,1.5,9999', { countdown: [14, 7] }],
    ['the year it is counted from', 'X-HOBNAIL-SINCE:1988', { since: 1988 }],
    ['that the year is not known', 'X-HOBNAIL-SINCE:0', { since: 0 }],
    ['no year that is none', 'X-HOBNAIL-SINCE:long ago', { since: null }],
    ['its round', 'X-HOBNAIL-ROUND:bins', { round: 'bins' }],
    ['what it comes with', 'X-HOBNAIL-ONLY-WITH:payday', { onlyWith: 'payday' }],
    ['what rests while it lasts', 'X-HOBNAIL-QUIET:chores,rota,,swim', { quiet: ['chores', 'rota', 'swim'] }],
    ['the day it was put off from', 'X-HOBNAIL-FROM:2027-02-01', { from: '2027-02-01' }],
    ['no day that is none', 'X-HOBNAIL-FROM:yesterday', { from: null }],
  ])('%s', (_, line, said) => {
    expect(facts(line)).toMatchObject(said);
  });
});

describe('alarms', () => {
  const alarm = (...lines: readonly string[]) => ['BEGIN:VALARM', 'ACTION:DISPLAY', ...lines, 'END:VALARM'];
  const own = 'X-HOBNAIL-KIND:reminder';
  it('that are meant for the planner are reminders, days before', () => {
    expect(facts(...alarm('TRIGGER:-P4D', 'DESCRIPTION:post the parcel', own)).reminders).toEqual([
      { days: 4, text: 'post the parcel' },
    ]);
    expect(facts(...alarm('TRIGGER:-P1W', 'DESCRIPTION:cake', own)).reminders[0]!.days).toBe(7);
  });
  it.each([
    ['of another program', alarm('TRIGGER:-P4D', 'DESCRIPTION:x')],
    ['without words', alarm('TRIGGER:-P4D', own)],
    ['afterwards', alarm('TRIGGER:P4D', 'DESCRIPTION:x', own)],
    ['minutes before', alarm('TRIGGER:-PT15M', 'DESCRIPTION:x', own)],
    ['more than a year before', alarm('TRIGGER:-P400D', 'DESCRIPTION:x', own)],
    ['at a moment of its own', alarm('TRIGGER;VALUE=DATE-TIME:20270201T080000Z', 'DESCRIPTION:x', own)],
  ])('%s are none', (_, lines) => {
    expect(facts(...lines).reminders).toEqual([]);
  });
});

it('an item first shows as early as the earliest of its lead, its counts and its reminders', () => {
  const said = facts('X-HOBNAIL-LEAD:P2D', 'X-HOBNAIL-COUNTDOWN:14,3', 'BEGIN:VALARM', 'TRIGGER:-P20D', 'DESCRIPTION:x', 'X-HOBNAIL-KIND:reminder', 'END:VALARM'); // prettier-ignore
  expect([reachOf(said), reachOf(facts())]).toEqual([20, 0]);
});

it('is read once a component', () => {
  const one = component('SUMMARY:vet');
  expect(factsOf(one)).toBe(factsOf(one));
});
