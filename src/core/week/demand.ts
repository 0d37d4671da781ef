import type { IsoDay, WeekName } from './week';

export const DEMAND_KINDS = ['appointment', 'chore', 'to-do', 'deadline', 'occasion', 'reminder', 'band'] as const;
export type DemandKind = (typeof DEMAND_KINDS)[number];
export const PARTS = ['morning', 'day', 'evening'] as const;
export type Part = (typeof PARTS)[number];
export const ROOMS = ['label', 'quarter', 'half', 'full'] as const;
export type Room = (typeof ROOMS)[number];

/** What a demand is of its item: the item itself, or what it makes of another day. */
export type Aspect = 'item' | 'due' | 'reminder' | 'countdown' | 'clock';

/** One thing the week asks for: it must find its place on the spread. */
export interface Demand {
  /** unique within the week: the uid, with the day and a number where the same thing comes more than once */
  readonly key: string;
  /** the calendar's own uid */
  readonly uid: string;
  readonly title: string;
  readonly kind: DemandKind;
  /** 0-6 from the week's first day */
  readonly day: number;
  /** the last day of a band; the same as `day` for all else */
  readonly lastDay: number;
  /** minutes after midnight in the owner's zone; null when it has no time */
  readonly start: number | null;
  /** how its owner writes hours; of twelve where nothing is said */
  readonly clock?: HourClock;
  readonly end: number | null;
  /** where in the day it belongs when it has no time */
  readonly part: Part;
  readonly tentative: boolean;
  /** name of the list it is a row of; null when it stands alone */
  readonly list: string | null;
  readonly room: Room | null;
  readonly categories: readonly string[];
  readonly aspect: Aspect;
  /** one of a series */
  readonly repeated: boolean;
  /** the day on which its calendar has it, from which a lead or a change may have moved it */
  readonly on: IsoDay;
  /** the day it was put off from */
  readonly from: IsoDay | null;
}

/** The week as it will be planned: its days and all they must hold, in order of day and time. */
export interface WeekDemands {
  readonly week: WeekName;
  readonly days: readonly IsoDay[];
  readonly demands: readonly Demand[];
  /** items that were left out, as no day holds so many */
  readonly more?: number;
  /** pairs that look like one thing and are two, as their owner said (`pairKey`) */
  readonly bothMeant?: readonly string[];
}

const PART_MINUTES: Readonly<Record<Part, number>> = { morning: 7 * 60 + 30, day: 13 * 60, evening: 20 * 60 };

/** Minutes after midnight at which a demand is sorted into its day's column. */
export const sortMinute = (d: Pick<Demand, 'start' | 'part'>): number => d.start ?? PART_MINUTES[d.part];

/** The order of a column: by time, then by title, so that it never depends on the file. */
export const inTimeOrder = (a: Demand, b: Demand): number =>
  sortMinute(a) - sortMinute(b) || compareText(a.title, b.title) || compareText(a.key, b.key);

const compareText = (a: string, b: string): number => (a < b ? -1 : a > b ? 1 : 0);

/** The ways in which an hour is written. */
export const HOUR_CLOCKS = ['12 h', '24 h'] as const;
export type HourClock = (typeof HOUR_CLOCKS)[number];

/** A time as it is written on a label: `4:30p`, `9a`; by 24 hours `16:30`, `9:00`. */
export function spokenTime(minutes: number, clock: HourClock = '12 h'): string {
  if (clock === '24 h') return `${Math.floor(minutes / 60) % 24}:${String(minutes % 60).padStart(2, '0')}`;
  const hour = Math.floor(minutes / 60) % 24;
  const minute = minutes % 60;
  return `${hour % 12 === 0 ? 12 : hour % 12}${minute ? `:${String(minute).padStart(2, '0')}` : ''}${hour < 12 ? 'a' : 'p'}`;
}

/** A demand's time as its owner writes it; nothing where it has none. */
export const writtenTime = (d: Pick<Demand, 'start' | 'clock'>): string =>
  d.start === null ? '' : spokenTime(d.start, d.clock);

/** What is written for a demand: its time, then its words; a question mark while it is not sure. */
export const writtenText = (d: Demand): string => `${writtenTime(d)} ${d.title}${d.tentative ? ' ?' : ''}`.trim();
