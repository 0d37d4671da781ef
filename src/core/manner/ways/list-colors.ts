import { SEQUENCES } from '../sequence';
import { way } from './way';

/** In which order the lists take their colors over the week. */
export const listColors = way({
  key: 'listColors',
  label: 'List colors',
  group: 'Headers and lists',
  values: SEQUENCES,
  usual: 'alternating',
});
