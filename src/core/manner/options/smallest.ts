import { number, option } from './option';

/** How small the owner writes where room is short, as a share of the hand (handbook P5). */
export const smallest = option<number>()(
  'smallest',
  number(0.6, 1, [1, 0.9, 0.8, 0.7], (n) => (n === 1 ? 'never smaller' : `down to ${Math.round(n * 100)} %`)),
  0.8,
  { group: 'Writing', label: 'Smaller writing where room is short' },
);
