import { alignX } from '../../spread/align';
import { ONE_COLOR, difference } from '../../color/color';
import type { Piece } from '../../kit/kit';
import { textFits } from '../../measure/hand';
import { HAIR } from '../../measure/length';
import type { Rect } from '../../measure/rect';
import { bottom } from '../../measure/rect';
import type { Demand } from '../../week/demand';
import { spokenTime, writtenText } from '../../week/demand';
import type { Choice } from './candidates';
import { FOREIGN, byCost, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import type { Block } from './day-blocks';
import { listsFor, rowPitch } from './day-blocks';
import type { Draft } from '../../spread/draft';
import { inkFor } from '../../spread/ink';
import { foilCost } from '../../spread/foil';
import { listColorCost } from './list-colors';
import type { Reserved } from './reserved';
import { iconRank, scriptRank } from './reserved';
import type { Context } from '../../spread/placement';
import { trimTo } from '../../spread/trim';
import { TIP, writingRoom } from '../../spread/writing';

interface At {
  readonly page: number;
  readonly day: number;
  readonly column: Rect;
  readonly y: number;
}

/**
 * Lays an item's base with icon and script, where the kit has them and the text still fits. False when nothing is
 * left.
 */
export function dressBase(
  draft: Draft,
  context: Context,
  demand: Demand,
  choice: Choice,
  at: At,
  reserved: Reserved = UNRESERVED,
): boolean {
  const { form } = choice;
  if (!form) return false;
  const design = byCost(form.designs, (p) =>
    draft.ledger.untouched(p) > 0
      ? jar(draft, p, at) + strangeness(p, context) + foilCost(context, p, at.day) + tasteCost(p, context)
      : Infinity,
  )[0];
  const taken = design && draft.ledger.take(design, form.cut);
  if (!design || !taken) return false;
  const x = alignX(context, at.column, form.w);
  const upright = { x: x + (form.w - (form.cut?.w ?? design.width)) / 2, y: at.y + (form.h - design.height) / 2 };
  const extras =
    form.kind === 'deco'
      ? { laid: [], text: null }
      : form.turn
        ? { laid: [], text: choice.text }
        : adorn(draft, context, demand, design, choice, { x, y: at.y, w: form.w, h: form.h }, at, reserved);
  draft.add(design, taken, {
    page: at.page,
    day: at.day,
    ...upright,
    turn: form.turn,
    role: 'day',
    items: [demand.uid],
    text: extras.text,
    ink: extras.text ? inkFor(design) : null,
  });
  for (const { piece, rect, text } of extras.laid) {
    const over = draft.ledger.take(piece);
    if (over)
      draft.add(piece, over, {
        page: at.page,
        day: at.day,
        x: rect.x,
        y: rect.y,
        role: 'day',
        layer: 1,
        text: text ?? null,
        ink: text ? inkFor(piece) : null,
      });
  }
  return true;
}

/**
 * How a piece would jar with what lies above and beside it, and whether its design is used much already (handbook C2,
 * C3).
 */
function jar(draft: Draft, piece: Piece, at: At): number {
  let cost = 0;
  for (const p of draft.placements) {
    if (p.layer > 0 || p.page !== at.page) continue;
    const other = draft.pieceOf(p);
    if (!other) continue;
    if (other === piece) cost += 1;
    if (p.day === at.day && difference(other.color, piece.color) < ONE_COLOR) cost += 1;
    const above = p.day === at.day && at.y - bottom(p) < 6 && at.y - bottom(p) > -1;
    const beside = p.day !== null && Math.abs(p.day - at.day) === 1 && p.y < at.y + 10 && bottom(p) > at.y;
    if (above || beside) cost += Math.max(0, 20 - difference(other.color, piece.color)) / (above ? 3 : 6);
  }
  return cost;
}

/** A single item takes what there is. */
const UNRESERVED: Reserved = { mayTake: () => true };

interface Laid {
  readonly piece: Piece;
  readonly rect: Rect;
  /** what is written on it */
  readonly text?: string;
}

function adorn(
  draft: Draft,
  context: Context,
  demand: Demand,
  base: Piece,
  choice: Choice,
  place: Rect,
  at: At,
  reserved: Reserved,
): { laid: Laid[]; text: string | null } {
  const plain = { laid: [], text: choice.text };
  if (base.kind === 'little' || base.kind === 'check-flag' || place.w < 24 || base.words) return plain;
  const icon = layIcon(draft, context, demand, place, reserved);
  const script = layScript(draft, context, demand, place, icon, at, reserved);
  const circle = layCircle(draft, context, demand, place, at);
  const beside = circle.length ? layScript(draft, context, demand, place, circle, at, reserved) : [];
  const attempts: Laid[][] = [[...circle, ...beside], circle, [...icon, ...script], icon, script].filter(
    (a) => a.length > 0,
  );
  for (const laid of attempts) {
    const timed = laid[0]?.text !== undefined ? { ...demand, start: null } : demand;
    const words = laid.find((l) => l.piece.kind === 'script')?.piece.words;
    const whole = timed === demand ? choice.text : writtenText(timed);
    const text = words === undefined ? whole : besideScript(timed, whole, words);
    const room = writingRoom(
      { kind: base.kind, shape: base.shape, w: place.w, h: place.h },
      laid.map(({ rect }) => ({ ...rect, x: rect.x - place.x, y: rect.y - place.y })),
    );
    if (text === null || textFits(text, room.w, room.h, context.options.hand)) return { laid, text };
  }
  return plain;
}

function layIcon(draft: Draft, context: Context, demand: Demand, place: Rect, reserved: Reserved): Laid[] {
  const piece = byCost(piecesOf(context, 'icon'), (p) => {
    const rank = iconRank(demand, p);
    return rank === null ||
      draft.ledger.untouched(p) === 0 ||
      p.height > place.h - 1 ||
      p.width > place.w / 2 ||
      strangeness(p, context) > FOREIGN ||
      !reserved.mayTake(draft, demand, p)
      ? Infinity
      : rank * 5 + strangeness(p, context);
  })[0];
  return piece
    ? [
        {
          piece,
          rect: { x: place.x + 1.2, y: place.y + (place.h - piece.height) / 2, w: piece.width, h: piece.height },
        },
      ]
    : [];
}

/**
 * The time in a small circle at the base's left end, where that is the manner (handbook 3: circles are good for
 * times).
 */
function layCircle(draft: Draft, context: Context, demand: Demand, place: Rect, at: At): Laid[] {
  if (context.ways.times !== 'in circles' || demand.start === null) return [];
  const time = spokenTime(demand.start);
  const piece = byCost(piecesOf(context, 'circle'), (p) => {
    const room = writingRoom({ kind: p.kind, shape: p.shape, w: p.width, h: p.height });
    const over = Math.max(0, (p.height - place.h) / 2);
    if (place.y - over < at.column.y - HAIR || bottom(place) + over > bottom(at.column) + HAIR) return Infinity;
    return p.writable === 'no' ||
      p.words ||
      draft.ledger.untouched(p) === 0 ||
      p.height > place.h + 2 * TIP ||
      p.width > place.w / 2 ||
      strangeness(p, context) > FOREIGN ||
      !textFits(time, room.w, room.h, context.options.hand)
      ? Infinity
      : strangeness(p, context) + jar(draft, p, at) / 2;
  })[0];
  return piece
    ? [
        {
          piece,
          text: time,
          rect: { x: place.x + 0.6, y: place.y + (place.h - piece.height) / 2, w: piece.width, h: piece.height },
        },
      ]
    : [];
}

function layScript(
  draft: Draft,
  context: Context,
  demand: Demand,
  place: Rect,
  icon: readonly Laid[],
  at: At,
  reserved: Reserved,
): Laid[] {
  const from = icon[0] ? icon[0].rect.x + icon[0].rect.w + 0.8 : place.x + 1;
  const width = place.x + place.w - 1 - from;
  const above = lastScript(draft, at);
  const piece = byCost(piecesOf(context, 'script'), (p) => {
    const rank = scriptRank(demand, p);
    return rank === null ||
      p.width > width ||
      p.height > place.h - 1 ||
      draft.ledger.untouched(p) === 0 ||
      above === p.code ||
      strangeness(p, context) > FOREIGN ||
      !reserved.mayTake(draft, demand, p)
      ? Infinity
      : rank + strangeness(p, context);
  })[0];
  return piece ? [{ piece, rect: { x: from, y: place.y + 0.6, w: piece.width, h: piece.height } }] : [];
}

/** Code of the script last laid above in the column; the same one must not follow itself (handbook D7). */
function lastScript(draft: Draft, at: At): string | null {
  const above = draft.placements.filter((p) => p.day === at.day && p.y < at.y && draft.pieceOf(p)?.kind === 'script');
  return above.length ? above.reduce((a, b) => (b.y > a.y ? b : a)).code : null;
}

/** What is still to be written beside a script that says part of it. */
function besideScript(demand: Demand, text: string, words: string): string | null {
  const time = demand.start === null ? '' : spokenTime(demand.start);
  if (demand.title.toLowerCase().trim() === words.toLowerCase())
    return `${time}${demand.tentative ? ' ?' : ''}`.trim() || null;
  return text;
}

/** The header over a list of two rows or more, when one with its name is left. */
export function listHeader(draft: Draft, context: Context, block: Block, width: number): Piece | null {
  if (block.demands.length < 2 || context.ways.keepsRows) return null; // a kept row has its header already
  const names = [block.list?.toLowerCase() ?? '', 'to do'];
  return (
    byCost(piecesOf(context, 'header'), (p) => {
      const rank = names.indexOf(p.words.trim().toLowerCase());
      return rank < 0 ||
        draft.ledger.untouched(p) === 0 ||
        trimTo(p, width) === undefined ||
        strangeness(p, context) > FOREIGN
        ? Infinity
        : rank + strangeness(p, context);
    })[0] ?? null
  );
}

/** mm of column that a list takes with its header; null where no list is left that has the rows. */
export function heightOfList(draft: Draft, context: Context, block: Block, width: number): number | null {
  const list = listsFor(draft, context, width).find((p) => rowsThere(draft, p) >= block.demands.length);
  if (!list) return null;
  const header = listHeader(draft, context, block, width);
  return block.demands.length * rowPitch(list) + (header ? header.height + UNDER_LIST_HEADER : 0);
}

/** Lays a list cut to its number of rows (handbook L1), or two of one design joined (L2), under its header. */
export function dressList(draft: Draft, context: Context, block: Block, at: At): boolean {
  const rows = block.demands.length;
  const design = byCost(listsFor(draft, context, at.column.w), (p) =>
    rowsThere(draft, p) >= rows
      ? jar(draft, p, at) +
        strangeness(p, context) +
        tasteCost(p, context) +
        listColorCost(context, p, at.day) -
        (hasOffcut(draft, p, rows) ? OFFCUT_FIRST : 0)
      : Infinity,
  )[0];
  if (!design) return false;
  let y = at.y;
  const header = listHeader(draft, context, block, at.column.w);
  const strip = header && draft.ledger.take(header, trimTo(header, at.column.w) ?? null);
  if (header && strip) {
    const w = strip.cut?.w ?? header.width;
    draft.add(header, strip, { page: at.page, day: at.day, x: alignX(context, at.column, w), y, role: 'day' });
    y += header.height + UNDER_LIST_HEADER;
  }
  for (let done = 0; done < rows;) {
    const count = Math.min(rows - done, draft.ledger.mostRows(design));
    const taken = draft.ledger.takeRows(design, count, at.column.w);
    if (!taken) return false;
    const demands = block.demands.slice(done, done + count);
    const w = taken.cut?.w ?? design.width;
    draft.add(design, taken, {
      page: at.page,
      day: at.day,
      x: alignX(context, at.column, w),
      y,
      role: 'day',
      items: demands.map((d) => d.uid),
      text: demands.map(writtenText).join('\n'),
      ink: inkFor(design),
    });
    y += count * rowPitch(design);
    done += count;
  }
  return y <= bottom(at.column) + HAIR;
}

/** True when a list already begun has that many rows left (handbook L3). */
const hasOffcut = (draft: Draft, list: Piece, rows: number): boolean => draft.ledger.rowsOfOffcuts(list) >= rows;

/** What using an offcut is worth beside colors. From memory. */
const OFFCUT_FIRST = 5;

/** mm between a list and its header. From memory. */
export const UNDER_LIST_HEADER = 0.6;

/** Rows of one design still to be had for one list: an offcut, then whole copies. */
export function rowsThere(draft: Draft, list: Piece): number {
  const most = draft.ledger.mostRows(list);
  return most < list.rows ? most : draft.ledger.untouched(list) * list.rows;
}
