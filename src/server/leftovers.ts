import 'server-only';
import { MANNERS } from '../core/manner/registry';
import { spokenWeek } from '../core/week/day-names';
import { houseWeekStart } from './week-start';
import { daysOfWeek, weekAfter, weekHolding } from '../core/week/week';
import { listBooks, usualBook } from '../db/books';
import type { Database } from '../db/database';
import { listKits } from '../db/kits';
import { kitSums } from '../db/stock';
import { findSpreadOfWeek } from '../db/spreads';
import { check } from './dto/check';
import { StartSpreadDto } from './dto/spread.dto';
import { heavily } from './heavy/heavily';
import { dataOfNewWeek } from './new-week';
import { store } from './store';
import { today } from './today';

/** A begun kit of which much is left. */
export interface LeftKit {
  readonly id: string;
  /** copies that nobody touched, of so many */
  readonly left: number;
  readonly total: number;
}

export interface LeftoversPage {
  /** weeks that are not begun yet, the next first */
  readonly weeks: readonly { readonly week: string; readonly title: string }[];
  readonly books: readonly { readonly id: string; readonly name: string }[];
  readonly book: string | null;
  readonly kits: readonly LeftKit[];
  readonly manners: readonly { readonly name: string; readonly says: string }[];
}

const WEEKS_AHEAD = 10;
const MOST_WEEKS = 6;
/** So much of a kit must be left, as a share, and so many stickers, before a week is tried with it. From memory. */
const LEAST_SHARE = 0.2;
const LEAST_LEFT = 40;

/** Kits that were begun and of which enough is left for another week, what has most left first. */
export async function leftKits(db: Database): Promise<LeftKit[]> {
  const [rows, sums] = await Promise.all([listKits(db), kitSums(db)]);
  return rows
    .filter((k) => k.role === 'kit' && !k.facts.retired)
    .flatMap((k): LeftKit[] => {
      const sum = sums.find((x) => x.kit === k.id);
      const left = sum ? sum.total - sum.touched - sum.spoiled : 0;
      return sum && sum.touched > 0 && left >= LEAST_LEFT && left / sum.total >= LEAST_SHARE
        ? [{ id: k.id, left, total: sum.total }]
        : [];
    })
    .sort((a, b) => b.left / b.total - a.left / a.total);
}

/** What is left, and the weeks that wait for it. */
export async function loadLeftovers(): Promise<LeftoversPage> {
  const db = await store();
  const start = await houseWeekStart(db);
  const now = weekHolding(await today(), start);
  const weeks: { week: string; title: string }[] = [];
  for (let i = 0; i < WEEKS_AHEAD && weeks.length < MOST_WEEKS; i++) {
    const week = weekAfter(now, i);
    if (!(await findSpreadOfWeek(db, week))) weeks.push({ week, title: spokenWeek(daysOfWeek(week, start)) });
  }
  const [books, book] = await Promise.all([listBooks(db), usualBook(db)]);
  return {
    weeks,
    books: books.map(({ id, name }) => ({ id, name })),
    book: book ?? books[0]?.id ?? null,
    kits: await leftKits(db),
    manners: Object.values(MANNERS).map(({ name, says }) => ({ name, says })),
  };
}

/** A week as it would be laid out with what is left. */
export interface TriedWeek {
  readonly items: number;
  /** items that have a place */
  readonly placed: number;
  readonly boxes: number;
  readonly stickers: number;
  /** WebP as an address */
  readonly picture: string;
}

const WIDTH = 620;

/** Lays a week out with what is left of a kit, and keeps nothing of it. @throws BadInput */
export async function tryWeek(input: unknown): Promise<TriedWeek> {
  const context = await dataOfNewWeek(await store(), check(StartSpreadDto, input, 'week'));
  return heavily('tried', { context, width: WIDTH });
}
