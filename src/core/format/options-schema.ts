import { OPTIONS } from '../manner/options/registry';
import { WAYS } from '../manner/ways/registry';

/**
 * JSON Schema of options.json, made from the registries of options and ways, so that a new one is known here too.
 * `npm run schemas` writes it to docs/formats/.
 */
export const optionsSchema = () => ({
  $schema: 'http://json-schema.org/draft-07/schema#',
  $id: 'hobnail.options/1',
  title: "Options: the owner's settings for one spread. A missing key takes the school's habit.",
  type: 'object',
  additionalProperties: false,
  properties: {
    ...Object.fromEntries(OPTIONS.map((o) => [o.key, o.schema])),
    ways: {
      type: 'object',
      additionalProperties: false,
      properties: Object.fromEntries(WAYS.map((w) => [w.key, { enum: w.values }])),
    },
  },
});
