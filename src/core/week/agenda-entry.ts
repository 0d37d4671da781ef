import type { DemandKind, Part, Room } from './demand';
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
  /** an RRULE by RFC 5545, without its name; null when it comes once */
  readonly repeat: string | null;
}

export const blankEntry = (day: IsoDay): AgendaEntry => ({
  uid: '', title: '', task: false, day, start: null, minutes: null, days: 1, kind: null, part: null, room: null, list: null, tentative: false, leadDays: 0, repeat: null,
});
