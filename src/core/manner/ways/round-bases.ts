import { way, YES_NO } from './way';

/** Round bases and squares turned to diamonds come first. */
export const roundBases = way({
  key: 'roundBases',
  label: 'Round and diamond bases',
  group: 'Days',
  values: YES_NO,
  usual: false,
});
