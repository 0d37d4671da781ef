import { way } from './way';

/** Texts near the binding are written with all others, or before their stickers go down (handbook P3). */
export const nearBinding = way({
  key: 'nearBinding',
  label: 'Near the binding',
  group: 'Days',
  values: ['ink last', 'written first'],
  usual: 'ink last',
});
