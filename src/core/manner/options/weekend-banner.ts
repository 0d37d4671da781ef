import { option, yesOrNo } from './option';

/** A word banner over the weekend. */
export const weekendBanner = option<boolean>()('weekendBanner', yesOrNo(), true, {
  group: 'Color and finish',
  label: 'Weekend banner',
});
