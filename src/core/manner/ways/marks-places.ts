import { way, YES_NO } from './way';

/** What is not planned ahead keeps a marked empty place, to be written in afterwards (handbook 4). */
export const marksPlaces = way({
  key: 'marksPlaces',
  label: 'Mark places for the rest',
  group: 'Days',
  values: YES_NO,
  usual: true,
});
