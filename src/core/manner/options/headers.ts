import { SEQUENCES } from '../sequence';
import type { Sequence } from '../sequence';
import { option, words } from './option';

/** In which order the headers take their colors (handbook C4); or no headers. */
export const headers = option<Sequence | 'none'>()('headers', words([...SEQUENCES, 'none']), 'alternating', {
  group: 'Headers and lists',
  label: 'Header colors',
  often: true,
});
