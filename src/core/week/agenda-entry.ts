import type { DemandKind, Part, Room } from './demand';
import type { Reminder } from './facts';
import type { IsoDay } from './week';

/** One item of the agenda as a person edits it: an event or a task of a calendar, with the parts that matter here. */
export interface AgendaEntry {
  readonly uid: string;
  readonly title: string;
  readonly task: boolean;
  /** the day it is on, or begins on; of a series, the first one */
  readonly day: IsoDay;
  /** minutes after midnight in the owner's zone; null when it has no time */
  readonly start: number | null;
  /** minutes it lasts; null when that is not said */
  readonly minutes: number | null;
  /** whole days it lasts; over 1 it is a band */
  readonly days: number;
  /** null: to be inferred */
  readonly kind: DemandKind | null;
  readonly part: Part | null;
  readonly room: Room | null;
  readonly list: string | null;
  readonly tentative: boolean;
  /** planned that many days before its day */
  readonly leadDays: number;
  /** and shown as due on its day, too */
  readonly dueShown: boolean;
  /** days before it on which the days left are counted */
  readonly countdown: readonly number[];
  readonly reminders: readonly Reminder[];
  /** the year a birthday or anniversary is counted from; 0: not known; null: its first day's */
  readonly since: number | null;
  /** only in weeks in which the item of that uid or title happens */
  readonly onlyWith: string | null;
  /** what rests while it lasts: `chores`, `routines`, or names */
  readonly quiet: readonly string[];
  /** the day it was put off from */
  readonly from: IsoDay | null;
  /** an RRULE by RFC 5545, without its name; null when it comes once */
  readonly repeat: string | null;
}

export const blankEntry = (day: IsoDay): AgendaEntry => ({
  uid: '',
  title: '',
  task: false,
  day,
  start: null,
  minutes: null,
  days: 1,
  kind: null,
  part: null,
  room: null,
  list: null,
  tentative: false,
  leadDays: 0,
  dueShown: false,
  countdown: [],
  reminders: [],
  since: null,
  onlyWith: null,
  quiet: [],
  from: null,
  repeat: null,
});
