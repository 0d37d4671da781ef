/** A JSON column does not hold what its table says it holds. */
export class BrokenColumn extends Error {
  constructor(expected: string, found: string) {
    super(`expected ${expected} in the database, found ${found.length > 80 ? `${found.slice(0, 79)}…` : found}`);
  }
}

function parsed(json: string, expected: string): unknown {
  try {
    return JSON.parse(json);
  } catch {
    throw new BrokenColumn(expected, json);
  }
}

/** A JSON column as what its reader takes it for. @throws BrokenColumn */
export function asValue<T>(json: string, isIt: (value: unknown) => value is T, expected: string): T {
  const value = parsed(json, expected);
  if (!isIt(value)) throw new BrokenColumn(expected, json);
  return value;
}

/** A JSON column as an object or a list. @throws BrokenColumn */
export function asObject(json: string): object {
  const value = parsed(json, 'an object');
  if (typeof value !== 'object' || value === null) throw new BrokenColumn('an object', json);
  return value;
}

/** A JSON column as a list of strings. @throws BrokenColumn */
export function asStrings(json: string): string[] {
  const value = parsed(json, 'a list of strings');
  if (!Array.isArray(value) || !value.every((v): v is string => typeof v === 'string'))
    throw new BrokenColumn('a list of strings', json);
  return value;
}

/** A JSON column as a rectangle in mm; null where it is empty. @throws BrokenColumn */
export function asRect(json: string | null): { x: number; y: number; w: number; h: number } | null {
  if (json === null) return null;
  const value = parsed(json, 'a rectangle');
  const isRect =
    typeof value === 'object' &&
    value !== null &&
    (['x', 'y', 'w', 'h'] as const).every((k) => typeof (value as Record<string, unknown>)[k] === 'number');
  if (!isRect) throw new BrokenColumn('a rectangle', json);
  return value as { x: number; y: number; w: number; h: number };
}
