import fc from 'fast-check';
import { demoKit, kitOf, piece } from '../../../tests/fixtures';
import { area, contains, intersect } from '../measure/rect';
import { KINDS } from './kind-table';
import { KIND_NAMES, traits } from './kinds';
import { isRoll, palette, spokenName } from './kit';
import { Ledger, wholeOf } from './ledger';
import { sheetsOf } from './sheet-layout';

const list = piece({ code: 'L', kind: 'checklist', width: 38, height: 48, rows: 6, count: 3 });
const roll = piece({ code: 'R', kind: 'washi', width: 1000, height: 15, count: 1 });
const box = piece({ count: 2 });

describe('the ledger', () => {
  it('hands out each copy once, the first ones first', () => {
    const ledger = Ledger.empty();
    expect([ledger.take(box)?.copy, ledger.take(box)?.copy, ledger.take(box)]).toEqual([1, 2, null]);
    expect(ledger.untouched(box)).toBe(0);
    ledger.giveBack(box, { copy: 1, cut: null });
    expect(ledger.take(box)?.copy).toBe(1);
  });

  it('refuses what does not exist, or is used, and notes nothing of it', () => {
    const ledger = Ledger.empty();
    expect(
      [
        { copy: 0, cut: null },
        { copy: 3, cut: null },
        { copy: 1.5, cut: null },
        { copy: 1, cut: { x: 30, y: 0, w: 10, h: 12 } },
      ].map((t) => ledger.note(box, t)),
    ).toEqual([false, false, false, false]);
    expect(ledger.note(box, { copy: 1, cut: { x: 0, y: 0, w: 20, h: 12 } })).toBe(true);
    expect(ledger.note(box, { copy: 1, cut: { x: 19, y: 0, w: 10, h: 12 } })).toBe(false);
    expect(ledger.note(box, { copy: 1, cut: { x: 20, y: 0, w: 10, h: 12 } })).toBe(true);
    expect(ledger.untouched(box)).toBe(1);
  });

  it('counts ten thousand copies as quickly as two, each still by its number', () => {
    const many = piece({ count: 10_000 });
    const ledger = Ledger.empty();
    expect(ledger.note(many, { copy: 10_000, cut: null })).toBe(true);
    expect(ledger.note(many, { copy: 2, cut: { x: 0, y: 0, w: 20, h: 12 } })).toBe(true);
    expect(ledger.untouched(many)).toBe(9_998);
    expect([ledger.take(many)?.copy, ledger.take(many)?.copy]).toEqual([1, 3]);
    expect(ledger.note(many, { copy: 10_001, cut: null })).toBe(false);
  });

  it('takes a list’s offcut before a new list (L3), and a strip that is begun before a whole one', () => {
    const ledger = Ledger.empty();
    expect(ledger.takeRows(list, 4, 38)).toEqual({ copy: 1, cut: { x: 0, y: 0, w: 38, h: 32 } });
    expect(ledger.takeRows(list, 2, 38)).toEqual({ copy: 1, cut: { x: 0, y: 32, w: 38, h: 16 } });
    expect(ledger.takeRows(list, 6, 38)).toEqual({ copy: 2, cut: null });
    expect(ledger.mostRows(list)).toBe(6);
    expect(ledger.takeRows(list, 7, 38)).toBeNull();
    expect(ledger.takeLength(roll, 300, 12)).toEqual({ copy: 1, cut: { x: 0, y: 1.5, w: 300, h: 12 } });
    expect(ledger.takeLength(roll, 300, 15)?.cut?.x).toBe(300);
    expect([ledger.longest(roll), ledger.lengthLeft(roll)]).toEqual([400, 400]);
    expect(ledger.takeLength(roll, 401, 15)).toBeNull();
    expect(ledger.takeLength(roll, 10, 16)).toBeNull();
  });

  it('never hands out one part twice, and a clone leaves the original alone', () => {
    const order = fc.array(
      fc.record({ what: fc.constantFrom('rows', 'length', 'whole'), n: fc.integer({ min: 1, max: 6 }) }),
      { maxLength: 25 },
    );
    fc.assert(
      fc.property(order, (orders) => {
        const original = Ledger.empty();
        const ledger = original.clone();
        const parts = new Map<string, { x: number; y: number; w: number; h: number }[]>();
        for (const { what, n } of orders) {
          const [p, taken] =
            what === 'rows'
              ? ([list, ledger.takeRows(list, n, 30)] as const)
              : what === 'length'
                ? ([roll, ledger.takeLength(roll, n * 60, 15)] as const)
                : ([box, ledger.take(box)] as const);
          if (!taken) continue;
          const key = `${p.code}${taken.copy}`;
          const part = taken.cut ?? wholeOf(p);
          expect(contains(wholeOf(p), part)).toBe(true);
          expect((parts.get(key) ?? []).every((q) => intersect(q, part) === null)).toBe(true);
          parts.set(key, [...(parts.get(key) ?? []), part]);
        }
        expect([original.untouched(list), original.untouched(box), original.longest(roll)]).toEqual([3, 2, 1000]);
      }),
    );
  });
});

