import { alignX } from '../../spread/align';
import type { Piece } from '../../kit/kit';
import { pieceKey } from '../../kit/kit';
import { handAt, textFits } from '../../measure/hand';
import { TOLERANCE } from '../../measure/length';
import type { Rect } from '../../measure/rect';
import { bottom } from '../../measure/rect';
import type { Demand } from '../../week/demand';
import { writtenText, writtenTime } from '../../week/demand';
import { FOREIGN, byCost, piecesOf, strangeness, tasteCost } from '../../spread/choose';
import { besideScript } from './beside-script';
import type { Block } from './day-blocks';
import type { Form } from './forms';
import { blockCost } from './color-blocks';
import { jar } from './jar';
import { layTitle, listTitle } from './list-dressing';
import type { At } from '../ladder/choice';
import { layWritten } from '../ladder/written';
import type { Fitted } from '../../spread/fit-text';
import { sizesDownTo } from '../../spread/fit-text';
import type { Draft } from '../../spread/draft';
import { inkFor } from '../../spread/ink';
import { foilCost } from '../../spread/foil';
import type { Reserved } from './reserved';
import { iconRank, scriptRank, showsOn } from './reserved';
import type { Context } from '../../spread/placement';
import { whim } from '../../spread/whim';
import { TIP, baseOf, writingRoom } from '../../spread/writing';

/**
 * Lays an item's base with icon and script, where the kit has them and the text still fits. False when nothing is
 * left.
 */
export function dressBase(
  draft: Draft,
  context: Context,
  demand: Demand,
  form: Form,
  fitted: Fitted,
  at: At,
  reserved: Reserved,
): boolean {
  const design = bestDesign(draft, context, form, at);
  const taken = design && draft.ledger.take(design, form.cut);
  if (!design || !taken) return false;
  const x = alignX(context, at.column, form.w);
  const upright = { x: x + (form.w - (form.cut?.w ?? design.width)) / 2, y: at.y + (form.h - design.height) / 2 };
  const extras =
    form.kind === 'deco'
      ? { laid: [], text: null, size: fitted.size }
      : form.turn
        ? { laid: [], ...fitted }
        : adorn(draft, context, demand, design, fitted, { x, y: at.y, w: form.w, h: form.h }, at, reserved);
  const place = { page: at.page, day: at.day, ...upright, turn: form.turn };
  layWritten(draft, [design, taken], place, [demand], extras);
  layOver(draft, extras.laid, at);
  return true;
}

