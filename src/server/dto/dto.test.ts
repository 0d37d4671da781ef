import { placement } from '../../../tests/fixtures';
import { BadInput } from '../../core/format/fault';
import { blankEntry } from '../../core/week/agenda-entry';
import { PutEntryDto, RemoveEntryDto } from './agenda.dto';
import { ChangeDto, SaveEditDto } from './change.dto';
import { check } from './check';
import { KeepMannerDto, SetMannerDto, StartSpreadDto, StepHistoryDto, TickDto } from './spread.dto';

const edit = (over: object = {}) => ({
  spreadId: 1,
  change: { deed: { do: 'lift all' }, before: [placement()], after: [{ ...placement(), ...over }] },
});
const said = (type: Parameters<typeof check>[0], value: unknown): string => {
  try {
    check(type, value, 'door');
  } catch (error) {
    if (error instanceof BadInput) return error.message;
    throw error;
  }
  return 'accepted';
};

it('lets a proper edit through as it is', () => {
  const { change } = check(SaveEditDto, edit(), 'edit');
  expect(change).toBeInstanceOf(ChangeDto);
  expect(JSON.parse(JSON.stringify(change.after[0]))).toEqual(placement());
});

it.each([
  [{ x: 'left' }, 'door, change.after.0.x: found "left"'],
  [{ x: Infinity }, 'change.after.0.x'],
  [{ id: 'p1; drop' }, 'change.after.0.id'],
  [{ copy: 0 }, 'change.after.0.copy'],
  [{ role: 'roof' }, 'change.after.0.role'],
  [{ day: 7 }, 'change.after.0.day'],
  [{ cut: { x: 0, y: 0, w: -1, h: 2 } }, 'change.after.0.cut.w'],
  [{ items: [1] }, 'change.after.0.items'],
  [{ glue: true }, 'glue'],
])('names what is wrong with %j', (over, where) => expect(said(SaveEditDto, edit(over))).toContain(where));

it('guards the other doors', () => {
  expect(said(SaveEditDto, null)).not.toBe('accepted');
  expect(said(StartSpreadDto, { week: 'next', bookId: 'a', kitId: 'b', manner: 'scattered' })).toContain('week');
  expect(said(StartSpreadDto, { week: '2027-W06', bookId: 'a', kitId: 'b', manner: '' })).toContain('manner');
  const manner = { school: 'airy', options: { gap: 3 }, ways: { boxes: 2 } };
  expect(said(SetMannerDto, { spreadId: 1, manner })).toBe('accepted');
  expect(said(SetMannerDto, { spreadId: 1, manner: { ...manner, school: 'baroque' } })).toContain('school');
  expect(said(SetMannerDto, { spreadId: 1, manner: { ...manner, ways: { boxes: 9 } } })).toContain('ways.boxes');
  expect(said(SetMannerDto, { spreadId: 1, manner: { ...manner, ways: { glitter: true } } })).toContain('glitter');
  expect(said(KeepMannerDto, { ...manner, name: 'airy' })).toContain('name');
  expect(said(StepHistoryDto, { spreadId: 1, way: 'sideways' })).toContain('way');
  expect(said(TickDto, { spreadId: 1.5, steps: ['a'], done: true })).toContain('spreadId');
  expect(said(TickDto, { spreadId: 1, steps: ['a'], done: true })).toBe('accepted');
});

it('guards the agenda', () => {
  const entry = { ...blankEntry('2027-02-08'), title: 'vet' };
  expect(said(PutEntryDto, { entry })).toBe('accepted');
  expect(said(PutEntryDto, { entry: { ...entry, repeat: 'FREQ=WEEKLY;BYDAY=MO,WE' } })).toBe('accepted');
  for (const [key, value] of Object.entries({
    title: '',
    day: 'monday',
    start: 1440,
    minutes: 0,
    kind: 'party',
    repeat: 'FREQ=WEEKLY\nDTSTART:1',
    leadDays: -1,
  }))
    expect(said(PutEntryDto, { entry: { ...entry, [key]: value } })).toContain(`entry.${key}`);
  expect(said(RemoveEntryDto, { uid: '', day: null })).toContain('uid');
});
