import { way, YES_NO } from './way';

/** The printed rows are a system with a job for each row, or only marks to hide. */
export const keepsRows = way({
  key: 'keepsRows',
  label: 'Keep the three rows',
  group: 'Boxes',
  values: YES_NO,
  usual: false,
});
