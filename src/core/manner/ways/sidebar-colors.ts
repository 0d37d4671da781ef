import { way } from './way';

/** The sidebar in one family of colors, or each of its sections in another. */
export const sidebarColors = way({
  key: 'sidebarColors',
  label: 'Sidebar colors',
  group: 'Color and finish',
  values: ['varied', 'one family'],
  usual: 'varied',
});
