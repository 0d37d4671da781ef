import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { isStrip } from '../../kit/kinds';
import type { Rect } from '../../measure/rect';
import { bottom, right } from '../../measure/rect';
import { planCuts } from '../exact/cutting-stock';
import type { Draft, Stage } from '../../spread/draft';
import type { Placement } from '../../spread/placement';

/**
 * The knife's plan over the whole spread: every length of washi and every list of the fresh placements is cut anew,
 * all of one design together, so that the fewest whole ones are begun; offcuts, also of earlier weeks, go first
 * (handbook L3, K5). What was there before keeps its copy and its cut.
 */
export const cutting: Stage = (before) => {
  const draft = before.clone();
  const designs = new Map<string, Placement[]>();
  for (const p of draft.placements) {
    const kind = draft.pieceOf(p)?.kind;
    if (!draft.kept.has(p.id) && (isStrip(kind) || (kind === 'checklist' && (draft.pieceOf(p)?.rows ?? 0) > 0)))
      designs.set(pieceKey(p), [...(designs.get(pieceKey(p)) ?? []), p]);
  }
  for (const parts of designs.values()) recut(draft, draft.pieceOf(parts[0] as Placement) as Piece, parts);
  return draft;
};

function recut(draft: Draft, piece: Piece, parts: readonly Placement[]): void {
  const along = isStrip(piece.kind);
  const unit = along ? 1 : piece.height / piece.rows;
  const whole = along ? piece.width : piece.rows;
  const ledger = draft.ledger.clone();
  for (const p of parts) ledger.giveBack(piece, p);
  const begins = Array.from({ length: piece.count }, (_, i) => {
    const used = ledger.partsOf(piece, i + 1).map((r: Rect) => (along ? right(r) : Math.ceil(bottom(r) / unit - 1e-6)));
    return Math.max(0, ...used);
  });
  const lengths = parts.map((p) => (along ? p.w : Math.round(p.h / unit)));
  const plan = planCuts(
    lengths,
    begins.map((from) => ({ length: whole - from, begun: from > 0 })),
  );
  const before = new Set(parts.filter((p) => begins[p.copy - 1] === 0).map((p) => p.copy)).size;
  if (plan.from.includes(null) || plan.opened >= before) return; // as it is, it is as good
  const at = [...begins];
  parts.forEach((p, i) => {
    const copy = (plan.from[i] as number) + 1;
    const from = at[copy - 1] as number;
    at[copy - 1] = from + (lengths[i] as number);
    const own: Rect = p.cut ?? { x: 0, y: 0, w: piece.width, h: piece.height };
    draft.recut(p.id, piece, { copy, cut: along ? { ...own, x: from } : { ...own, y: from * unit } });
  });
}
