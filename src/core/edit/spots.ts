import { alignX } from '../spread/align';
import { Draft } from '../spread/draft';
import { freeStretches, lengthOf } from '../spread/free-room';
import type { Context, Placement, Role } from '../spread/placement';
import { trimTo } from '../spread/trim';
import { counted } from '../spread/voice';
import type { Region } from '../book/book';
import { dayColumn, regionsOf } from '../book/columns';
import { isStrip, traits } from '../kit/kinds';
import type { Piece } from '../kit/kit';
import { ruled } from '../measure/fraction';
import { tidy } from '../measure/length';
import type { Rect } from '../measure/rect';
import { bottom, intersect } from '../measure/rect';
import { longDay } from '../week/day-names';
import type { Change } from './change';
import { thingOfPiece } from './thing';

/** A place where a picked piece may go, and what that costs. */
export interface Spot extends Rect {
  readonly page: number;
  readonly day: number | null;
  readonly role: Role;
  readonly cut: Rect | null;
  /** rows of a list that has no room for all of its own */
  readonly rows?: number;
  /** `Thursday: fits`, `Monday: trim 9.3 mm off its width` */
  readonly say: string;
}

/**
 * The places a piece from the kit or the stash may go now: headers for covers, strips for washi, the first free
 * stretch of each column for the rest.
 */
export function spotsFor(context: Context, placements: readonly Placement[], piece: Piece): Spot[] {
  const found = allSpots(context, placements, piece);
  // of places of one column that take as much of the piece the first will do
  const alike = (a: Spot, b: Spot): boolean =>
    a.day === b.day && a.page === b.page && a.role === b.role && a.w === b.w && a.h === b.h;
  return found.filter((s, i) => found.findIndex((o) => alike(o, s)) === i);
}

function allSpots(context: Context, placements: readonly Placement[], piece: Piece): Spot[] {
  const draft = Draft.begin(context, placements);
  const strip = isStrip(piece.kind);
  const rows = piece.kind === 'checklist' ? draft.ledger.mostRows(piece) : 0;
  if (strip ? draft.ledger.longest(piece) < 10 : draft.ledger.untouched(piece) === 0 && rows === 0) return [];
  if (strip)
    return [...stripSpots(context, draft, piece), ...columnSpots(context, draft, piece, draft.ledger.longest(piece))];
  if (piece.kind === 'date-cover' || piece.kind === 'date-dot') return headerSpots(context, draft, piece);
  return [...sidebarSpots(context, draft, piece), ...columnSpots(context, draft, piece)];
}

/** Lays a piece on a spot. */
export function placeAt(context: Context, placements: readonly Placement[], piece: Piece, spot: Spot): Change | null {
  const draft = Draft.begin(context, placements);
  const strip = spot.cut && isStrip(piece.kind);
  const taken = strip
    ? draft.ledger.takeLength(piece, spot.w, spot.h)
    : spot.rows
      ? draft.ledger.takeRows(piece, spot.rows, spot.w)
      : draft.ledger.take(piece, spot.cut);
  if (!taken) return null;
  const over = traits(piece.kind).overlay === true;
  const beneath = draft.lyingIn(spot.page, spot);
  const layer = over && beneath.length ? Math.max(...beneath.map((p) => p.layer)) + 1 : 0;
  const added = draft.add(piece, taken, {
    page: spot.page,
    x: spot.x,
    y: spot.y,
    role: spot.role,
    day: spot.day,
    layer,
  });
  return { deed: { do: 'place', thing: thingOfPiece(piece) }, before: [], after: [added] };
}

function fitted(
  context: Context,
  piece: Piece,
  region: Region,
  name: string,
  at: { y: number; height: number; role: Role },
  width = piece.width,
): Spot[] {
  const cut = trimTo({ ...piece, width }, region.w, at.height);
  if (cut === undefined) return [];
  const [w, h] = [cut?.w ?? width, cut?.h ?? piece.height];
  const unit = context.book.unit;
  const off = [
    width - w > 0.05 ? `${ruled(width - w, unit)} off its width` : '',
    piece.height - h > 0.05 ? `${ruled(piece.height - h, unit)} off its height` : '',
  ].filter(Boolean);
  return [
    {
      page: region.page,
      day: region.day ?? null,
      role: at.role,
      x: tidy(alignX(context, region, w)),
      y: tidy(at.y),
      w: tidy(w),
      h: tidy(h),
      cut: cut ?? (width === piece.width ? null : { x: 0, y: 0, w: width, h: piece.height }),
      say: `${name}: ${off.length ? `trim ${off.join(' and ')}` : 'fits'}`,
    },
  ];
}

