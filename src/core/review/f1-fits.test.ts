import { context, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { speaksOnly } from '../../../tests/rules';

const c = context({ kit: kitOf(piece({ count: 9 })) });

it('speaks of a piece that leaves its column, with the millimeters', () => {
  speaksOnly('F1', c, [placement()], [placement({ x: 48.1 })], /is 1\/16 in out of its column, on its right/);
});
it('speaks of the binding and of the page’s edge as a stop', () => {
  expect(found('F1', c, [placement({ x: 132, day: null })])[0]).toMatchObject({
    severity: 'stop',
    message: expect.stringContaining('into the binding'),
  });
  expect(found('F1', c, [placement({ x: -3, day: null })])[0]?.message).toContain('over the edge of the page');
});
it('speaks of two pieces that touch, not of one that lies on another', () => {
  const below = placement({ id: 'p2', copy: 2, y: 70 });
  speaksOnly(
    'F1',
    c,
    [placement(), placement({ id: 'p2', copy: 2, y: 72 })],
    [placement(), below],
    /touches Monday’s quarter box by 1\/16 in/,
  );
  expect(found('F1', c, [placement(), { ...below, layer: 1 }])).toEqual([]);
});
