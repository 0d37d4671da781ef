import 'server-only';
import { createHash } from 'node:crypto';
import type { TriedFigures } from '../core/compare/tried-week';
import { untouchedOf } from '../core/kit/stock';
import { palette } from '../core/kit/kit';
import { copyKey } from '../core/kit/ledger';
import { suggestKits } from '../core/kit/suggest';
import { leanings, sayChoiceInFull } from '../core/manner/choices';
import { MANNERS } from '../core/manner/registry';
import type { DayBetween } from '../core/week/day-between';
import { spokenWeek } from '../core/week/day-names';
import { daysOfWeek, isWeekName, weekAfter, weekHolding, weekOf } from '../core/week/week';
import { findBook, listBooks, usualBook } from '../db/books';
import type { Database } from '../db/database';
import { ratingsByManner } from '../db/keeps';
import { gatheredFor } from '../db/gathered';
import { allKits, listKits } from '../db/kits';
import { heededChoices } from '../db/liked-choices';
import { asObject } from '../db/json';
import type { OwnManner } from '../db/manners';
import { listManners } from '../db/manners';
import { plannedKits } from '../db/plans';
import { findSpreadOfWeek, newestSpread } from '../db/spreads';
import { kitSums } from '../db/stock';
import { candidatesOf, weeksSince } from './candidates';
import { check } from './dto/check';
import { StartSpreadDto } from './dto/spread.dto';
import { heavily } from './heavy/heavily';
import { Lane } from './lane';
import { dataOfNewWeek } from './new-week';
import { stocked } from './stash';
import { store } from './store';
import { today } from './today';
import { dayBefore, weekDemands } from './week-demands';
import { houseWeekStart } from './week-start';

/** A kit that the week could be laid out with. */
export interface PlanKit {
  readonly id: string;
  readonly swatches: readonly string[];
  /** copies that nobody touched, of so many */
  readonly left: number;
  readonly total: number;
  /** the week it is planned for; null: none, or this one */
  readonly plannedFor: string | null;
  /** it was gathered for this week from other kits */
  readonly gathered?: true;
  /** what speaks for it in this week, as a figure and in words */
  readonly score: number;
  readonly why: string;
}

/** How one can lay a week out: a school, or a manner of one's own. */
export interface PlanManner {
  readonly name: string;
  readonly says: string;
  readonly isOwn: boolean;
  /** how its weeks were rated, where any was */
  readonly rated: { readonly mean: number; readonly weeks: number } | null;
  /** in what a new week differs from it, by what was loved and what jarred, in words */
  readonly leans: readonly string[];
}

export interface PlanPage {
  readonly week: string;
  readonly title: string;
  /** the spread that it has already */
  readonly spreadId: number | null;
  readonly days: readonly string[];
  readonly items: number;
  /** the day between it and the week before, where their books begin on different days */
  readonly between: DayBetween | null;
  /** the weeks ahead that are not begun */
  readonly weeks: readonly { readonly week: string; readonly title: string }[];
  readonly book: string;
  readonly books: readonly { readonly id: string; readonly name: string }[];
  /** what speaks for each, the most first */
  readonly kits: readonly PlanKit[];
  /** the one used last first */
  readonly manners: readonly PlanManner[];
}

const WEEKS_AHEAD = 10;
const MOST_WEEKS = 6;
/** So little a kit is worth that is kept for another week, over, or all but used up: it comes last. */
const NOT_OFFERED = -40;
/** The kit that its owner planned for the week comes before what only suits. */
const PLANNED = 30;

/** A week to be planned, and everything it could be laid out with; null: there is no book yet. */
export async function loadPlan(asked: {
  week?: string | undefined;
  book?: string | undefined;
}): Promise<PlanPage | null> {
  const db = await store();
  const books = await listBooks(db);
  const book = books.find((b) => b.id === asked.book)?.id ?? (await usualBook(db)) ?? books[0]?.id;
  const found = book ? await findBook(db, book) : null;
  if (!book || !found) return null;
  const weeks = await weeksToPlan(db);
  const week = asked.week && isWeekName(asked.week) ? asked.week : (weeks[0]?.week ?? weekAfter(weekOf(await today())));
  const demands = await weekDemands(db, week, found.weekStart);
  const [spread, between, gathered, kits, manners] = await Promise.all([
    findSpreadOfWeek(db, week),
    dayBefore(db, week, found.weekStart),
    gatheredForWeek(db, week),
    kitsFor(db, demands),
    mannersThere(db),
  ]);
  return {
    week,
    title: spokenWeek(demands.days),
    spreadId: spread?.id ?? null,
    days: demands.days,
    items: demands.demands.length,
    between,
    weeks: weeks.some((w) => w.week === week) ? weeks : [{ week, title: spokenWeek(demands.days) }, ...weeks],
    book,
    books: books.map(({ id, name }) => ({ id, name })),
    kits: [...gathered, ...kits],
    manners,
  };
}

/** No spread has it. */
const NO_SPREAD = -1;

