import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import bookSchema from '../../../docs/formats/book.schema.json';
import kitSchema from '../../../docs/formats/kit.schema.json';
import spreadSchema from '../../../docs/formats/spread.schema.json';
import { MANNERS } from '../manner/registry';
import { optionsSchema } from './options-schema';
import type { Fault } from './fault';
import { BadInput, quoted } from './fault';

const ajv = new Ajv({ allErrors: true, verbose: true, strict: false });
/** Words of a schema that bound a value of the right kind. */
const BOUNDS = ['minimum', 'maximum', 'exclusiveMinimum', 'exclusiveMaximum', 'minItems', 'maxItems', 'minLength'];

/** The schema of what is of the right form, however large, small or few. */
const loosened = (schema: unknown): unknown =>
  JSON.parse(JSON.stringify(schema, (key, value: unknown) => ([...BOUNDS, '$id'].includes(key) ? undefined : value)));

const validators = {
  book: ajv.compile(bookSchema),
  /** a book that is being measured: its lengths may be anything for a while */
  'book draft': ajv.compile(loosened(bookSchema) as object),
  kit: ajv.compile(kitSchema),
  options: ajv.compile(optionsSchema()),
  spread: ajv.compile({
    ...spreadSchema,
    properties: { ...spreadSchema.properties, manner: { enum: Object.keys(MANNERS) } },
  }),
};

/**
 * Checks parsed JSON against a schema of docs/formats/.
 * @throws BadInput with the property, what was found and what is expected
 */
export function conform(schema: keyof typeof validators, value: unknown, file: string): void {
  const validate: ValidateFunction = validators[schema];
  if (validate(value)) return;
  throw new BadInput(
    (validate.errors ?? [])
      .filter((e) => e.keyword !== 'oneOf')
      .slice(0, 20)
      .map((e) => toFault(e, file)),
  );
}

function toFault(e: ErrorObject, file: string): Fault {
  const path = e.instancePath
    .slice(1)
    .replace(/\/(\d+)/g, '[$1]')
    .replace(/\//g, '.');
  const property = (given: string): string => {
    const name = given.trim() ? given : quoted(given);
    return path ? `${path}.${name}` : name;
  };
  const params = e.params as Record<string, unknown>;
  switch (e.keyword) {
    case 'required':
      return {
        file,
        where: property(String(params.missingProperty)),
        found: 'nothing',
        expected: 'a value, it must be there',
      };
    case 'additionalProperties':
      return {
        file,
        where: property(String(params.additionalProperty)),
        found: 'an unknown key',
        expected: `one of ${Object.keys((e.parentSchema?.properties ?? {}) as object).join(', ')}`,
      };
    case 'enum':
      return {
        file,
        where: path || 'the whole file',
        found: quoted(e.data),
        expected: `one of ${(params.allowedValues as unknown[]).join(', ')}`,
      };
    default:
      return {
        file,
        where: path || 'the whole file',
        found: quoted(e.data),
        expected: (e.message ?? 'another value').replace('must be', 'a value that is'),
      };
  }
}
