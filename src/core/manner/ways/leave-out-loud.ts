import { way, YES_NO } from './way';

/** Leaves a color out of the headers’ sequence that shouts. */
export const leaveOutLoud = way({
  key: 'leaveOutLoud',
  label: 'Leave a loud color out',
  group: 'Headers and lists',
  values: YES_NO,
  usual: true,
});
