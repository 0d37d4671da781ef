import { hashOf } from '../measure/random';

/**
 * A short name for how a value stands: the same for the same value, another as soon as anything in it changes. A form
 * remembers by it what it was opened with. The order of keys does not count, nor does a key without a value.
 */
export function imageOf(value: unknown): string {
  const text = JSON.stringify(value, sorted) ?? '';
  return [text.length, hashOf(text), hashOf(`${text} again`)].map((n) => n.toString(36)).join('-');
}

/** An object as its entries by name, marked as such: `{a: 1}` is not `[["a", 1]]`. */
const sorted = (_: string, value: unknown): unknown =>
  value !== null && typeof value === 'object' && !Array.isArray(value)
    ? [
        'object',
        ...Object.entries(value)
          .filter(([, v]) => v !== undefined)
          .sort(([a], [b]) => (a < b ? -1 : 1)),
      ]
    : value;
