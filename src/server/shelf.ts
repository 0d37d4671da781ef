import 'server-only';
import { contextFrom } from '../core/spread/context';
import { fillOfDays } from '../core/arrange/counting/relief';
import { dayColumn } from '../core/book/columns';
import { stepsOf } from '../core/bench/steps';
import { cutsOf } from '../core/bench/cuts';
import { whiteOutOf } from '../core/bench/white-out';
import { untouchedOf } from '../core/kit/stock';
import { palette } from '../core/kit/kit';
import { intersect, unionArea } from '../core/measure/rect';
import { footprint } from '../core/spread/placement';
import { spokenWeek } from '../core/week/day-names';
import type { WeekStart } from '../core/week/week';
import { daysOfWeek, weekAfter, weekHolding } from '../core/week/week';
import { houseWeekStart, weekStartOf } from './week-start';
import { findBook, listBooks, usualBook } from '../db/books';
import { listKits } from '../db/kits';
import { kitSums } from '../db/stock';
import { plannedKits } from '../db/plans';
import { givenUpWeeks } from '../db/given-up';
import { keepOf } from '../db/keeps';
import { findSpreadOfWeek } from '../db/spreads';
import { ticksOf } from '../db/ticks';
import { isBackupMissed } from './backup/make-backup';
import { ownerHand } from './settings';
import { loadSpread } from './spread-data';
import { weekDemands } from './week-demands';
import { store } from './store';
import { today } from './today';
import { usualSizes } from './usual-sizes';

export type WeekState = 'to plan' | 'laid out' | 'on paper';

export interface ShelfDay {
  readonly name: string;
  readonly number: number;
  readonly items: number;
  /** share of the column that is taken, 0 to 1 and over */
  readonly full: number;
}

export interface ShelfWeek {
  readonly week: string;
  readonly title: string;
  /** weeks from this one */
  readonly away: number;
  readonly spreadId: number | null;
  readonly revision: number;
  readonly state: WeekState;
  readonly kit: string | null;
  /** the kit planned for it, while it is not begun */
  readonly planned: string | null;
  readonly swatches: readonly string[];
  readonly items: number;
  readonly days: readonly ShelfDay[];
}

export interface Shelf {
  readonly weeks: readonly ShelfWeek[];
  readonly books: readonly { id: string; name: string }[];
  /** how many kits a week can be laid out with */
  readonly kits: number;
  /** weeks that were given up and can be taken up again, the latest first */
  readonly givenUp: readonly { readonly id: number; readonly title: string }[];
  /** there is no backup that is young enough to rely on, and something that it would be needed for */
  readonly backupOld: boolean;
  /** kits that are begun, and of which enough is left for another week */
  readonly leftovers: boolean;
  /** made-up weeks to look at, not its owner's */
  readonly demo: boolean;
}

const WEEKS_BEFORE = 1;
const WEEKS_AHEAD = 6;
/** Of a begun kit so many stickers must be left before a week with them is offered. From memory. */
const LEAST_LEFT = 40;

/** The weeks around today, with how full each day is before it is planned and after. */
export async function loadShelf(): Promise<Shelf> {
  const db = await store();
  const start = await houseWeekStart(db);
  const now = weekHolding(await today(), start);
  const [books, kitRows] = await Promise.all([listBooks(db), listKits(db)]);
  const bought = kitRows.filter((k) => k.role === 'kit' && !k.facts.retired).map((k) => k.id);
  const aways = Array.from({ length: WEEKS_BEFORE + WEEKS_AHEAD }, (_, i) => i - WEEKS_BEFORE);
  const usual = await usualBook(db);
  const weeks = await Promise.all(aways.map((away) => shelfWeek(weekAfter(now, away), away, usual, start)));
  const sums = (await kitSums(db)).filter((k) => bought.includes(k.kit));
  return {
    weeks,
    books,
    givenUp: await Promise.all(
      (await givenUpWeeks(db)).map(async ({ id, week }) => ({
        id,
        title: spokenWeek(daysOfWeek(week, await weekStartOf(db, week))),
      })),
    ),
    backupOld: weeks.some((w) => w.spreadId !== null) && isBackupMissed(),
    leftovers: sums.some((k) => k.touched > 0 && untouchedOf(k) >= LEAST_LEFT),
    demo: process.env.HOBNAIL_DEMO === '1',
    kits: bought.length,
  };
}

async function shelfWeek(week: string, away: number, likelyBook: string | null, start: WeekStart): Promise<ShelfWeek> {
  const db = await store();
  const row = await findSpreadOfWeek(db, week);
  const spread = row ? await loadSpread(row.id) : null;
  const book = spread?.context.book ?? (likelyBook ? await findBook(db, likelyBook) : null);
  const demands =
    spread?.context.week ??
    (book ? await weekDemands(db, week, start) : { week, days: daysOfWeek(week, start), demands: [] });
  const context =
    book &&
    contextFrom(
      spread?.context ?? {
        book,
        kit: usualSizes,
        stash: [],
        week: demands,
        manner: 'scattered',
        options: { hand: await ownerHand(db) },
        seed: 1,
        usedElsewhere: [],
      },
    );
  const placements = spread?.placements ?? [];
  const fills = context && placements.length === 0 ? fillOfDays(context) : null;
  const days = demands.days.map((iso, day): ShelfDay => {
    const column = book && dayColumn(book, day);
    const items = demands.demands.filter((d) => d.day <= day && d.lastDay >= day).length;
    const laid = column
      ? unionArea(placements.flatMap((p) => (p.page === column.page ? (intersect(footprint(p), column) ?? []) : []))) /
        (column.w * column.h)
      : 0;
    const wanted = column && fills ? (fills[day]?.wanted ?? 0) / column.h : 0;
    return { name: iso, number: Number(iso.slice(8)), items, full: Math.max(laid, wanted) };
  });
  return {
    week,
    title: spokenWeek(demands.days),
    away,
    spreadId: spread?.id ?? null,
    revision: spread?.history.revision ?? 0,
    state: spread && context ? await stateOf(spread.id, context, placements) : 'to plan',
    kit: spread?.context.kit.name ?? null,
    planned: (await plannedKits(db)).get(week) ?? null,
    swatches: spread ? palette(spread.context.kit, 6) : [],
    items: demands.demands.length,
    days,
  };
}

async function stateOf(
  id: number,
  context: ReturnType<typeof contextFrom>,
  placements: Parameters<typeof cutsOf>[1],
): Promise<WeekState> {
  if (!placements.length) return 'to plan';
  if (await keepOf(await store(), id)) return 'on paper';
  const ticks = new Set(await ticksOf(await store(), id));
  if (!ticks.size) return 'laid out';
  const steps = stepsOf(context, placements, whiteOutOf(context, placements), cutsOf(context, placements));
  return steps.every((s) => ticks.has(s.key)) ? 'on paper' : 'laid out';
}
