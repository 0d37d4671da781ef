/**
 * A search that knows nothing of how the engine fills: random exchanges of what lies for its looks (take off, move,
 * swap, put on), each kept where the eye's sum gets less. What it still finds, the engine left.
 */
import { dayColumn } from '../../src/core/book/columns';
import { eyeCost } from '../../src/core/eye/registry';
import { sightOf } from '../../src/core/eye/sight';
import type { Piece } from '../../src/core/kit/kit';
import { pieceKey } from '../../src/core/kit/kit';
import { randomFrom } from '../../src/core/measure/random';
import { bottom, intersect } from '../../src/core/measure/rect';
import { Draft } from '../../src/core/spread/draft';
import { keptFree } from '../../src/core/spread/free-room';
import type { Context, Placement } from '../../src/core/spread/placement';
import { footprint, pieceIndex } from '../../src/core/spread/placement';
import { restDays } from '../../src/core/spread/rest-days';
import { blanksOf } from './measure';

/** What it costs to peel one piece, in the eye's points; the engine's own pieces cost as much and more. */
const PEELED = 1;

/** @returns the eye's sum before and after so many tries */
export function exchangedAtRandom(c: Context, laid: readonly Placement[], tries: number, seed = 1): [number, number] {
  const random = randomFrom(seed * 7349 + 11);
  const below = (n: number): number => Math.floor(random() * n);
  const pieces = pieceIndex(c);
  const rest = restDays(c);
  const isOrnament = (p: Placement): boolean => p.role === 'finish' && p.day !== null && p.text === null;
  const sumOf = (list: readonly Placement[]): number =>
    eyeCost(sightOf(c, list)) + list.filter(isOrnament).length * PEELED;
  const mayLie = (list: readonly Placement[], p: Placement): boolean => {
    const column = p.day === null || rest.has(p.day) ? undefined : dayColumn(c.book, p.day);
    if (!column || p.y < column.y || bottom(p) > bottom(column) || p.x < column.x - 0.1) return false;
    if (p.x + p.w > column.x + column.w + 0.1) return false;
    const touched = list.filter((q) => q.page === p.page && intersect(footprint(q), footprint(p)));
    const lies = touched.every((q) => q.layer < p.layer && q.text === null && !q.items.length && isOpen(q));
    const kept = Math.max(0, ...blanksOf(column, [...list, p]).map((r) => r.h - 2 * c.options.gap));
    return lies && kept >= keptFree(c, p.day as number);
  };
  const isOpen = (q: Placement): boolean => {
    const kind = pieces.get(pieceKey(q))?.kind;
    return (
      kind === 'full-box' || kind === 'half-box' || kind === 'third-box' || (kind === 'deco' && q.role === 'finish')
    );
  };
  const placed = (piece: Piece, copy: number, id: string): Placement => {
    const day = below(7);
    const column = dayColumn(c.book, day) ?? { page: 0, x: 0, y: 0, w: 0, h: 0 };
    const [w, h] = [piece.width, piece.height];
    const x = [column.x, column.x + (column.w - w) / 2, column.x + column.w - w][below(3)] as number;
    const at = { page: column.page, x, y: column.y + random() * (column.h - h), w, h, day, layer: below(2) };
    return { ...(laid[0] as Placement), ...at, id, kit: piece.kit, code: piece.code, copy, turn: 0, cut: null, role: 'finish', items: [], text: null, ink: null }; // prettier-ignore
  };
  let list = [...laid];
  let best = sumOf(list);
  const before = best;
  for (let n = 0; n < tries; n++) {
    const own = list.filter(isOrnament);
    const [one, other] = [own[below(own.length)], own[below(own.length)]];
    const act = below(4);
    let next: Placement[] | null = null;
    if (act === 0 && one) next = list.filter((p) => p !== one);
    else if (act === 1 && one && !one.cut) {
      const piece = pieces.get(pieceKey(one)) as Piece;
      const rest = list.filter((p) => p !== one);
      const moved = placed(piece, one.copy, one.id);
      if (mayLie(rest, moved)) next = [...rest, moved];
    } else if (act === 2 && one && other && one !== other && one.w === other.w && one.h === other.h) {
      const design = ({ kit, code, copy }: Placement) => ({ kit, code, copy });
      const swapped = new Map([[one, design(other)], [other, design(one)]]); // prettier-ignore
      next = list.map((p) => ({ ...p, ...swapped.get(p) }));
    } else if (act === 3) {
      const { ledger } = Draft.begin(c, list);
      const left = c.kit.pieces.filter((p) => ['deco', 'half-box', 'third-box'].includes(p.kind) && ledger.untouched(p) > 0); // prettier-ignore
      const piece = left[below(left.length)];
      const taken = piece && ledger.take(piece);
      if (piece && taken) {
        const added = placed(piece, taken.copy, `x${n}`);
        if (mayLie(list, added)) next = [...list, added];
      }
    }
    const sum = next ? sumOf(next) : Infinity;
    if (next && sum < best) [list, best] = [next, sum];
  }
  return [before, best];
}
