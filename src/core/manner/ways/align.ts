import { way } from './way';

/** The common edge of what is narrower than its column (handbook F4). */
export const align = way({
  key: 'align',
  label: 'Pieces sit',
  group: 'Days',
  values: ['centered', 'flush left'],
  usual: 'centered',
});
