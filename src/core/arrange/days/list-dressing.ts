import { isOf } from '../../kit/is-of';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { TOLERANCE } from '../../measure/length';
import { bottom } from '../../measure/rect';
import { alignX } from '../../spread/align';
import { FOREIGN, byCost, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import type { Draft } from '../../spread/draft';
import { inkFor, PAPER } from '../../spread/ink';
import { listText } from '../../spread/list-text';
import type { Context } from '../../spread/placement';
import { trimTo } from '../../spread/trim';
import { whim } from '../../spread/whim';
import { writingRoom } from '../../spread/writing';
import { textFits } from '../../measure/hand';
import type { At } from '../ladder/choice';
import { layWritten } from '../ladder/written';
import type { Block } from './day-blocks';
import { blockCost, colorBlocks } from './color-blocks';
import { jar } from './jar';
import type { ListForm, ListTexts } from './list-forms';
import { rowsOfItem } from './list-forms';
import { listColorCost } from './list-colors';

/** mm between a list and its header. From memory. */
export const UNDER_LIST_HEADER = 0.6;
/** What using an offcut is worth beside colors (handbook L3). From memory. */
const OFFCUT_FIRST = 5;
/** Names that a list of things to do may bear. */
const PLAIN = ['to do', 'to-do', 'chores'];

/** What stands over a list and says which it is: a header with its name, a blank one written on, or its name in ink. */
export interface ListTitle {
  readonly header: Piece | null;
  /** written on a blank header, or on the paper where there is none */
  readonly written: string | null;
  /** mm that it takes with what keeps it off the list */
  readonly height: number;
}

const NO_TITLE: ListTitle = { header: null, written: null, height: 0 };

/**
 * The title of a list. A list of things to do needs none, nor does one row of it; any other is named. Once: what goes
 * on in a second part does not begin again.
 */
export function listTitle(draft: Draft, context: Context, block: Block, width: number): ListTitle {
  const name = (block.list ?? '').trim();
  const plain = PLAIN.includes(name.toLowerCase()) || name === '';
  // a kept row has its header already
  if (block.goesOn || context.ways.keepsRows || (plain && block.demands.length < 2)) return NO_TITLE;
  const names = plain ? [name.toLowerCase(), ...PLAIN] : [name.toLowerCase()];
  const usable = (p: Piece): boolean =>
    draft.ledger.untouched(p) > 0 && trimTo(p, width) !== undefined && strangeness(p, context) <= FOREIGN;
  const printed = byCost(piecesOf(context, 'header'), (p) => {
    const rank = names.indexOf(p.words.trim().toLowerCase());
    return rank < 0 || !usable(p) ? Infinity : rank + strangeness(p, context);
  })[0];
  if (printed) return { header: printed, written: null, height: printed.height + UNDER_LIST_HEADER };
  if (plain) return NO_TITLE;
  const blank = byCost(piecesOf(context, 'header'), (p) =>
    p.words === '' && p.writable !== 'no' && usable(p) && takes(p, name, width, context)
      ? strangeness(p, context)
      : Infinity,
  )[0];
  if (blank) return { header: blank, written: name, height: blank.height + UNDER_LIST_HEADER };
  return context.options.onPaper
    ? { header: null, written: name, height: context.options.hand.linePitch + UNDER_LIST_HEADER }
    : NO_TITLE;
}

function takes(p: Piece, name: string, width: number, context: Context): boolean {
  const room = writingRoom({ kind: p.kind, shape: p.shape, w: Math.min(p.width, width), h: p.height });
  return textFits(name, room.w, room.h, context.options.hand);
}

/** Lays a list's title at the top of its place. @returns where the list begins, mm down the page */
export function layTitle(draft: Draft, context: Context, title: ListTitle, at: At): number {
  if (title.height === 0) return at.y;
  const { header, written } = title;
  const cut = header ? (trimTo(header, at.column.w) ?? null) : null;
  const taken = header && draft.ledger.take(header, cut);
  if (header && taken) {
    const w = cut?.w ?? header.width;
    const ink = written ? inkFor(header) : null;
    const x = alignX(context, at.column, w);
    draft.add(header, taken, { page: at.page, day: at.day, x, y: at.y, role: 'day', text: written, ink });
  } else if (written) {
    const h = context.options.hand.linePitch;
    const place = { x: at.column.x, y: at.y, w: at.column.w, h };
    draft.write({ page: at.page, day: at.day, ...place, role: 'day', text: written, ink: inkFor(PAPER) });
  }
  return at.y + title.height;
}

/** What stands on a list's rows, of which size it is, and whether two designs may be joined for it. */
export interface HowListed {
  readonly form: ListForm;
  readonly texts: ListTexts;
  readonly joined: boolean;
}

/** A part of a list: how many items on how many rows of which design. */
interface Part {
  readonly design: Piece;
  readonly count: number;
  readonly rows: number;
}

/** Lays a list cut to its rows (handbook L1), parts of one design joined (L2), others only where none has enough. */
export function dressList(draft: Draft, context: Context, block: Block, how: HowListed, at: At): boolean {
  const { form, texts } = how;
  const parts = partsOf(draft, context, how, at);
  const title = listTitle(draft, context, block, at.column.w);
  if (!parts || at.y + title.height + texts.rows * form.pitch > bottom(at.column) + TOLERANCE) return false;
  let y = layTitle(draft, context, title, at);
  let done = 0;
  for (const { design, count, rows } of parts) {
    const taken = draft.ledger.takeRows(design, rows, at.column.w);
    if (!taken) return false;
    const w = taken.cut?.w ?? design.width;
    layWritten(
      draft,
      [design, taken],
      { page: at.page, day: at.day, x: alignX(context, at.column, w), y },
      block.demands.slice(done, done + count),
      { text: listText(texts.items.slice(done, done + count)), size: texts.size },
    );
    y += rows * form.pitch;
    done += count;
  }
  return true;
}

/** From which designs a list is cut; null where the rows that are left will not do. Nothing is taken yet. */
function partsOf(draft: Draft, context: Context, { form, texts, joined }: HowListed, at: At): Part[] | null {
  const ledger = draft.ledger.clone();
  const parts: Part[] = [];
  const blocked = colorBlocks(context) !== null;
  let design: Piece | undefined;
  for (let done = 0, left = texts.rows; done < texts.items.length;) {
    const next = rowsOfItem(texts.items[done] as ListTexts['items'][number]);
    if (!design || ledger.mostRows(design) < next) {
      const rows = left;
      design = byCost(form.designs, (p) =>
        ledger.mostRows(p) < next
          ? Infinity
          : jar(draft, p, at) +
            strangeness(p, context) +
            tasteCost(p, context) +
            (isOf(context.kit, p) ? 0 : OTHER_KIT) +
            (blocked ? blockCost(context, p, at) : listColorCost(context, p, at.day)) +
            whim(context, `${at.day} ${pieceKey(p)}`) -
            (ledger.rowsOfOffcuts(p) >= rows ? OFFCUT_FIRST : 0) +
            (ledger.rowsLeft(p) < rows ? OTHER_DESIGN : 0),
      )[0];
    }
    if (!design || (!joined && parts.some((part) => part.design !== design))) return null;
    const { count, rows } = firstPart(texts, done, ledger.mostRows(design));
    if (!ledger.takeRows(design, rows, at.column.w)) return null;
    parts.push({ design, count, rows });
    done += count;
    left -= rows;
  }
  return parts;
}

/** What a list of another kit costs beside one of this. From memory. */
const OTHER_KIT = 1.5;
/** What a list joined of two designs costs beside one of one. From memory. */
const OTHER_DESIGN = 30;

/** The items, from the `from`-th on, that go on one sticker with so many rows: none is cut in two. */
function firstPart(texts: ListTexts, from: number, most: number): { count: number; rows: number } {
  let rows = 0;
  let count = 0;
  for (const item of texts.items.slice(from)) {
    if (rows + rowsOfItem(item) > most) break;
    rows += rowsOfItem(item);
    count++;
  }
  return { count, rows };
}
