import { option, yesOrNo } from './option';

/** Full boxes that can be written on carry items. */
export const writeOnBoxes = option<boolean>()('writeOnBoxes', yesOrNo(), false, {
  group: 'Boxes',
  label: 'Write on them',
  often: true,
});
