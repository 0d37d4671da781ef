import { option, yesOrNo } from './option';

/** Only the week’s own kit is used. */
export const kitOnly = option<boolean>()('kitOnly', yesOrNo(), false, {
  group: 'Color and finish',
  label: 'Nothing from the stash',
  often: true,
});
