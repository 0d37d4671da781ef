import { way, YES_NO } from './way';

/** Date headers raised to win room in the column. */
export const raised = way({
  key: 'raised',
  label: 'Raise the dates for room',
  group: 'Base',
  values: YES_NO,
  usual: false,
});
