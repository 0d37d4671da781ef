import { context, found, kitOf, piece, placement } from '../../../tests/fixtures';
import { openB6 } from '../book/open-b6';

const kit = kitOf(
  ...['8', '9'].map((words) => piece({ code: `D${words}`, kind: 'date-dot', width: 8, height: 8, words, count: 2 })),
  piece({ code: 'C', kind: 'date-cover' }),
);
const c = context({ kit });
const dot = (words: string, over = {}) =>
  placement({ code: `D${words}`, x: 61, y: 19, w: 8, h: 8, role: 'base', ...over });

it('is silent on the right number, and on printed dates left alone', () =>
  expect(found('B5', c, [dot('8')])).toEqual([]));
it('stops at the wrong number', () =>
  expect(found('B5', c, [dot('9')])).toMatchObject([
    { severity: 'stop', message: 'Monday is the 8, but its date says 9.' },
  ]));
it('speaks of two dates on one day', () =>
  expect(found('B5', c, [dot('8'), dot('8', { id: 'p2', copy: 2, x: 72 })])[0]?.message).toContain(
    'shows its date 2 times',
  ));
it('speaks of a day without a date where the book has none, or its print is covered', () => {
  expect(found('B5', context({ kit, book: openB6 }), [placement({ code: 'C', y: 60 })])).toHaveLength(7);
  expect(found('B5', c, [placement({ code: 'C', y: 17, role: 'base' })])[0]?.message).toContain(
    'Monday has no date; it is the 8.',
  );
  expect(found('B5', c, [placement({ code: 'C', y: 17, role: 'base', text: '8' })])).toEqual([]);
});
