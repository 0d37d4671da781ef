import { undoAgenda } from '../server/agenda-actions';

/** The last change of the agenda, an intake most likely: what a screen that shows the week may have stopped over. */
export const lastOfAgenda = {
  label: 'Undo the last change of the agenda',
  run: () => undoAgenda({ way: 'undo' }),
} as const;
