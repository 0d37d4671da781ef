import { way } from './way';

/** Pictures spread over the week, in one cluster, or none. */
export const deco = way({
  key: 'deco',
  label: 'Deco',
  group: 'Color and finish',
  often: true,
  values: ['spread', 'cluster', 'none'],
  usual: 'spread',
});
