import 'reflect-metadata';
import { plainToInstance } from 'class-transformer';
import type { ValidationError } from 'class-validator';
import { validateSync } from 'class-validator';
import { BadInput } from '../../core/format/fault';
import { quoted } from '../../core/format/fault';

/**
 * Checks what came in at a door against its class. @throws BadInput naming the property, what was found, what is
 * expected
 */
export function check<T extends object>(type: new () => T, value: unknown, door: string): T {
  const instance = plainToInstance(type, value ?? {});
  const errors = validateSync(instance, { whitelist: true, forbidNonWhitelisted: true, forbidUnknownValues: true });
  if (errors.length) throw new BadInput(errors.flatMap((e) => faultsOf(e, door, '')).slice(0, 20));
  return instance;
}

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