/** What its owner gathered for a week speaks for itself. */
async function gatheredForWeek(db: Database, week: string): Promise<PlanKit[]> {
  const there = await stocked(db, NO_SPREAD, gatheredFor(week), [], []);
  if (!there?.kit.pieces.length) return [];
  const { kit, gone } = there;
  const total = kit.pieces.reduce((sum, p) => sum + p.count, 0);
  return [
    {
      id: kit.name,
      swatches: palette(kit, 6),
      left: total - new Set(gone.map(copyKey)).size,
      total,
      plannedFor: null,
      score: PLANNED,
      why: 'gathered for this week',
      gathered: true,
    },
  ];
}

/** The weeks ahead that are not begun. */
export async function weeksToPlan(db: Database): Promise<PlanPage['weeks']> {
  const start = await houseWeekStart(db);
  const next = weekAfter(weekHolding(await today(), start), 1);
  const weeks = Array.from({ length: WEEKS_AHEAD }, (_, i) => weekAfter(next, i));
  const begun = await Promise.all(weeks.map((week) => findSpreadOfWeek(db, week)));
  return weeks
    .filter((_, i) => !begun[i])
    .slice(0, MOST_WEEKS)
    .map((week) => ({ week, title: spokenWeek(daysOfWeek(week, start)) }));
}

async function kitsFor(db: Database, demands: Awaited<ReturnType<typeof weekDemands>>): Promise<PlanKit[]> {
  const { week } = demands;
  const [rows, all, sums, planned, since, newest] = await Promise.all([
    listKits(db),
    allKits(db),
    kitSums(db),
    plannedKits(db),
    weeksSince(db, week),
    newestSpread(db),
  ]);
  const kits = new Map(all.map((k) => [k.name, k]));
  const candidates = candidatesOf(rows, kits, sums, since);
  const suggested = new Map(suggestKits(demands, candidates).map((s) => [s.kit, s]));
  return candidates
    .map(({ kit, facts }): PlanKit => {
      const sum = sums.find((s) => s.kit === kit.name);
      const other = [...planned].find(([w, name]) => name === kit.name && w !== week)?.[0] ?? null;
      const elsewhere = other ?? (facts.keptFor !== week ? facts.keptFor : null);
      const isPlanned = planned.get(week) === kit.name;
      const speaks = suggested.get(kit.name);
      return {
        id: kit.name,
        swatches: palette(kit, 6),
        left: sum ? untouchedOf(sum) : 0,
        total: sum?.total ?? 0,
        plannedFor: elsewhere && spokenWeek(daysOfWeek(elsewhere)),
        score: (speaks?.score ?? NOT_OFFERED) + (isPlanned ? PLANNED : 0) - (other ? PLANNED : 0),
        why: [isPlanned && 'planned for this week', speaks?.why].filter(Boolean).join(', '),
      };
    })
    .sort(
      (a, b) =>
        b.score - a.score || Number(b.id === newest?.kit_id) - Number(a.id === newest?.kit_id) || b.left - a.left,
    );
}

async function mannersThere(db: Database): Promise<PlanManner[]> {
  const [own, rated, heeded, newest] = await Promise.all([
    listManners(db),
    ratingsByManner(db),
    heededChoices(db),
    newestSpread(db),
  ]);
  const isLast = (m: OwnManner): boolean =>
    m.school === newest?.manner && isSame(m.options, newest.options) && isSame(m.ways, newest.ways);
  const last = own.find(isLast)?.name ?? newest?.manner ?? USUAL_MANNER;
  const there = [
    ...own.map((m) => ({ name: m.name, says: `your own, after ${m.school}`, isOwn: true })),
    ...Object.values(MANNERS).map(({ name, says }) => ({ name, says, isOwn: false })),
  ].map((m) => ({
    ...m,
    rated: rated.get(m.name) ?? null,
    leans: leanings(m.name, heeded.get(m.name) ?? []).map(sayChoiceInFull),
  }));
  return there.sort((a, b) => Number(b.name === last) - Number(a.name === last));
}

/** Of who has laid out no week yet. */
const USUAL_MANNER = 'scattered';

const isSame = (a: object, kept: string): boolean => JSON.stringify(a) === JSON.stringify(asObject(kept));

/** A week as it would be laid out. */
export interface TriedWeek {
  readonly figures: TriedFigures;
  /** WebP as an address */
  readonly picture: string;
}

/** px of its picture: a card on a fine screen */
const WIDTH = 680;

/** As many are laid out at a time as there are threads for them: what waits can be given up. */
const trying = new Lane(2);

/**
 * Lays a week out with what is there of a kit, and keeps nothing of it.
 * @param left nobody waits for it any more
 * @returns null when it was left before its turn came
 * @throws BadInput
 */
export async function tryWeek(input: unknown, left?: AbortSignal): Promise<TriedWeek | null> {
  const chosen = check(StartSpreadDto, input, 'week');
  return trying.run(async () => {
    if (left?.aborted) return null;
    const context = await dataOfNewWeek(await store(), chosen);
    const all = createHash('sha1').update(JSON.stringify(context)).digest('base64');
    const known = before.get(all) ?? (await heavily('tried', { context, width: WIDTH }));
    before.delete(all); // what was wanted last is kept longest
    before.set(all, known);
    for (const oldest of before.keys()) if (before.size > MOST_KEPT) before.delete(oldest);
    return known;
  });
}

/** Weeks that were tried lately, by all that they were laid out with: who comes back sees them at once. */
const before = new Map<string, TriedWeek>();
/** Of some 60 kB each. */
const MOST_KEPT = 200;
