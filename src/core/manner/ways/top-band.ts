import { way, YES_NO } from './way';

/** A band of flowers and strips along the top, date headers lowered under it. */
export const topBand = way({
  key: 'topBand',
  label: 'Band along the top',
  group: 'Base',
  values: YES_NO,
  usual: false,
});
