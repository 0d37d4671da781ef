import { option, words } from './option';

/** What is planned ahead; the rest stays open for writing in later. */
export const ahead = option<'all' | 'work' | 'skeleton'>()('ahead', words(['all', 'work', 'skeleton']), 'all', {
  group: 'Days',
  label: 'Planned ahead',
});
