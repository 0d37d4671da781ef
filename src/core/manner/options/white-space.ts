import { number, option } from './option';

/** Wanted free share of a day’s area (handbook W1). */
export const whiteSpace = option<number>()(
  'whiteSpace',
  number(0, 0.9, [0.05, 0.1, 0.2, 0.3, 0.4, 0.5, 0.6], (n) => `${Math.round(n * 100)} %`),
  0.05,
  { group: 'Days', label: 'White space', often: true },
);
