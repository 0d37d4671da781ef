import type { Region } from '../../book/book';
import { regionsOf } from '../../book/columns';
import { TOLERANCE } from '../../measure/length';
import { bottom, right } from '../../measure/rect';
import { byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Stage } from '../../spread/draft';
import { trimTo } from '../../spread/trim';

/**
 * Where the bottom strip ends beside the sidebar, an extender carries its washi into the sidebar's foot: a length of
 * the same washi, or a piece made for it (handbook 3).
 */
export const extender: Stage = (before, context) => {
  const bar = regionsOf(context.book, 'sidebar')[0];
  const strip = bar && stripBeside(regionsOf(context.book, 'bottom-strip'), bar);
  if (!bar || !strip || context.options.bottomWashi === 'none') return before;
  const draft = before.clone();
  const foot = { x: bar.x, y: strip.y, w: strip.x - bar.x, h: strip.h };
  const floors = draft.lyingIn(strip.page, strip).filter((p) => p.role === 'base');
  if (!floors.length || draft.lyingIn(bar.page, { ...foot, w: bar.w }).length) return draft;
  for (const floor of floors.filter((p) => p.x <= strip.x + TOLERANCE)) {
    const same = draft.pieceOf(floor);
    const length = same && draft.ledger.longest(same) >= foot.w ? draft.ledger.takeLength(same, foot.w, floor.h) : null;
    if (same && length) {
      draft.add(same, length, { page: bar.page, x: foot.x, y: floor.y, role: 'base' });
      continue;
    }
    const made = byCost(piecesOf(context, 'extender'), (p) =>
      draft.ledger.untouched(p) > 0 && trimTo({ ...p, kind: 'full-box' }, foot.w, floor.h) !== undefined
        ? strangeness(p, context) + Math.abs(p.height - floor.h)
        : Infinity,
    )[0];
    const cut = made ? (trimTo({ ...made, kind: 'full-box' }, foot.w, floor.h) ?? null) : null;
    const taken = made && draft.ledger.take(made, cut);
    if (made && taken)
      draft.add(made, taken, {
        page: bar.page,
        x: right(foot) - (cut?.w ?? made.width),
        y: floor.y + (floor.h - (cut?.h ?? made.height)) / 2,
        role: 'base',
      });
  }
  return draft;
};

/** The strip that begins right of a sidebar which reaches down beside it. */
const stripBeside = (strips: readonly Region[], bar: Region): Region | undefined =>
  strips.find(
    (s) => s.page === bar.page && s.x >= right(bar) - TOLERANCE && s.y >= bar.y && bottom(s) <= bottom(bar) + TOLERANCE,
  );
