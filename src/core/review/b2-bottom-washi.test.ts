import { context, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { speaksOnly } from '../../../tests/rules';

const c = context({ kit: kitOf(piece({ code: 'W', kind: 'bottom-washi', width: 170, height: 13.5, count: 4 })) });
const strip = (over: object) =>
  placement({
    code: 'W',
    day: null,
    role: 'base',
    x: 6,
    y: 205,
    w: 158.4,
    h: 12.7,
    cut: { x: 0, y: 0, w: 158.4, h: 12.7 },
    ...over,
  });
const right = strip({ id: 'p2', copy: 2, page: 1, x: 13.4 });

it('is silent when both strips are covered exactly', () => expect(found('B2', c, [strip({}), right])).toEqual([]));
it('speaks of a bare end, with its millimeters', () =>
  speaksOnly(
    'B2',
    c,
    [strip({}), right],
    [strip({ w: 150 }), right],
    /^The left page’s bottom strip has 5\/16 in × 1\/2 in without washi\.$/,
  ));
it('speaks of one strip once: of what is bare before what hangs over', () => {
  const both = [strip({ w: 100 }), strip({ id: 'p3', copy: 3, x: 120, w: 60, h: 15 }), right];
  expect(found('B2', c, both).map((f) => [f.page, f.about.is])).toEqual([[0, 'gap']]);
  const over = [
    strip({ h: 13.7 }),
    strip({ id: 'p3', copy: 3, h: 15.7 }),
    strip({ id: 'p2', copy: 2, page: 1, x: 13.4, h: 14.7 }),
  ];
  expect(found('B2', c, over).map((f) => [f.page, f.about.mm])).toEqual([
    [0, expect.closeTo(3)],
    [1, expect.closeTo(2)],
  ]);
});
it('speaks of a strip that is too tall', () =>
  speaksOnly('B2', c, [strip({}), right], [strip({ h: 13.7 }), right], /is 1\/16 in over its strip/));
it('speaks of a page without washi, unless none is wanted', () => {
  expect(found('B2', c, [strip({})])[0]?.message).toContain('The right page’s bottom strip is bare');
  expect(found('B2', context({ kit: c.kit, options: { bottomWashi: 'none' } }), [])).toEqual([]);
});