describe('sheets', () => {
  it('hold every copy once, inside the sheet, none on another', () => {
    const kit = demoKit('rockpool');
    const sheets = sheetsOf(kit);
    expect(sheets.flatMap((s) => s.lying)).toHaveLength(
      kit.pieces.filter((p) => !isRoll(p)).reduce((n, p) => n + p.count, 0),
    );
    for (const s of sheets) {
      expect(s.lying.every((l) => contains({ x: 0, y: 0, w: s.width, h: s.height }, l))).toBe(true);
      expect(s.lying.some((l, i) => s.lying.slice(0, i).some((m) => intersect(l, m)))).toBe(false);
      expect(s.lying.reduce((sum, l) => sum + area(l), 0)).toBeLessThan(s.width * s.height);
    }
  });
  it('leave rolls out and take wide strips in', () =>
    expect(sheetsOf(kitOf(roll, piece({ code: 'W', kind: 'washi', width: 180, height: 10 })))).toMatchObject([
      { width: 188, lying: [{ w: 180 }] },
    ]));
});

describe('a kit', () => {
  it('shows its colors, the most seen first', () => {
    expect(
      palette(
        kitOf(
          piece({ color: '#111111', accent: '#222222', count: 5 }),
          piece({ code: 'b', color: '#333333', accent: '#333333' }),
        ),
        2,
      ),
    ).toEqual(['#111111', '#222222']);
  });
  it('is spoken of by its name', () =>
    expect([spokenName('night-almanac'), spokenName('rockpool')]).toEqual(['Night Almanac', 'Rockpool']));
  it('knows every kind of the format, with sane traits', () => {
    expect(KIND_NAMES).toHaveLength(27);
    for (const kind of KIND_NAMES)
      expect(traits(kind)).toMatchObject({ label: expect.stringMatching(/^[a-z ]+$/), opacity: expect.any(Number) });
    expect(KIND_NAMES.filter((k) => traits(k).opacity < 1)).toEqual(['bottom-washi', 'washi', 'overlay']);
    expect(KINDS.icon).toMatchObject({ overlay: true });
  });
});

it('a copy of a ledger and its original know nothing of each other', () => {
  const piece = demoKit('rockpool').pieces.find((p) => p.count > 3)!;
  const one = Ledger.empty();
  one.take(piece);
  const other = one.clone();
  const taken = other.take(piece)!;
  one.take(piece);
  one.take(piece);
  expect([one.untouched(piece), other.untouched(piece)]).toEqual([piece.count - 3, piece.count - 2]);
  other.giveBack(piece, taken);
  expect([one.untouched(piece), other.untouched(piece)]).toEqual([piece.count - 3, piece.count - 1]);
  expect(other.take(piece)).toEqual(taken);
});
