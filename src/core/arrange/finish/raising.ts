import type { Region } from '../../book/book';
import { dayColumn } from '../../book/columns';
import { hoursOf } from '../../book/hours';
import { rowFrames } from '../../book/rows';
import { costOfDay } from '../../eye/registry';
import { sightOf } from '../../eye/sight';
import { TOLERANCE } from '../../measure/length';
import { bottom } from '../../measure/rect';
import type { Draft, Stage } from '../../spread/draft';
import type { Stretch } from '../../spread/free-room';
import { freeBeside, freeStretches, keptFree, lengthOf } from '../../spread/free-room';
import { besidePlaces, openPlaces } from '../../spread/open-places';
import type { Context, Placement } from '../../spread/placement';
import { footprint, isWriting, matchDemands } from '../../spread/placement';
import type { Demand } from '../../week/demand';
import { dressBase } from '../days/dressing';
import type { Form } from '../days/forms';
import { fitOn, formCost, formsOf } from '../days/forms';
import { UNRESERVED } from '../days/reserved';

/** What a day gains in the eye's points before an item is raised, and by a picture or word on it. From memory. */
const LEAST_GAIN = 2;
const DRESSED = 4;
/** What a point of ill suited kind costs in the eye's points. From memory. */
const SUITS = 2;
/** Items of a day that are raised at most. From memory. */
const MOST = 3;
/** A base this much higher is another one, mm. */
const HIGHER = 2;
const DAYS = [0, 1, 2, 3, 4, 5, 6];

/**
 * A higher base for an item where its day has the room: half instead of quarter, a label instead of ink, with the
 * picture or the word that went on neither. Room for what comes up stays (handbook D3, W1), and so does the order.
 */
export const raising: Stage = (before, context) => {
  if (context.ways.deco !== 'spread') return before;
  return DAYS.reduce((draft, day) => {
    const column = dayColumn(context.book, day);
    let now = draft;
    for (let n = 0; column && n < MOST; n++) {
      const raised = bestRaise(now, context, day, column);
      if (!raised) break;
      now = raised;
    }
    return now;
  }, before);
};

function bestRaise(draft: Draft, context: Context, day: number, column: Region): Draft | null {
  const carriers = matchDemands(draft.placements, context.week.demands);
  const cost = costOfDay(sightOf(context, draft.placements), day);
  let [best, most] = [null as Draft | null, LEAST_GAIN];
  for (const demand of context.week.demands) {
    const base = carriers.get(demand.key);
    if (!base || base.day !== day || !isAlone(draft, demand, base)) continue;
    const over = overlaysOf(draft, base);
    const bare = [base, ...over].reduce((d, p) => d.without(p.id), draft);
    for (const { raised, harm, laid } of raisesOf(bare, context, { demand, base, day, column })) {
      const gain =
        cost - costOfDay(sightOf(context, raised.placements), day) + (laid - over.length) * DRESSED - harm * SUITS;
      if (gain > most) [best, most] = [raised, gain];
    }
  }
  return best;
}

/** True for an item with a base of its own, or with ink alone, that may be laid anew. */
function isAlone(draft: Draft, demand: Demand, base: Placement): boolean {
  if (
    demand.kind === 'band' ||
    demand.list !== null ||
    demand.room !== null ||
    base.items.length !== 1 ||
    base.turn !== 0
  )
    return false;
  if (base.role !== 'day' || base.layer !== 0 || draft.kept.has(base.id) || base.locked) return false;
  const kind = draft.pieceOf(base)?.kind;
  if (kind === 'checklist' || kind === 'little' || kind === 'deco') return false;
  return !isWriting(base) || draft.lyingIn(base.page, footprint(base)).every((p) => p.id === base.id);
}

const overlaysOf = (draft: Draft, base: Placement): readonly Placement[] =>
  isWriting(base)
    ? []
    : draft
        .lyingIn(base.page, footprint(base))
        .filter((p) => p.id !== base.id && p.layer > base.layer && p.role === 'day' && !p.items.length);

interface Item {
  readonly demand: Demand;
  readonly base: Placement;
  readonly day: number;
  readonly column: Region;
}

interface Raise {
  readonly raised: Draft;
  /** how much worse the kind of base suits the item */
  readonly harm: number;
  /** what lies on the new base */
  readonly laid: number;
}

/** The spread with an item on each higher base that its place has room for. @param bare without the item */
function raisesOf(bare: Draft, context: Context, { demand, base, day, column }: Item): Raise[] {
  const room = roomFor(bare, context, base, day);
  if (!room) return [];
  const ground = { draft: bare, context, width: column.w };
  const { gap } = context.options;
  const places = openPlaces(context, bare.placements).filter((p) => p.day === day);
  const free = besidePlaces(freeStretches(bare, context, day), places, gap);
  const old = formsOf(ground).find((f) => f.designs.some((p) => p.code === base.code && p.kit === base.kit));
  const suited = old ? formCost(demand, old, context) : 0;
  return formsOf(ground).flatMap((form) => {
    if (form.h < base.h + HIGHER || form.h > lengthOf(room) + TOLERANCE || form.kind === 'little') return [];
    const fitted = fitOn(demand, form, context);
    const cost = fitted ? formCost(demand, form, context, fitted) : Infinity;
    if (!fitted || cost === Infinity) return [];
    return placesIn(room, base, form, context).flatMap((y): Raise[] => {
      if (freeBeside(free, { y, h: form.h }, gap) < keptFree(context, day)) return [];
      const raised = bare.clone();
      const at = { page: column.page, day, column, y };
      const count = raised.placements.length;
      if (!dressBase(raised, context, demand, form, fitted, at, UNRESERVED)) return [];
      return [{ raised, harm: Math.max(0, cost - suited), laid: raised.placements.length - count - 1 }];
    });
  });
}

/** The free stretch in which an item stands, within its row where rows are kept. */
function roomFor(bare: Draft, context: Context, base: Placement, day: number): Stretch | null {
  const s = freeStretches(bare, context, day).find(
    (f) => f.from <= base.y + TOLERANCE && f.to >= bottom(base) - TOLERANCE,
  );
  if (!s || !context.ways.keepsRows) return s ?? null;
  const row = rowFrames(context.book, day).find(
    (r) => base.y >= r.y - TOLERANCE && bottom(base) <= r.y + r.h + TOLERANCE,
  );
  return row ? { from: Math.max(s.from, row.y), to: Math.min(s.to, row.y + row.h) } : null;
}

/** From its own top down, from its own foot up, or about its middle; at its hour where the book has hours. */
function placesIn(room: Stretch, base: Placement, form: Form, context: Context): number[] {
  const least = room.from;
  const most = room.to - form.h;
  const within = (y: number): number => Math.min(most, Math.max(least, y));
  if (hoursOf(context.book, base.day ?? -1)) return base.y <= most + TOLERANCE ? [base.y] : [];
  return [...new Set([base.y, bottom(base) - form.h, base.y + (base.h - form.h) / 2].map(within))];
}
