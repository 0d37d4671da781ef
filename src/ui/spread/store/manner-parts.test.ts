import { context, kitOf } from '../../../../tests/fixtures';
import { mannerParts } from './manner-parts';

it('in another manner the house’s own options stay, and the spread’s own go', () => {
  const { kit, stash, week, printed: book } = context({ kit: kitOf() });
  const data = {
    context: {
      ...{ kit, stash, week, book, seed: 1, usedElsewhere: [] },
      manner: 'scattered',
      options: { tapeMeters: 3, gap: 4, headers: 'none' as const },
    },
    own: { options: { gap: 4, headers: 'none' as const }, ways: { boxes: 2 } },
  };
  expect(mannerParts(data, { school: 'airy', options: { gap: 1 }, ways: {} })).toEqual({
    manner: 'airy',
    options: { tapeMeters: 3, gap: 1 },
    ways: {},
  });
});
