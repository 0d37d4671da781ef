import { bare, CASES, kit, label, plain, with_ } from '../../../tests/cases';
import type { Spread } from '../../../tests/cases';
import { context, demand, demoKit, found, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { hourly } from '../book/hourly';
import type { Context } from '../spread/placement';
import { voiceOf } from '../spread/voice';
import { RULES } from './registry';
import { review, viewOf } from './review';
import { sayFinding } from './say';
import { findingKey } from './wave';

it('has a case for every rule of the registry', () => {
  expect(Object.keys(CASES).sort()).toEqual(RULES.map((r) => r.code).sort());
});

describe.each(Object.entries(CASES))('%s', (code, { good, bad, about }) => {
  const of = ([c, placements]: Spread) => review(viewOf(c, placements)).filter((f) => f.rule === code);

  it('comes with what is wrong, as data, and goes with it', () => {
    expect(of(bad).map((f) => f.about)).toContainEqual(expect.objectContaining(about));
    expect(of(good).map((f) => f.about)).not.toContainEqual(expect.objectContaining(about));
  });

  it('is said in whole sentences, in the owner’s units, with nothing left out', () => {
    const [c, placements] = bad;
    for (const finding of of(bad)) {
      const inches = sayFinding(finding, voiceOf(c, placements, 'in'));
      const millimeters = sayFinding(finding, voiceOf(c, placements, 'mm'));
      for (const said of [inches, millimeters]) {
        expect(said.message).toMatch(/^[A-Z“\d].*\.$/);
        expect(`${said.message} ${said.remedy}`).not.toMatch(/undefined|NaN|null|\[object/);
        expect(said.remedy).toMatch(/^[A-Z].*\.$/);
      }
      expect(`${inches.message} ${inches.remedy}`).not.toMatch(/\d mm/);
    }
  });

  it('has a name that another unit and another order do not change', () => {
    const [c, placements] = bad;
    const again = of([c, [...placements].reverse()]);
    expect(again.map(findingKey).sort()).toEqual(of(bad).map(findingKey).sort());
    expect(findingKey(of(bad)[0]!)).not.toContain('Monday');
  });
});

it('two findings of one rule about two things have two names', () => {
  const twins = [label(), label({ id: 'p2', copy: 2, y: 90, items: [] })].map((p) => ({ ...p, x: 43.1 }));
  const keys = found('F1', plain, twins).map(findingKey);
  expect(new Set(keys).size).toBe(keys.length);
  expect(keys.length).toBeGreaterThan(1);
});

it('a finding keeps its name while it differs by less than a millimeter, and is another one beyond', () => {
  const by = (x: number) => found('F1', plain, [label({ x })]).map(findingKey)[0];
  expect(by(43.1)).toBe(by(43.3));
  expect(by(43.1)).not.toBe(by(40.1));
});

it('titles that hold one another are two things (D6)', () => {
  const c = with_({
    week: weekWith(
      demand({ title: 'vet' }),
      demand({ uid: 'b', key: 'b', title: 'vet, Juniper' }),
      demand({ uid: 'c', key: 'c', title: 'vet', day: 3 }),
    ),
  });
  const twice = found('D6', c, [label()]).filter((f) => f.about.is === 'entered twice');
  expect(twice.map((f) => f.about.demands)).toEqual([['a', 'c']]);
});

it('in a book with hour lines an item off its hour is said with its item and its millimeters (D2)', () => {
  const c = context({ kit, book: hourly, options: bare, week: weekWith(demand({ title: 'vet', start: 600 })) });
  const column = hourly.regions.find((r) => r.kind === 'day' && r.day === 0)!;
  const [off] = found('D2', c, [label({ x: column.x, w: column.w, y: column.y + 1, text: 'vet 10a' })]);
  expect(off?.about).toMatchObject({ is: expect.stringMatching(/off its hour|says another time/), demands: ['a'] });
});

it('what the kits have left after other weeks is what K1 and K2 count', () => {
  const covers = kitOf(
    piece({ code: 'C', kind: 'date-cover', count: 8 }),
    ...demoKit('rockpool')
      .pieces.filter((p) => p.kind === 'date-dot')
      .map((p) => ({ ...p, kit: 'test' })),
  );
  const options = { ...bare, dateCovers: true };
  const free = context({ kit: covers, options });
  const covers7 = (c: Context) => found('K2', c, []).filter((f) => f.about.kind === 'date-cover');
  expect(covers7(free)).toEqual([]);
  const used = [1, 2, 3].map((copy) => ({ kit: 'test', code: 'C', copy, cut: null }));
  const [lacking] = covers7(context({ kit: covers, options, usedElsewhere: used }));
  expect(lacking?.about).toMatchObject({ kind: 'date-cover', inKit: 5, lacking: 2 });
});
