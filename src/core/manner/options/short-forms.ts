import { option } from './option';

/** A word, and how its owner writes it where the whole word does not fit: `appointment`, `appt`. */
export interface ShortForm {
  readonly word: string;
  readonly short: string;
}

/** Words that the owner writes shorter where the whole word does not fit, such as `w/` for `with`. */
export type ShortForms = Readonly<Record<string, string>>;

/** The owner’s own short forms; the house’s, unless a week has others. */
export const shortForms = option<ShortForms>()(
  'shortForms',
  {
    schema: {
      type: 'object',
      maxProperties: 200,
      additionalProperties: { type: 'string', minLength: 1, maxLength: 40 },
    },
    choices: [],
  },
  {},
);
