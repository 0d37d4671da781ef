import { way } from './way';

/** Times written before the words, or in small circles of their own beside them. */
export const times = way({
  key: 'times',
  label: 'Times',
  group: 'Days',
  values: ['written', 'in circles'],
  usual: 'written',
});
