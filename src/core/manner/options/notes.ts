import { option, yesOrNo } from './option';

/** What has no room in its day may go to the notes of the sidebar or the bottom strip. */
export const notes = option<boolean>()('notes', yesOrNo(), false, {
  group: 'Writing',
  label: 'Overflow to the notes in sidebar and strip',
});
