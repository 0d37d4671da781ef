import type { Voice } from '../spread/voice';
import { counted, dayName, mm, titleOf, twoLengths } from '../spread/voice';
import type { Missing, WayOut } from './unplaced';

/** Titles are quoted up to so many letters. */
const MOST = 48;
const quoted = (title: string): string => `“${title.length > MOST ? `${title.slice(0, MOST - 1)}…` : title}”`;

/** Why an item has no place, in words. */
export function sayReason({ demand, reason }: Missing, voice: Voice): string {
  const title = quoted(demand.title);
  const day = dayName(voice, demand.day);
  switch (reason.is) {
    case 'later':
      return `${title} on ${day} stays open for writing in later, as set.`;
    case 'no base':
      return `No base that is left takes ${title} at your hand${reason.roomiest ? `; the roomiest has ${counted(reason.roomiest.lines, 'line')} of ${counted(reason.roomiest.letters, 'letter')}` : ''}.`;
    case 'no room': {
      const [free, needs] = twoLengths(voice, reason.free, reason.needs);
      return `${reason.free > 0 ? `${day}’s longest free place is ${free}` : `${day} has no free place`}; ${title} needs ${needs} with its gaps.`;
    }
    case 'not yet':
      return `${title} is not laid yet; ${day} has room for it.`;
  }
}

/** A way out, in words. */
export function sayWayOut(way: WayOut, voice: Voice): string {
  switch (way.by) {
    case 'planning ahead':
      return 'Plan everything ahead to place it now';
    case 'shortening':
      return way.to === null ? 'Shorten its text' : `Shorten its text, such as ${quoted(way.to)}`;
    case 'writing on paper':
      return 'Let it be written on the paper';
    case 'the notes':
      return 'Let it be noted in the sidebar or on the bottom strip';
    case 'taking the box out':
      return `Take the full box out of ${dayName(voice, way.day)}: that frees ${mm(voice, way.frees)}`;
    case 'moving to':
      return `Move it to ${dayName(voice, way.day)}, where ${mm(voice, way.free)} are free in one place`;
    case 'one list':
      return `Make ${way.demands.map((key) => quoted(titleOf(voice, key))).join(', ')} one list`;
  }
}
