import { dayColumn, runsOfDays } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { traits } from '../../kit/kinds';
import { textFits } from '../../measure/hand';
import type { Rect } from '../../measure/rect';
import type { Demand } from '../../week/demand';
import { writtenText } from '../../week/demand';
import { shortDay } from '../../week/day-names';
import { isPlannedAhead } from '../../spread/ahead';
import { FOREIGN, byCost, piecesOf, strangeness } from '../../spread/choose';
import type { Draft, Stage } from '../../spread/draft';
import { PAPER, inkFor } from '../../spread/ink';
import { firstFree } from '../../spread/free-room';
import type { Context } from '../../spread/placement';
import { matchDemands } from '../../spread/placement';
import { trimTo } from '../../spread/trim';
import { baseOf, paperHeight, writingRoom } from '../../spread/writing';

/**
 * What runs over several days is one band over them, a strip with its name on it, split where pages part (handbook
 * D8).
 */
export const bands: Stage = (before, context) => {
  const draft = before.clone();
  const placed = matchDemands(draft.placements, context.week.demands);
  for (const band of context.week.demands.filter(
    (d) => d.kind === 'band' && !placed.has(d.key) && isPlannedAhead(d, context),
  )) {
    const days = Array.from({ length: band.lastDay - band.day + 1 }, (_, i) => band.day + i);
    for (const run of runsOfDays(context.book, days))
      layRun(draft, context, band, { ...run, name: nameLabel(draft, context, band, run.span.w) });
  }
  return draft;
};

interface Run {
  readonly page: number;
  readonly days: number[];
  readonly span: Rect;
  readonly name: { piece: Piece; cut: Rect | null } | null;
}

function layRun(draft: Draft, context: Context, band: Demand, run: Run): void {
  const { piece, cut } = run.name ?? { piece: null, cut: null };
  if (!piece) return inInk(draft, context, band, run);
  const h = piece.height;
  const y = firstFree(draft, context, run.days, h);
  if (y === null) return;
  const label = draft.ledger.take(piece, cut);
  if (!label) return;
  const strip = byCost(piecesOf(context, 'washi'), (p) => {
    const strange = strangeness(p, context);
    return p.height > h || strange > FOREIGN || draft.ledger.longest(p) < run.span.w
      ? Infinity
      : strange + Math.abs(p.height - h * 0.8);
  })[0];
  const length = strip && run.days.length > 1 ? draft.ledger.takeLength(strip, run.span.w, strip.height) : null;
  if (strip && length) {
    draft.add(strip, length, {
      page: run.page,
      x: run.span.x,
      y: y + (h - strip.height) / 2,
      role: 'day',
      day: run.days[0],
    });
  }
  const until = length || run.days.length === 1 ? '' : ` → ${shortDay(context.week.days[band.lastDay] as string)}`;
  draft.add(piece, label, {
    page: run.page,
    x: run.span.x,
    y,
    role: 'day',
    day: run.days[0],
    layer: length ? 1 : 0,
    items: [band.uid],
    text: `${writtenText(band)}${until}`,
    ink: inkFor(piece),
  });
}

/** Where no label is left: its name in ink on its first day, with an arrow to its last one (handbook K7). */
function inInk(draft: Draft, context: Context, band: Demand, run: Run): void {
  if (!context.options.onPaper) return;
  const days = run.days.length > 1 ? ` → ${shortDay(context.week.days[band.lastDay] as string)}` : '';
  const text = `${writtenText(band)}${days}`;
  const day = run.days[0] as number;
  const w = dayColumn(context.book, day)?.w ?? run.span.w;
  const h = paperHeight([text], w, context.options.hand);
  const y = firstFree(draft, context, [day], h);
  if (y === null) return;
  const place = { x: run.span.x, y, w, h };
  const at = { page: run.page, role: 'day' as const, day };
  draft.write({ ...at, ...place, items: [band.uid], text, ink: inkFor(PAPER) });
}

/** The lowest label that takes the band's name; it lies at the band's beginning. */
function nameLabel(
  draft: Draft,
  context: Context,
  band: Demand,
  width: number,
): { piece: Piece; cut: Rect | null } | null {
  const text = `${writtenText(band)} → Sun`;
  const columnWidth = dayColumn(context.book, band.day)?.w ?? width;
  for (const piece of byCost(piecesOf(context, 'label', 'flag', 'quarter-box', 'third-box'), (p) =>
    traits(p.kind).carriesItem &&
    p.writable !== 'no' &&
    !p.words &&
    draft.ledger.untouched(p) > 0 &&
    strangeness(p, context) <= FOREIGN
      ? strangeness(p, context) + p.height
      : Infinity,
  )) {
    const cut = trimTo(piece, columnWidth);
    if (cut === undefined) continue;
    const room = writingRoom(baseOf(piece, { w: cut?.w ?? piece.width, h: piece.height }));
    if (textFits(text, room.w, room.h, context.options.hand)) return { piece, cut };
  }
  return null;
}
