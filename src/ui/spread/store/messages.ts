import { sayDeed } from '../../../core/edit/say-deed';
import type { Repair } from '../../../core/repair/let-in';
import type { ColorSwap } from '../../../core/repair/swap-color';
import type { Voice } from '../../../core/spread/voice';
import { counted } from '../../../core/spread/voice';
import { WorkerStopped } from '../../../workers/arranger';

type Speaker = Pick<Voice, 'context' | 'unit'>;

const reason = (error: unknown): string => (error instanceof Error ? error.message : String(error));

/** Edits that were made on top of one that was refused. */
export const dropped = (edits: number): string =>
  edits === 1
    ? 'The edit that you made after it was built on it, and is not made either.'
    : `The ${edits} edits that you made after it were built on it, and are not made either.`;

/** What became of work that did not come to its end. */
export const stopped = (what: string, error: unknown): string =>
  error instanceof WorkerStopped
    ? `${what} crashed (${reason(error)}). It was restarted, and nothing was changed: please try again.`
    : `${what} stopped: ${reason(error)}. Nothing was changed.`;

export const NOTHING_MORE =
  'Nothing more could be placed: what is still open has no room, or no sticker. The findings say why.';
export const NOTHING_OPEN = 'Nothing is open: every item of the week has its place.';
export const MOVED_TOGETHER = 'The agenda has it on that day now. Undo takes both back.';
export const MOVED_IN_AGENDA = 'The agenda has it on that day now. Undo that in the agenda.';
export const NO_PLACE = 'It does not fit into its day as that is. The finding about it has ways out.';
export const OTHER_WINDOW = 'This spread was changed in another window. It has been reloaded.';

export function sayLetIn({ change: { deed }, moved }: Repair, voice: Speaker): string {
  const done = sayDeed(deed.do === 'let in' ? { ...deed, moved: 0 } : deed, voice); // the moves are said after it
  return `${done}: ${moved === 0 ? 'nothing had to move' : `${counted(moved, 'piece')} moved for it`}.`;
}

export function sayMended({ change, moved }: Repair, voice: Speaker): string {
  if (change.deed.do === 'keep for later')
    return `${sayDeed(change.deed, voice)}: no week takes it till you use it again. Its kit has it among the kept.`;
  const others = change.after.filter((p) => p.layer === 0).length;
  const room = moved ? `, ${moved} of them to make room` : '';
  return `${sayDeed(change.deed, voice)}: ${others} ${others === 1 ? 'piece is' : 'pieces are'} new or moved${room}.`;
}

export function sayRecolored({ change, swapped, left }: ColorSwap, voice: Speaker): string {
  const stay = left ? ` ${left} stay: nothing of that color fits there, or they are stuck down.` : '';
  return `${sayDeed(change.deed, voice)}: ${counted(swapped, 'piece')} changed, nothing moved.${stay}`;
}
