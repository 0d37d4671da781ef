import type { Edge } from './step';

/**
 * A topological order (Kahn, 1962): of all that may come next, the one of the lowest rank.
 * @param keys in the order that is wanted
 * @param edges what must come before what; of two that ask for each other the one wanted first comes first
 */
export function inOrder(keys: readonly string[], edges: readonly Edge[]): string[] {
  const waiting = new Map(keys.map((key) => [key, new Set<string>()]));
  const frees = new Map<string, string[]>();
  for (const { before, after } of edges) {
    if (!waiting.has(before) || before === after) continue;
    waiting.get(after)?.add(before);
    frees.set(before, [...(frees.get(before) ?? []), after]);
  }
  const order: string[] = [];
  while (waiting.size) {
    let next: string | undefined;
    for (const key of keys) {
      const before = waiting.get(key);
      if (before === undefined) continue;
      next ??= key; // in a circle the first
      if (before.size) continue;
      next = key;
      break;
    }
    if (next === undefined) break;
    order.push(next);
    waiting.delete(next);
    for (const after of frees.get(next) ?? []) waiting.get(after)?.delete(next);
  }
  return order;
}

/**
 * Keys in the order that their owner dragged them to: those that it knows as it has them, each new one behind the one
 * that it would come behind by itself.
 */
export function asDragged(keys: readonly string[], sequence: readonly string[]): string[] {
  const there = new Set(keys);
  const known = new Set(sequence);
  const order = sequence.filter((key) => there.has(key));
  keys.forEach((key, i) => {
    if (known.has(key)) return;
    const at = i ? order.indexOf(keys[i - 1] as string) : -1;
    order.splice(at + 1, 0, key);
  });
  return order;
}
