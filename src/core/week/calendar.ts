import type ICAL from 'ical.js';

/** A calendar file as read: the whole of it, so that nothing is lost on the way back. */
export interface Calendar {
  readonly root: ICAL.Component;
  /** zone its owner keeps, when the file says or shows it */
  readonly zone: string | null;
  /** what its owner should know of how it was read; each a sentence */
  readonly notes: readonly string[];
  /** the line of the file at which each component begins; not known of what was added since */
  readonly lines?: ReadonlyMap<ICAL.Component, number>;
}
