import { isOf } from '../kit/is-of';
import { isStrip } from '../kit/kinds';
import { isRoll, pieceKey } from '../kit/kit';
import { copyKey } from '../kit/ledger';
import { worthKeeping } from '../kit/offcut';
import type { Context, Placement } from '../spread/placement';
import { isWriting, pieceIndex } from '../spread/placement';
import type { Bench } from './bench';
import { strokesOf, tapeLength } from './strokes';

/** What a spread takes, before the knife (handbook K4, K5). */
export interface Totals {
  /** mm of correction tape */
  readonly tape: number;
  /** mm from each roll, the longest first */
  readonly washi: readonly {
    readonly kit: string;
    readonly code: string;
    readonly mm: number;
    readonly pieces: number;
  }[];
  /** strips that come off sheets, and their length, mm */
  readonly strips: { readonly count: number; readonly mm: number };
  /** stickers laid; of them stacks that are built on the backing */
  readonly pieces: number;
  readonly stacks: number;
  /** stickers that go under the knife, and the parts that come of them */
  readonly cut: number;
  readonly parts: number;
  /** rows of lists that are used, and texts to write */
  readonly rows: number;
  readonly texts: number;
  /** sheets of its kits that are taken from */
  readonly sheets: number;
  /** leftovers worth keeping */
  readonly kept: number;
  /** of its own kit, stickers that nobody has touched by then, of all there were */
  readonly left: { readonly whole: number; readonly all: number };
}

export function totalsOf(context: Context, bench: Bench): Totals {
  const index = pieceIndex(context);
  const stickers = bench.placements.filter((p) => !isWriting(p));
  const rolls = new Map<string, { kit: string; code: string; mm: number; pieces: number }>();
  const sheets = new Set<string>();
  let rows = 0;
  let strips = { count: 0, mm: 0 };
  for (const p of stickers) {
    const piece = index.get(pieceKey(p));
    if (!piece) continue;
    if (isRoll(piece)) {
      const known = rolls.get(pieceKey(p)) ?? { kit: p.kit, code: p.code, mm: 0, pieces: 0 };
      rolls.set(pieceKey(p), { ...known, mm: known.mm + (p.cut?.w ?? p.w), pieces: known.pieces + 1 });
    } else sheets.add(`${p.kit}/${piece.sheet}`);
    if (isStrip(piece.kind) && !isRoll(piece)) strips = { count: strips.count + 1, mm: strips.mm + Math.max(p.w, p.h) };
    if (piece.kind === 'checklist' && piece.rows > 0)
      rows += p.cut ? Math.round(p.cut.h / (piece.height / piece.rows)) : piece.rows;
  }
  return {
    tape: tapeLength(strokesOf({ book: context.book, placements: bench.placements }, bench.whiteOut)),
    washi: [...rolls.values()].sort((a, b) => b.mm - a.mm),
    strips,
    pieces: new Set(stickers.map(copyKey)).size,
    stacks: bench.steps.filter((s) => s.do === 'stack').length,
    cut: bench.cuts.length,
    parts: bench.cuts.reduce((n, c) => n + c.pieces.length, 0),
    rows,
    texts: bench.placements.filter((p) => p.text).length,
    sheets: sheets.size,
    left: leftOf(context, stickers),
    kept: bench.cuts.reduce((n, c) => n + c.left.filter(worthKeeping).length, 0),
  };
}

function leftOf({ kit, usedElsewhere }: Context, stickers: readonly Pick<Placement, 'kit' | 'code' | 'copy'>[]) {
  const touched = new Set([...stickers, ...usedElsewhere].filter((p) => isOf(kit, p)).map(copyKey));
  const all = kit.pieces.reduce((n, p) => n + p.count, 0);
  return { whole: Math.max(0, all - touched.size), all };
}
