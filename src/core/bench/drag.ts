import type { Edge, Step } from './step';

/** What came of dragging steps: the new order, or what is in the way. */
export type Dragged =
  | { readonly ok: true; readonly sequence: readonly string[] }
  /** `before` must stay before `after` */
  | { readonly ok: false; readonly blocked: Edge };

/**
 * Steps dragged to before another one, or to the end.
 * @param moved keys of one step, or of a group; they keep their order
 * @param before key of the step that they go before; null: the end
 */
export function dragged(
  steps: readonly Pick<Step, 'key'>[],
  edges: readonly Edge[],
  moved: readonly string[],
  before: string | null,
): Dragged {
  const going = new Set(moved);
  const rest = steps.map((s) => s.key).filter((key) => !going.has(key));
  const at = before === null ? rest.length : rest.indexOf(before);
  const own = steps.map((s) => s.key).filter((key) => going.has(key));
  const sequence = [...rest.slice(0, at < 0 ? rest.length : at), ...own, ...rest.slice(at < 0 ? rest.length : at)];
  const place = new Map(sequence.map((key, i) => [key, i]));
  const blocked = edges.find((e) => (place.get(e.before) ?? -1) > (place.get(e.after) ?? Infinity));
  return blocked ? { ok: false, blocked } : { ok: true, sequence };
}
