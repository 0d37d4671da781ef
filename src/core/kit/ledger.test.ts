import { piece } from '../../../tests/fixtures';
import { Ledger } from './ledger';

describe('a part of a copy', () => {
  const box = piece({ height: 24, count: 3 });
  const halves = [0, 12].map((y) => ({ x: 0, y, w: 38.1, h: 12 }));
  const next = (ledger: Ledger) => {
    const taken = ledger.freePart(box, halves);
    if (taken) ledger.note(box, taken);
    return taken && [taken.copy, taken.cut?.y];
  };

  it('comes from what is begun before what is whole', () => {
    const ledger = Ledger.empty();
    expect(Array.from({ length: 7 }, () => next(ledger))).toEqual([
      [1, 0],
      [1, 12],
      [2, 0],
      [2, 12],
      [3, 0],
      [3, 12],
      null,
    ]);
  });
  it('comes from a later copy where that is the one begun', () => {
    const ledger = Ledger.empty();
    ledger.note(box, { copy: 2, cut: halves[0]! });
    expect([next(ledger), next(ledger)]).toEqual([
      [2, 12],
      [1, 0],
    ]);
  });
  it('is what is given back, and nothing that reaches over the edge', () => {
    const ledger = Ledger.empty();
    ledger.note(box, { copy: 1, cut: halves[0]! });
    ledger.giveBack(box, { copy: 1, cut: halves[0]! });
    expect([ledger.untouched(box), next(ledger)]).toEqual([3, [1, 0]]);
    expect(ledger.freePart(box, [{ x: 0, y: 14, w: 38.1, h: 12 }])).toBeNull();
  });
  it('is found at once among ten thousand copies', () => {
    const many = { ...box, count: 10_000 };
    const ledger = Ledger.empty();
    let looked = 0;
    const counting = new Proxy(ledger, {
      get: (of, name, self) => (name === 'isFree' && looked++, Reflect.get(of, name, self) as unknown),
    });
    expect(counting.freePart(many, halves)).toEqual({ copy: 1, cut: halves[0] });
    expect(looked).toBeLessThan(5);
  });
});
