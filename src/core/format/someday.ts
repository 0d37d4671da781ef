import { factsOf } from '../week/facts';
import type { Calendar } from '../week/calendar';
import { anchorOf } from '../week/occurrences';
import { isolateErrors } from '../week/troubles';

/** A task that its calendar gives no date: it is of no week until its owner gives it one. */
export interface Someday {
  readonly uid: string;
  readonly title: string;
  readonly list: string | null;
}

const OVER = /^(?:completed|cancelled)$/i;

/** The tasks of a calendar that have no date and are not done, in its order. */
export const somedayOf = (calendar: Calendar): Someday[] =>
  calendar.root.getAllSubcomponents('vtodo').flatMap((task) =>
    isolateErrors(calendar, task, () => {
      const uid = String(task.getFirstPropertyValue('uid') ?? '');
      const isOver = OVER.test(String(task.getFirstPropertyValue('status') ?? '')) || task.hasProperty('completed');
      if (!uid || isOver || task.hasProperty('recurrence-id') || anchorOf(task)) return [];
      const { title, list } = factsOf(task);
      return [{ uid, title, list }];
    }),
  );
