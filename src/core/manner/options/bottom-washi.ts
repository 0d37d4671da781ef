import { option, words } from './option';

/** Strips along the foot of the pages (handbook B2). */
export const bottomWashi = option<'one' | 'two' | 'none'>()('bottomWashi', words(['one', 'two', 'none']), 'one', {
  group: 'Base',
  label: 'Bottom washi',
  often: true,
});
