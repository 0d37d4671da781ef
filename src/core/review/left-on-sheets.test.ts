import { context, demand, kitOf, piece, placement, weekWith } from '../../../tests/fixtures';
import { meaningsOf } from '../week/meaning';
import { byReason, leftOnSheets } from './left-on-sheets';
import { viewOf } from './review';

const kit = kitOf(
  piece({ code: 'L', kind: 'label', width: 38.1, height: 12, count: 1 }),
  piece({ code: 'V', kind: 'icon', width: 9, height: 9, icon: meaningsOf('vet', [])[0]!, count: 2 }),
  piece({ code: 'C', kind: 'icon', width: 9, height: 9, icon: 'coffee', count: 3 }),
  piece({ code: 'H', kind: 'header', width: 38.1, height: 6.4, count: 4 }),
  piece({ code: 'D', kind: 'deco', width: 20, height: 20, count: 1 }),
  piece({ code: 'W', kind: 'deco', width: 90, height: 20, count: 1 }),
);
const c = context({ kit, week: weekWith(demand({ title: 'vet' })) });
const vet = placement({ code: 'L', y: 40, h: 12, items: ['a'], text: 'vet' });

it('says of each design that is left why it is', () => {
  const left = leftOnSheets(viewOf(c, [vet]));
  expect(left.map(({ piece: { code }, copies, why }) => [code, copies, why])).toEqual([
    ['V', 2, 'no base for it'],
    ['C', 3, 'nothing means it'],
    ['H', 4, 'one a day'],
    ['D', 1, 'not wanted'],
    ['W', 1, 'no room'],
  ]);
  expect(byReason(left).map((r) => r.says)).toEqual([
    '4 stickers: more than the days take',
    '3 stickers: nothing this week means them',
    '2 stickers: what they mean has one, or no room',
    '1 sticker: no bare place takes it',
    '1 sticker: it would go in, but the days look full enough',
  ]);
  expect(leftOnSheets(viewOf(c, [])).find((l) => l.piece.code === 'L')?.copies).toBe(1);
});