/** Lays what adorns a base. */
export function layOver(draft: Draft, laid: readonly Laid[], at: Pick<At, 'page' | 'day'>): void {
  for (const { piece, rect, text } of laid) {
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
}

/** Of a form's designs the one that goes best with what lies around. */
const bestDesign = (draft: Draft, context: Context, form: Form, at: At): Piece | undefined =>
  byCost(form.designs, (p) =>
    draft.ledger.untouched(p) > 0
      ? jar(draft, p, at) +
        blockCost(context, p, at) +
        strangeness(p, context) +
        foilCost(context, p, at.day) +
        tasteCost(p, context) +
        whim(context, `${at.day} ${pieceKey(p)}`)
      : Infinity,
  )[0];

interface Laid {
  readonly piece: Piece;
  readonly rect: Rect;
  /** what is written on it */
  readonly text?: string;
}

/** Icon, script and time circle that go on an item's base, with the text that is then written beside them. */
export function adorn(
  draft: Draft,
  context: Context,
  demand: Demand,
  base: Piece,
  fitted: Fitted,
  place: Rect,
  at: At,
  reserved: Reserved,
): { laid: Laid[]; text: string | null; size: number } {
  const plain = { laid: [], ...fitted };
  // a picture is worth a smaller hand, as small as its owner writes (handbook P4)
  const sizes = sizesDownTo(context.options.smallest).filter((size) => size <= fitted.size);
  if (base.kind === 'little' || base.kind === 'check-flag' || place.w < 24 || base.words) return plain;
  const icon = layIcon(draft, context, demand, place, reserved);
  const script = layScript(draft, context, demand, place, base, icon, at, reserved);
  const circle = layCircle(draft, context, demand, place, at);
  const beside = circle.length ? layScript(draft, context, demand, place, base, circle, at, reserved) : [];
  const over = icon.length ? layScript(draft, context, demand, place, base, [], at, reserved) : script;
  const attempts: Laid[][] = [
    [...circle, ...beside],
    circle,
    script.length ? [...icon, ...script] : under(over, icon, place),
    icon,
    over,
  ].filter((a) => a.length > 0);
  for (const laid of attempts) {
    const timed = laid[0]?.text !== undefined ? { ...demand, start: null } : demand;
    const words = laid.find((l) => l.piece.kind === 'script')?.piece.words;
    const whole = timed === demand ? fitted.text : writtenText(timed);
    const rest = words === undefined ? whole : besideScript(timed, words);
    const text = rest === writtenText(timed) ? whole : rest;
    const room = writingRoom(
      baseOf(base, place),
      laid.map(({ rect }) => ({ ...rect, x: rect.x - place.x, y: rect.y - place.y })),
    );
    const size =
      text === null ? fitted.size : sizes.find((s) => textFits(text, room.w, room.h, handAt(context.options.hand, s)));
    if (size !== undefined) return { laid, text, size };
  }
  return plain;
}

function layIcon(draft: Draft, context: Context, demand: Demand, place: Rect, reserved: Reserved): Laid[] {
  const piece = byCost(piecesOf(context, 'icon'), (p) => {
    const rank = iconRank(demand, p);
    return rank === null ||
      draft.ledger.untouched(p) === 0 ||
      p.height > place.h + TOLERANCE ||
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
  const time = writtenTime(demand);
  const piece = byCost(piecesOf(context, 'circle'), (p) => {
    const room = writingRoom(baseOf(p, { w: p.width, h: p.height }));
    const over = Math.max(0, (p.height - place.h) / 2);
    if (place.y - over < at.column.y - TOLERANCE || bottom(place) + over > bottom(at.column) + TOLERANCE)
      return Infinity;
    return p.writable === 'no' ||
      p.words ||
      draft.ledger.untouched(p) === 0 ||
      p.height > place.h + 2 * Math.min(TIP, context.options.gap / 2) ||
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
  base: Pick<Piece, 'color'>,
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
      !showsOn(p, base) ||
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

/** A script across the top, the icon at the left below it: where the two do not fit side by side. */
function under([script]: readonly Laid[], [icon]: readonly Laid[], place: Rect): Laid[] {
  if (!script || !icon) return [];
  const from = bottom(script.rect);
  const room = bottom(place) - from;
  if (icon.rect.h > room + TOLERANCE) return [];
  return [script, { ...icon, rect: { ...icon.rect, y: from + (room - icon.rect.h) / 2 } }];
}

/** Code of the script last laid above in the column; the same one must not follow itself (handbook D7). */
function lastScript(draft: Draft, at: At): string | null {
  const above = draft.placements.filter((p) => p.day === at.day && p.y < at.y && draft.pieceOf(p)?.kind === 'script');
  return above.length ? above.reduce((a, b) => (b.y > a.y ? b : a)).code : null;
}

/** Lays one large base with several items on it, each on a line of its own, under the name of their list. */
export function dressShared(draft: Draft, context: Context, block: Block, form: Form, fitted: Fitted, at: At): boolean {
  const design = bestDesign(draft, context, form, at);
  const taken = design && draft.ledger.take(design, form.cut);
  if (!design || !taken) return false;
  const y = layTitle(draft, context, listTitle(draft, context, block, at.column.w), at);
  const place = { page: at.page, day: at.day, x: alignX(context, at.column, form.w), y };
  layWritten(draft, [design, taken], place, block.demands, fitted);
  return true;
}
