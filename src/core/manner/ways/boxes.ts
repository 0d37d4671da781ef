import { way } from './way';

/** Full boxes wanted in a week, one a day at most. */
export const boxes = way<'boxes', number>({
  key: 'boxes',
  label: 'Full boxes a week',
  group: 'Boxes',
  often: true,
  values: [0, 1, 2, 3, 4, 5, 6, 7],
  usual: 7,
});
