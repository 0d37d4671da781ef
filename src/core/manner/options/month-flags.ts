import { option, yesOrNo } from './option';

/** Printed month flags go (handbook B6). */
export const monthFlags = option<boolean>()('monthFlags', yesOrNo(), true, {
  group: 'Base',
  label: 'Cover month flags',
});
