import { way } from './way';

/** Which of the weekend’s days the banner takes. */
export const banner = way({
  key: 'banner',
  label: 'The banner lies over',
  group: 'Color and finish',
  values: ['both days', 'mostly Saturday'],
  usual: 'both days',
});
