import { option, words } from './option';

/** Littles as one block, or each at its own time. */
export const littles = option<'stacked' | 'spaced'>()('littles', words(['spaced', 'stacked']), 'spaced', {
  group: 'Days',
  label: 'Littles',
  often: true,
});
