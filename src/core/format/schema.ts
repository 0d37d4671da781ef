import Ajv, { type ErrorObject, type ValidateFunction } from 'ajv';
import bookSchema from '../../../docs/formats/book.schema.json';
import spreadSchema from '../../../docs/formats/spread.schema.json';
import { MANNERS } from '../manner/registry';
import { optionsSchema } from './options-schema';
import type { Fault } from './fault';
import { BadInput, quoted } from './fault';

const ajv = new Ajv({ allErrors: true, verbose: true, strict: false });
const validators = {
  book: ajv.compile(bookSchema),
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

/** Parses JSON text. @throws BadInput with the line where it stops making sense */
export function parseJson(text: string, file: string): unknown {
  const clean = text.replace(/^\uFEFF/, '');
  try {
    return JSON.parse(clean);
  } catch (error) {
    const said = error instanceof Error ? error.message : String(error);
    const position = /position (\d+)/.exec(said)?.[1];
    const at = position === undefined ? clean.length : Number(position);
    const line = clean.slice(0, at).split('\n').length;
    throw new BadInput([
      {
        file,
        where: `line ${line}`,
        found: quoted(clean.slice(at, at + 20) || 'the end of the file'),
        expected: 'JSON',
      },
    ]);
  }
}

function toFault(e: ErrorObject, file: string): Fault {
  const path = e.instancePath
    .slice(1)
    .replace(/\/(\d+)/g, '[$1]')
    .replace(/\//g, '.');
  const property = (name: string) => (path ? `${path}.${name}` : name);
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
        where: path,
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
