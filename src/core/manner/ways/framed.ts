import { way, YES_NO } from './way';

/** A strip above each full box and one below. */
export const framed = way({
  key: 'framed',
  label: 'Framed above and below',
  group: 'Boxes',
  values: YES_NO,
  usual: false,
});
