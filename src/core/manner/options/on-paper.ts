import { option, yesOrNo } from './option';

/** An item without a base may be written straight onto the paper (handbook K7). */
export const onPaper = option<boolean>()('onPaper', yesOrNo(), true, {
  group: 'Writing',
  label: 'Write on the paper when bases are gone',
});
