import { way, YES_NO } from './way';

/** A picture of a thing stands for its chore, with nothing written: a watering can for watering (handbook 3, deco). */
export const picturesServe = way({
  key: 'picturesServe',
  label: 'Pictures stand for chores',
  group: 'Days',
  values: YES_NO,
  usual: true,
});
