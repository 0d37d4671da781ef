import { piece } from '../../../tests/fixtures';
import { sayKitDeed } from './deed';
import { leftOver } from './left-over';
import { recount } from './recount';
import { splitOff } from './split-off';
import type { StockEvent } from './stock';
import { stockOfKit, sumsOf } from './stock';

const box = piece({ kit: 'fog', code: 'B', count: 4, width: 38, height: 12 });
const icon = piece({ kit: 'fog', code: 'I', kind: 'icon', count: 2, width: 9, height: 9 });
const roll = piece({ kit: 'fog', code: 'W', kind: 'washi', count: 1, width: 1000, height: 15 });
const kit = { name: 'fog', pieces: [box, icon, roll] };
const event = (what: StockEvent['what'], copy: number, over: Partial<StockEvent> = {}): StockEvent => ({
  what,
  kit: 'fog',
  code: 'B',
  copy,
  reason: 'so it was',
  cut: null,
  ...over,
});

describe('a count', () => {
  it('notes what is missing as used, the last copies first, and what is more as found', () => {
    const stock = stockOfKit(kit, [], [event('spoiled', 4)]);
    expect(recount(stock, [{ code: 'B', whole: 1 }]).map((e) => [e.what, e.copy])).toEqual([
      ['used', 2],
      ['used', 3],
    ]);
    expect(recount(stock, [{ code: 'I', whole: 4 }]).map((e) => [e.what, e.copy, e.code])).toEqual([
      ['found', 3, 'I'],
      ['found', 4, 'I'],
    ]);
    expect(recount(stock, [{ code: 'B', whole: 3 }])).toEqual([]);
    expect(recount(stock, [{ code: 'none', whole: 3 }])).toEqual([]);
  });

  it('leaves as many whole as were counted', () => {
    for (const whole of [0, 1, 2, 3, 7]) {
      const events = recount(stockOfKit(kit, [], []), [{ code: 'B', whole }]);
      const [line] = stockOfKit(kit, [], events);
      expect(sumsOf([line!]).whole).toBe(whole);
    }
  });
});

describe('a kept sticker', () => {
  it('is whole, and neither used nor free', () => {
    const [line] = stockOfKit(kit, [], [event('kept', 2, { reason: 'for the concert' })]);
    expect(line!.copies[1]).toEqual({ copy: 2, state: 'kept', where: ['for the concert'], left: [] });
    expect(sumsOf([line!])).toEqual({ whole: 3, planned: 0, used: 0, cut: 0, spoiled: 0, kept: 1 });
    const both = stockOfKit(kit, [], [event('kept', 2), event('spoiled', 2)]);
    expect(both[0]!.copies[1]!.state).toBe('spoiled');
  });
});

describe('stickers that go to another kit', () => {
  const stock = stockOfKit(kit, [], [event('used', 4)]);

  it('are the last whole ones, and are used there where they came from', () => {
    const { pieces, events, lacking } = splitOff(stock, [{ code: 'B', count: 2 }], 'drawer', []);
    expect(pieces).toEqual([{ ...box, kit: 'drawer', count: 2 }]);
    expect(events.map((e) => [e.copy, e.reason])).toEqual([
      [2, 'gone to drawer'],
      [3, 'gone to drawer'],
    ]);
    expect(lacking).toEqual([]);
  });

  it('get another code where theirs is taken, and are refused where there are too few', () => {
    const shares = [
      { code: 'B', count: 1 },
      { code: 'I', count: 3 },
      { code: 'none', count: 1 },
    ];
    const { pieces, lacking } = splitOff(stock, shares, 'drawer', ['B']);
    expect(pieces.map((p) => p.code)).toEqual(['B-1']);
    expect(lacking).toEqual([
      { code: 'I', count: 3, whole: 2 },
      { code: 'none', count: 1, whole: null },
    ]);
  });
});

describe('what is left of a roll', () => {
  it('is measured from its end: what is gone goes on from what is known to be used', () => {
    expect(leftOver(roll, 1, [], 400)?.cut).toEqual({ x: 0, y: 0, w: 600, h: 15 });
    const used = [{ copy: 1, cut: { x: 0, y: 0, w: 250, h: 15 } }];
    expect(leftOver(roll, 1, used, 400)?.cut).toEqual({ x: 250, y: 0, w: 350, h: 15 });
    expect(leftOver(roll, 1, used, 750)).toBeNull();
    expect(leftOver(roll, 1, used, 900)).toBeNull();
    expect(leftOver(roll, 1, used, 0)?.cut).toEqual({ x: 250, y: 0, w: 750, h: 15 });
  });
});

it.each([
  [{ do: 'correct kit', kit: 'fog', added: 1, changed: 0, removed: 2 }, 'Correct Fog: 1 added, 2 removed'],
  [{ do: 'add kit', kit: 'fog' }, 'Add Fog'],
  [{ do: 'remove kit', kit: 'fog' }, 'Remove Fog'],
  [{ do: 'another copy', kit: 'fog', as: 'fog-2' }, 'Add another copy of Fog'],
  [{ do: 'split off', kit: 'fog', into: 'sea drawer', stickers: 3 }, 'Move 3 from Fog to sea drawer'],
  [{ do: 'recount', kit: 'fog', stickers: 3 }, 'Recount Fog'],
  [{ do: 'add washi', code: 'W-2', mm: 320.4 }, 'Add W-2, 320 mm of washi'],
  [{ do: 'left over', code: 'W', mm: 120 }, 'W: 120 mm left'],
  [{ do: 'use again', code: 'B' }, 'Use B again'],
] as const)('%p is said', (deed, said) => expect(sayKitDeed(deed)).toBe(said));

it('a deed is said with the kit’s own name where it has one', () =>
  expect(sayKitDeed({ do: 'recount', kit: 'fog', stickers: 1 }, () => 'Sea mist')).toBe('Recount Sea mist'));
