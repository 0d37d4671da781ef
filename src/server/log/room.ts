import type { LogTable } from '../../core/keep/log-table';
import type { IsoDay } from '../../core/week/week';
import type { Database } from '../../db/database';

/** What a room of the log is asked for. */
export interface Asked {
  readonly today: IsoDay;
  /** null: all years */
  readonly year: string | null;
  /** words that are looked for; empty where the room has no search */
  readonly words: string;
}

/** One room of the log: tables of one subject. */
export interface LogRoom {
  readonly name: string;
  readonly title: string;
  /** it looks for words */
  readonly searched: boolean;
  /** it is of one year, of any year or all of them, or always of all */
  readonly of: 'a year' | 'any years' | 'all years';
  readonly load: (db: Database, asked: Asked) => Promise<readonly LogTable[]>;
}

/** First and last day of a year, or of all time. */
export const daysOf = ({ year }: Pick<Asked, 'year'>): readonly [IsoDay, IsoDay] =>
  year === null ? ['0000-01-01', '9999-12-31'] : [`${year}-01-01`, `${year}-12-31`];

/** First and last week of a year by their ISO names, or of all time. */
export const weeksOf = ({ year }: Pick<Asked, 'year'>): readonly [string, string] =>
  year === null ? ['0000-W01', '9999-W53'] : [`${year}-W01`, `${year}-W53`];