const dayLabel = (context: Context, day: number): string => longDay(context.week.days[day] as string);

const headerSpots = (context: Context, draft: Draft, piece: Piece): Spot[] =>
  regionsOf(context.book, 'date-header').flatMap((header) => {
    const there = draft.lyingIn(header.page, header).map((p) => draft.pieceOf(p)?.kind);
    if (there.includes(piece.kind)) return [];
    const [spot] = fitted(context, piece, header, dayLabel(context, header.day ?? 0), {
      y: header.y,
      height: header.h,
      role: 'base',
    });
    return spot ? [{ ...spot, y: tidy(header.y + (header.h - spot.h) / 2) }] : [];
  });

const stripSpots = (context: Context, draft: Draft, piece: Piece): Spot[] =>
  regionsOf(context.book, 'bottom-strip')
    .filter((s) => draft.lyingIn(s.page, s).length === 0)
    .flatMap((s) =>
      fitted(
        context,
        piece,
        s,
        'Bottom strip',
        { y: s.y, height: s.h, role: 'base' },
        Math.min(draft.ledger.longest(piece), Math.max(s.w, 1)),
      ),
    );

function columnSpots(context: Context, draft: Draft, piece: Piece, longest?: number): Spot[] {
  return [0, 1, 2, 3, 4, 5, 6].flatMap((day) => {
    const column = dayColumn(context.book, day);
    const free = freeStretches(draft, context, day);
    const stretch = free.find((s) => lengthOf(s) >= piece.height - 0.05);
    if (!column) return [];
    if (piece.kind === 'checklist' && (!stretch || draft.ledger.untouched(piece) === 0))
      return rowSpot(context, draft, piece, column, free);
    if (!stretch) return [];
    const role =
      piece.kind === 'full-box' ? 'box' : piece.kind === 'deco' ? 'finish' : piece.kind === 'header' ? 'base' : 'day';
    return fitted(
      context,
      piece,
      column,
      dayLabel(context, day),
      { y: stretch.from, height: Infinity, role },
      longest === undefined ? piece.width : Math.min(longest, column.w),
    );
  });
}

/** A list where there is no room for all its rows, or no whole one left: as many rows as fit. */
function rowSpot(
  context: Context,
  draft: Draft,
  piece: Piece,
  column: Region,
  free: ReturnType<typeof freeStretches>,
): Spot[] {
  const pitch = piece.height / Math.max(1, piece.rows);
  const widest = free.reduce<(typeof free)[number] | null>((a, b) => (a && lengthOf(a) >= lengthOf(b) ? a : b), null);
  const rows = widest ? Math.min(draft.ledger.mostRows(piece), Math.floor((lengthOf(widest) + 0.05) / pitch)) : 0;
  if (!widest || rows < 1 || piece.rows === 0) return [];
  const w = Math.min(piece.width, column.w);
  return [
    {
      page: column.page,
      day: column.day ?? null,
      role: 'day',
      x: tidy(alignX(context, column, w)),
      y: tidy(widest.from),
      w: tidy(w),
      h: tidy(rows * pitch),
      cut: { x: 0, y: 0, w, h: rows * pitch },
      rows,
      say: `${dayLabel(context, column.day ?? 0)}: cut to ${counted(rows, 'row')}`,
    },
  ];
}

function sidebarSpots(context: Context, draft: Draft, piece: Piece): Spot[] {
  return regionsOf(context.book, 'sidebar').flatMap((bar) => {
    const floor = Math.max(
      bar.y,
      ...draft
        .lyingIn(bar.page, bar)
        .filter((p) => intersect(p, bar))
        .map((p) => bottom(p) + context.options.gap),
    );
    return floor + piece.height <= bottom(bar) + 0.05
      ? fitted(context, piece, bar, 'Sidebar', { y: floor, height: Infinity, role: 'sidebar' })
      : [];
  });
}
