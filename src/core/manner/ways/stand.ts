import { STAND_NAMES } from '../rhythm';
import { way } from './way';

/** How high the full boxes stand over the week (handbook W4). */
export const stand = way({
  key: 'stand',
  label: 'They stand',
  group: 'Boxes',
  often: true,
  values: STAND_NAMES,
  usual: 'up-and-down',
});
