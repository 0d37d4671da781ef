import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { counted, dayName, kitName, mm, pieceName, sentence, titleOf, voiceOf } from './voice';

const c = context({
  kit: kitOf(piece({ code: 'H', kind: 'header' }), piece({ code: 'Q' })),
  stash: [{ name: 'night-almanac', pieces: [] }],
  week: weekWith(demand({ key: 'k', title: 'vet' })),
});
const on = [
  placement({ id: 'p1', code: 'H', day: 3 }),
  placement({ id: 'p2', code: 'Q', day: null, role: 'sidebar' }),
  placement({ id: 'p3', kit: '', code: '', day: 3 }),
];
const voice = voiceOf(c, on);

it('a piece is named by its day and what it is', () => {
  expect(pieceName(voice, 'p1')).toBe(`${dayName(voice, 3)}’s header`);
  expect(pieceName(voice, 'p3')).toBe(`${dayName(voice, 3)}’s writing`);
  expect(pieceName(voice, 'p2')).toContain('quarter box');
  expect([pieceName(voice, 'gone'), pieceName(voice, undefined)]).toEqual(['the piece', 'the piece']);
});

it('days are those of the week, lengths those of its owner’s ruler', () => {
  expect([0, 6].map((d) => dayName(voice, d))).toEqual(['Monday', 'Sunday']);
  expect([mm(voiceOf(c, on, 'mm'), 38.1), mm(voiceOf(c, on, 'in'), 38.1)]).toEqual(['38.1 mm', '1 1/2 in']);
  expect(voiceOf(c, on).unit).toBe(c.book.unit);
});

it('kits and items are called as their owner calls them; what is gone has a name nevertheless', () => {
  expect(kitName({ context: { ...c, kit: { ...c.kit, name: 'test', title: 'Spring box' } } }, 'test')).toBe(
    'Spring box',
  );
  expect(kitName(voice, 'night-almanac')).toBe('Night Almanac');
  expect(titleOf(voice, 'k')).toBe('vet');
  expect(typeof titleOf(voice, 'gone')).toBe('string');
  expect(typeof titleOf(voice, undefined)).toBe('string');
});

it.each([
  [1, 'week', undefined, '1 week'],
  [0, 'week', undefined, '0 weeks'],
  [2, 'box', 'boxes', '2 boxes'],
  [1, 'box', 'boxes', '1 box'],
] as const)('%d %s is counted', (n, one, many, said) => expect(counted(n, one, many)).toBe(said));

it.each([
  ['the header would touch', 'The header would touch'],
  ['“vet” has its place', '“vet” has its place'],
  ['', ''],
  ['Thursday', 'Thursday'],
])('%j begins as a sentence does', (text, said) => expect(sentence(text)).toBe(said));

it('a placement and its piece are found by their names', () => {
  expect([voice.placement('p1')?.code, voice.placement('gone')]).toEqual(['H', undefined]);
  expect([voice.pieceOf(on[0]!)?.kind, voice.pieceOf({ kit: 'zeppelin', code: 'H' })]).toEqual(['header', undefined]);
});
