import type { IsoDay } from '../week/week';

/** What is written down of a day (handbook 4, step 11): sorts by name. */
export const RECORD_SORTS = ['dinner', 'habit', 'hours', 'spending', 'moment', 'note'] as const;
export type RecordSort = (typeof RECORD_SORTS)[number];

/**
 * One thing written down of a day. A dinner and a moment are a text; a habit's amount is 1 where it was kept; hours and
 * spending are an amount. A note is for a week: its day is the first of that week, its name tells it from others.
 */
export interface DayRecord {
  readonly day: IsoDay;
  readonly what: RecordSort;
  /** which habit, which work, what for; empty where there is one only */
  readonly name: string;
  /** hours, or money in the owner's own */
  readonly amount: number;
  readonly text: string;
}

/** What its owner writes down, by names of their own. */
export interface RecordHabits {
  readonly habits: readonly string[];
  readonly hours: readonly string[];
  readonly spending: readonly string[];
  /** sign put before an amount of money */
  readonly currency: string;
}

/** Until its owner says otherwise: no habit is anyone's. */
export const USUAL_RECORDS: RecordHabits = {
  habits: [],
  hours: ['work'],
  spending: ['food', 'house', 'other'],
  currency: '$',
};

/** It says nothing any more: it is taken away rather than kept. */
export const isEmptyRecord = (r: Pick<DayRecord, 'amount' | 'text'>): boolean => r.amount === 0 && r.text.trim() === '';
