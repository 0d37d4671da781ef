import { way, YES_NO } from './way';

/** Two strips under the weekend banner. */
export const bannerGround = way({
  key: 'bannerGround',
  label: 'Strips under the banner',
  group: 'Color and finish',
  values: YES_NO,
  usual: true,
});
