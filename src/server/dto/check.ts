import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import type { ValidationError } from 'class-validator';
import { validateSync } from 'class-validator';
import { cleanText } from '../../core/measure/clean-text';
import { BadInput } from '../../core/format/fault';
import { quoted } from '../../core/format/fault';

/**
 * Checks what came in at a door against its class. @throws BadInput naming the property, what was found, what is
 * expected
 */
export function check<T extends object>(type: new () => T, value: unknown, door: string): T {
  const plain = plainly(value, door) ?? {};
  if (typeof plain !== 'object' || Array.isArray(plain))
    throw new BadInput([{ file: door, where: 'all of it', found: quoted(plain), expected: 'properties by name' }]);
  const instance = plainToInstance(type, plain);
  const errors = validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length) throw new BadInput(errors.flatMap((e) => faultsOf(e, door, '')).slice(0, 20));
  return instance;
}

/** Names that every object has by itself: the packages that read objects stumble over them. */
const OWN = new Set(Object.getOwnPropertyNames(Object.prototype));
const DEEPEST = 60;

/**
 * A value as JSON would have it: what is undefined is not there, and texts hold no controls.
 * @throws BadInput for names that no property has
 */
function plainly(value: unknown, door: string, depth = 0): unknown {
  if (typeof value === 'string') return cleanText(value);
  if (typeof value !== 'object' || value === null) return value;
  if (depth > DEEPEST) throw oddName('…', door);
  if (Array.isArray(value)) return value.map((part) => plainly(part, door, depth + 1));
  const parts = Object.entries(value).filter(([, part]) => part !== undefined);
  const odd = parts.find(([key]) => OWN.has(key));
  if (odd) throw oddName(odd[0], door);
  return Object.fromEntries(parts.map(([key, part]) => [key, plainly(part, door, depth + 1)]));
}

const oddName = (name: string, door: string): BadInput =>
  new BadInput([{ file: door, where: 'a name in it', found: quoted(name), expected: 'names of properties' }]);

function faultsOf(
  e: ValidationError,
  door: string,
  path: string,
): { file: string; where: string; found: string; expected: string }[] {
  const where = path ? `${path}.${e.property}` : e.property;
  const own = Object.values(e.constraints ?? {}).map((expected) => ({
    file: door,
    where,
    found: quoted(e.value),
    expected,
  }));
  return [...own, ...(e.children ?? []).flatMap((child) => faultsOf(child, door, where))];
}
