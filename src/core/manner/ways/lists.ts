import { way } from './way';

/** Where a day’s lists stand. */
export const lists = way({
  key: 'lists',
  label: 'Lists stand',
  group: 'Headers and lists',
  often: true,
  values: ['by time', 'top', 'foot'],
  usual: 'by time',
});
