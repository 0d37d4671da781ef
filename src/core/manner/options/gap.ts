import { number, option } from './option';

/** Wanted millimeters between items. */
export const gap = option<number>()(
  'gap',
  number(0, 50, [1, 1.5, 2, 2.5, 3, 4, 5], (n) => `${n} mm`),
  2,
  { group: 'Days', label: 'Gap between items' },
);
