import { context, found, kitOf, piece, weekWith } from '../../../tests/fixtures';
import { plannedCopies, saidWhere, sayPlanned } from './planned';
import { recount } from './recount';
import type { Use } from './stock';
import { stockOfKit, sumsOf } from './stock';

const kit = kitOf(piece({ code: 'B', kind: 'full-box', height: 48.3, count: 5 }));
const use = (copy: number, over: Partial<Use> = {}): Use => ({
  kit: kit.name, code: 'B', copy, cut: null, where: '2027-W08', planned: true, ...over,
}); // prettier-ignore

it('what a week has planned lies on its sheet still, until it is stuck down or spoiled', () => {
  const of = (uses: readonly Use[], what?: 'spoiled') =>
    sumsOf(stockOfKit(kit, uses, what ? [{ what, kit: kit.name, code: 'B', copy: 1, reason: 'torn', cut: null }] : []));
  expect(of([use(1), use(2)])).toEqual({ whole: 3, planned: 2, used: 0, cut: 0, spoiled: 0, kept: 0 });
  expect(of([use(1), use(2, { planned: false })])).toMatchObject({ planned: 1, used: 1 });
  // a copy of which one part is stuck down is begun
  expect(of([use(1), use(1, { planned: false })])).toMatchObject({ planned: 0, used: 1 });
  expect(of([use(1)], 'spoiled')).toMatchObject({ planned: 0, spoiled: 1 });
});

it('is counted with what lies there, and missed last', () => {
  const stock = stockOfKit(kit, [use(1), use(2)], []);
  const counted = (whole: number) => recount(stock, [{ code: 'B', whole }]).map((e) => [e.what, e.copy]);
  expect(counted(5)).toEqual([]);
  expect(counted(3)).toEqual([['used', 4], ['used', 5]]); // prettier-ignore
  expect(counted(6)).toEqual([['found', 6]]);
});

it('is told by the first day of its week', () => {
  const gone = [
    { ...use(1), plannedFor: '2027-W08' },
    { ...use(1), cut: { x: 0, y: 0, w: 3, h: 3 }, plannedFor: '2027-W08' },
    { ...use(3), plannedFor: '2027-W09' },
    use(2),
  ];
  expect(plannedCopies(gone)).toEqual(['2027-W08', '2027-W09']);
  expect(sayPlanned(['2027-W09', '2027-W08', '2027-W09'])).toBe('1 planned for Feb 22, 2 for Mar 1');
  expect(sayPlanned([])).toBe('');
  expect([saidWhere('2027-W08'), saidWhere('torn')]).toEqual(['Feb 22', 'torn']);
  const usedElsewhere = [1, 2, 3, 4].map((copy) => ({ ...use(copy), plannedFor: '2027-W08' }));
  const c = context({ kit, usedElsewhere, week: weekWith() });
  expect(
    found('K2', c, [])
      .map((f) => f.message)
      .join(),
  ).toMatch(/has 1 \(4 planned for Feb 22\)/);
});
