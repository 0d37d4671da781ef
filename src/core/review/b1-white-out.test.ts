import { context, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { threeBox } from '../book/three-box';
import { whiteOutOf } from '../bench/white-out';

const bare = { ...threeBox, marks: [{ kind: 'line' as const, page: 0, x: 46.1, y: 66, w: 38.1, h: 0.3 }] };
const c = context({
  book: bare,
  kit: kitOf(piece(), piece({ code: 'W', kind: 'washi', opacity: 0.55 }), piece({ code: 'S', width: 20 })),
});

it('is silent where an opaque piece covers the mark', () => expect(found('B1', c, [placement()])).toEqual([]));
it('speaks where washi lets the mark show', () => {
  const [f] = found('B1', c, [placement({ code: 'W' })]);
  expect(f?.message).toBe(
    'Left page: printed marks would show; to white them out takes 1 stroke, 1 1/2 in of tape (Monday 1 1/2 in).',
  );
  expect(whiteOutOf(c, [placement({ code: 'W' })])).toMatchObject([
    { x: 46.1, y: 66, w: 38.1, why: 'printed line shows through what is laid over it' },
  ]);
});
it('speaks of the part that stays bare, to the millimeter', () => {
  expect(whiteOutOf(c, [placement({ code: 'S', x: 50, w: 20 })])).toMatchObject([
    { x: 46.1, w: 3.9 },
    { x: 70, w: 14.2 },
  ]);
});
it('says when the tape will run out', () => {
  const poor = context({ book: bare, kit: c.kit, options: { tapeMeters: 0.01 } });
  expect(found('K4', poor, [placement({ code: 'W' })])).toMatchObject([
    { severity: 'fix', message: 'The white-out takes 1 1/2 in of correction tape, and you have 3/8 in.' },
  ]);
  expect(found('K4', c, [placement({ code: 'W' })])).toEqual([]);
});
