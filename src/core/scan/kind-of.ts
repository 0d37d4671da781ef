import type { Kind, Shape } from '../kit/kinds';
import { KIND_NAMES, traits } from '../kit/kinds';

/** Kinds that are not told by their looks alone: each looks like another one, which is guessed instead. */
const NEVER: ReadonlySet<Kind> = new Set<Kind>(['overlay', 'quote-box', 'extender', 'week-tracker', 'habit-tracker']);

/** How much a wrong outline, or rows where none should be, counts against a size that is wrong by a factor e. */
const SHAPE = 0.35;
const ROWS = 1.2;

/** What a piece most likely is, by size, outline and rows; `sure` when nothing else comes near. Sizes in mm. */
export function kindOf(width: number, height: number, shape: Shape, rows: number): { kind: Kind; sure: boolean } {
  const ranked = KIND_NAMES.filter((k) => !NEVER.has(k))
    .map((kind) => ({ kind, cost: costOf(kind, width, height, shape, rows) }))
    .sort((p, q) => p.cost - q.cost);
  const [first, second] = ranked as [(typeof ranked)[0], (typeof ranked)[0]];
  return { kind: first.kind, sure: first.cost < 0.5 && second.cost - first.cost > 0.06 };
}

function costOf(kind: Kind, width: number, height: number, shape: Shape, rows: number): number {
  const { usual, shape: own, strip } = traits(kind);
  // a strip is as long as it happens to be
  const length = strip ? Math.max(0, Math.log((usual[0] * 0.5) / width)) : Math.abs(Math.log(width / usual[0]));
  const size = length + Math.abs(Math.log(height / usual[1]));
  const looks = own === shape || (shape === 'rounded' && own === 'rect') ? 0 : SHAPE;
  const list = kind === 'checklist' ? (rows ? 0 : 0.6) : rows ? ROWS : 0;
  const free = own === 'free' && (shape === 'free' || shape === 'circle' || shape === 'heart') ? -0.1 : 0;
  return size + looks + list + free;
}
