import { placeHeight } from '../../spread/open-places';
import type { Rung } from './rung';

/** An empty place for what is written in later; nothing is laid there. */
export const open: Rung = {
  name: 'open place',
  says: 'An empty place kept for what is written in afterwards.',
  choices: (block, { context, width }) =>
    block.open
      ? [
          {
            rung: 'open place',
            height: placeHeight(block.demands, width, context.options.hand),
            cost: 0,
            uses: null,
            lay: () => true,
          },
        ]
      : [],
};
