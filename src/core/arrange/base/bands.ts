import { dayColumn, runsOfDays } from '../../book/columns';
import type { Piece } from '../../kit/kit';
import { traits } from '../../kit/kinds';
import type { Hand } from '../../measure/hand';
import { lettersOn, textFits } from '../../measure/hand';
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
import { baseOf, paperHeight, paperRoom, writingRoom } from '../../spread/writing';

/**
 * What runs over several days is one band over them, a strip with its name on it, split where pages part (handbook
 * D8); without a strip a line of ink, a word at each end.
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

/** What it costs to cut a strip along its length. From memory. */
const CUT_LOWER = 3;
/** mm between a label and the line after it. From memory. */
const AFTER_LABEL = 1;
/** A dash is as wide as so many letters of a hand: 0.566 em in the font that stands for it, and a letter 0.46. */
const DASH = 1.25;
/** A line of fewer dashes is none. From memory. */
const SHORTEST = 3;

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
    return strange > FOREIGN || draft.ledger.longest(p) < run.span.w
      ? Infinity
      : strange + Math.abs(p.height - h * 0.8) + (p.height > h ? CUT_LOWER : 0);
  })[0];
  const high = strip ? Math.min(strip.height, h) : 0;
  const length = strip && run.days.length > 1 ? draft.ledger.takeLength(strip, run.span.w, high) : null;
  if (strip && length) {
    draft.add(strip, length, {
      page: run.page,
      x: run.span.x,
      y: y + (h - high) / 2,
      role: 'day',
      day: run.days[0],
    });
  }
  const width = cut?.w ?? piece.width;
  const isLined = !length && run.days.length > 1 && lineAfter(draft, context, band, run, { y, h, width });
  const until = length || isLined || run.days.length === 1 ? '' : ` → ${lastDayOf(context, band)}`;
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

/** Where no label is left: its name, a line and its last day in ink; else its name with an arrow (handbook K7). */
function inInk(draft: Draft, context: Context, band: Demand, run: Run): void {
  if (!context.options.onPaper) return;
  const { hand } = context.options;
  const isOne = run.days.length === 1;
  const day = run.days[0] as number;
  const w = dayColumn(context.book, day)?.w ?? run.span.w;
  const write = (days: number[], text: string, wide: number): boolean => {
    const h = paperHeight([text], wide, hand);
    const y = firstFree(draft, context, days, h);
    if (y === null) return false;
    const place = { page: run.page, day, x: run.span.x, y, w: wide, h };
    draft.write({ ...place, role: 'day', items: [band.uid], text, ink: inkFor(PAPER) });
    return true;
  };
  const lined = isOne ? null : lineOf(hand, run.span.w, writtenText(band), lastDayOf(context, band));
  if (lined && write(run.days, lined, run.span.w)) return;
  write([day], `${writtenText(band)}${isOne ? '' : ` → ${lastDayOf(context, band)}`}`, w);
}

const lastDayOf = ({ week }: Context, band: Demand): string => shortDay(week.days[band.lastDay] as string);

/** A band's line in ink, from its label to its last day. @returns false where the paper takes none */
function lineAfter(
  draft: Draft,
  context: Context,
  band: Demand,
  run: Run,
  label: { readonly y: number; readonly h: number; readonly width: number },
): boolean {
  const { hand, onPaper } = context.options;
  const w = run.span.w - label.width - AFTER_LABEL;
  const text = onPaper ? lineOf(hand, w, '', lastDayOf(context, band)) : null;
  if (text === null || hand.linePitch > label.h) return false;
  const place = { x: run.span.x + label.width + AFTER_LABEL, y: label.y + (label.h - hand.linePitch) / 2, w };
  draft.write({ ...place, page: run.page, h: hand.linePitch, role: 'day', day: run.days[0], text, ink: inkFor(PAPER) });
  return true;
}

/** A word, a line and a word that together are as wide as so many mm; null where there is no room for a line. */
function lineOf(hand: Hand, width: number, first: string, last: string): string | null {
  const room = lettersOn(hand, paperRoom({ w: width, h: 0 }).w) - [...`${first} ${last} `].length;
  const left = Math.floor(room / DASH);
  return left < SHORTEST ? null : `${first} ${'—'.repeat(left)} ${last}`.trim();
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
