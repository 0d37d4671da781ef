import type { Ground } from './rung';

/** What is worked out once for a ground, and for all that share what it is grouped by. */
export function oncePerGround<T>(work: (ground: Ground) => T): (ground: Ground) => T {
  const known = new WeakMap<object, { readonly worked: T }>();
  return (ground) => {
    const key = ground.shared ?? ground;
    const { worked } = known.get(key) ?? { worked: work(ground) };
    known.set(key, { worked });
    return worked;
  };
}
